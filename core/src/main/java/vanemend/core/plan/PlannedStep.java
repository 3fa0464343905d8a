package vanemend.core.plan;

import vanemend.core.method.Step;

/**
 * A step with its place in time, minutes from the start of the repair.
 *
 * @param step what to do
 * @param earliestMin earliest start
 * @param latestMin latest start that still keeps the promise, or the plan's own end where none was made; may lie before the
 *     earliest when the promise cannot be kept
 */
public record PlannedStep(Step step, double earliestMin, double latestMin) {}
