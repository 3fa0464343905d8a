package vanemend.app.day;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.json.JsonMapper;
import vanemend.solver.Better;
import vanemend.solver.Order;
import vanemend.solver.Solver;

/**
 * The solver in a process of its own, with least claim to the processor: what is native in it may die without taking the bench along. A line of
 * JSON goes in, a line comes out; it ends when its input does, so that nothing is left when this server is killed.
 */
final class SolverProcess implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String MEMORY = "-Xmx512m";

    /** In a packed application it finds the jars within. */
    private static final String LAUNCHER = "org.springframework.boot.loader.launch.PropertiesLauncher";

    private final Process process;
    private final BufferedWriter in;
    private final BufferedReader out;
    private final Path room;

    /** Begins one; what it says of its troubles stands in the server's log. */
    SolverProcess() throws IOException {
        this.room = Files.createTempDirectory("vanemend-solver");
        this.process = new ProcessBuilder(command(room))
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        this.in = process.outputWriter(StandardCharsets.UTF_8);
        this.out = process.inputReader(StandardCharsets.UTF_8);
    }

    private static List<String> command(Path room) {
        String path = System.getProperty("java.class.path");
        List<String> words = new ArrayList<>(List.of(
                "nice",
                "-n",
                "19",
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                MEMORY,
                "-XX:+UseSerialGC",
                "--enable-native-access=ALL-UNNAMED",
                "--sun-misc-unsafe-memory-access=allow",
                "-Djava.io.tmpdir=" + room,
                "-cp",
                path));
        if (packed()) {
            words.add("-Dloader.main=" + Solver.class.getName());
            words.add(LAUNCHER);
        } else {
            words.add(Solver.class.getName());
        }
        words.add(room.toString());
        return words;
    }

    /** Whether all of the application is one jar with jars in it, which only its own launcher reads. */
    private static boolean packed() {
        return ClassLoader.getSystemResource(LAUNCHER.replace('.', '/') + ".class") != null;
    }

    /**
     * What the solver finds.
     *
     * @throws IOException where it is gone, or gives no answer that can be read
     */
    Better asked(Order order) throws IOException {
        in.write(JSON.writeValueAsString(order));
        in.newLine();
        in.flush();
        String line = out.readLine();
        if (line == null) {
            throw new IOException("the solver ended");
        }
        return JSON.readValue(line, Better.class);
    }

    long pid() {
        return process.pid();
    }

    @Override
    public void close() throws IOException {
        process.destroyForcibly();
        try {
            process.waitFor(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        Solver.emptied(room);
    }
}
