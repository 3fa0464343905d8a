package vanemend.app;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import vanemend.app.bench.Seal;

/** Says of a record's file, with nothing but the file, whether it is as it was written and by which installation. */
final class Verify {
    private static final int WHOLE = 0;
    private static final int NOT_WHOLE = 1;
    private static final int NOT_READ = 2;

    private Verify() {}

    /** Prints what is found of {@code file}; answers the command's exit status: 0 only where the seal holds. */
    static int of(String file, PrintStream out) {
        Seal.Found found;
        try {
            found = Seal.on(Files.readString(Path.of(file), StandardCharsets.UTF_8));
        } catch (IOException | RuntimeException e) {
            out.println(file + ": cannot be read as a record, JSON: " + e.getMessage());
            return NOT_READ;
        }
        return switch (found) {
            case Seal.Found.Whole w -> {
                out.println(file + ": as it was written.");
                out.println("digest     " + w.digest());
                out.println("sealed by  " + w.fingerprint());
                yield WHOLE;
            }
            case Seal.Found.None n -> {
                out.println(file + ": has no seal. Nobody can tell whether it was changed.");
                yield NOT_WHOLE;
            }
            case Seal.Found.Broken b -> {
                out.println(file + ": NOT as it was written. " + b.why());
                yield NOT_WHOLE;
            }
        };
    }
}
