package vanemend.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Examples of what earlier releases wrote. */
public final class Kept {
    private Kept() {}

    /** The one called {@code name}. */
    public static String text(String name) {
        try (InputStream in = Kept.class.getResourceAsStream("/kept/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
