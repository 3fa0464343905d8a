package vanemend.core.house;

import java.time.Instant;
import vanemend.core.method.PageChange;

/**
 * A rule of the house in one plan.
 *
 * @param rule its number
 * @param kind what it changes
 * @param step step of the plan that it is about
 * @param said what it says
 * @param book what the book says there instead; empty where the book says nothing, or the same
 * @param reason why
 * @param by who signed
 * @param at when
 * @param bears whether it bears on this plan
 * @param why what stands in its way; empty where it bears
 */
public record HouseChange(
        long rule,
        PageChange.Kind kind,
        String step,
        String said,
        String book,
        String reason,
        String by,
        Instant at,
        boolean bears,
        String why) {}
