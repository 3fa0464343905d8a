package vanemend.core.method;

import java.util.List;

/**
 * A method laid out for one repair.
 *
 * @param method name
 * @param steps in working order
 * @param loops rework by id
 * @param mixes mixes by id
 */
public record MethodSteps(String method, List<Step> steps, List<Loop> loops, List<MixPlan> mixes) {}
