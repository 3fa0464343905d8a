package vanemend.solver;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.json.JsonMapper;

/** The process that looks for better orders: a line with an {@link Order} in, a line with what is {@link Better} out, until its input ends. */
public final class Solver {
    private Solver() {}

    public static void main(String[] args) throws IOException {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        // Whatever a library prints must not come between.
        System.setOut(System.err);
        JsonMapper json = JsonMapper.builder().build();
        BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            out.println(
                    json.writeValueAsString(json.readValue(line, Order.class).better()));
        }
    }
}
