package vanemend.solver;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/** The process that looks for better orders: a line with an {@link Order} in, a line with what is {@link Better} out, until its input ends. */
public final class Solver {
    private Solver() {}

    /** {@code args}: the folder for what it unpacks, which it takes away at its end. */
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

    /** Takes {@code room} away with all that lies in it; one that is gone already is as well. */
    public static void emptied(Path room) throws IOException {
        if (!Files.exists(room)) {
            return;
        }
        List<Path> all;
        try (Stream<Path> within = Files.walk(room)) {
            all = within.sorted(Comparator.reverseOrder()).toList();
        }
        for (Path p : all) {
            Files.deleteIfExists(p);
        }
    }
}
