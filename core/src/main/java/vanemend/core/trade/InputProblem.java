package vanemend.core.trade;

/**
 * One thing that was typed and cannot be taken.
 *
 * @param field path in the draft, such as {@code damage.dents[1].depthMm}
 * @param given as typed; empty when nothing was
 * @param expected what would be taken, with unit
 * @param message the whole of it in one kind sentence
 */
public record InputProblem(String field, String given, String expected, String message) {}
