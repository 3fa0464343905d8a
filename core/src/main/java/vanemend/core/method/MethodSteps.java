package vanemend.core.method;

import java.util.List;
import java.util.function.Supplier;

/**
 * A method's page written out for one repair.
 *
 * @param method as said
 * @param steps in working order
 * @param rework loops by id, laid out where they are asked for
 * @param mixes mixes by id
 */
public record MethodSteps(String method, List<Step> steps, Supplier<List<Loop>> rework, List<MixPlan> mixes) {}
