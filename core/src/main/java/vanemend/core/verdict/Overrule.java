package vanemend.core.verdict;

import java.time.Instant;

/**
 * A limit of care that a lead sets aside, signed.
 *
 * @param ruleId row of the limits
 * @param reason why, in the lead's words
 * @param by name
 * @param at when
 */
public record Overrule(String ruleId, String reason, String by, Instant at) {}
