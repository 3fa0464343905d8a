package vanemend.core;

import java.util.Random;
import java.util.function.BiConsumer;

/** Runs a check over many generated cases; a failure names the seed that makes it again. */
public final class Seeds {
    private static final long FIRST = 20_261_124L;

    private Seeds() {}

    /** Calls {@code check} with a fresh source of chance and the case's number. */
    public static void forEach(int cases, BiConsumer<Random, Integer> check) {
        for (int i = 0; i < cases; i++) {
            long seed = FIRST + i;
            try {
                check.accept(new Random(seed), i);
            } catch (AssertionError | RuntimeException e) {
                throw new AssertionError("seed " + seed + ": " + e.getMessage(), e);
            }
        }
    }

    /** A figure from {@code min} to {@code max}. */
    public static double between(Random r, double min, double max) {
        return min + r.nextDouble() * (max - min);
    }
}
