package vanemend.core.stack;

import java.util.Optional;

/**
 * What a way to mend takes, as its own plan says: what the ranking weighs is what the steps add up to.
 *
 * @param handsMin hands-on time, min
 * @param freeMin time to the end in which hands are free, min
 */
public record Effort(double handsMin, double freeMin) {
    /** Plans a way to mend far enough to know what it takes. */
    @FunctionalInterface
    public interface Planned {
        /** What {@code recipe} takes with {@code stack}; empty where something stands in the way of its plan. */
        Optional<Effort> of(Recipe recipe, StackChoice stack);
    }
}
