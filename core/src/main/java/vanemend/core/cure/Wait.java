package vanemend.core.cure;

import java.util.List;
import java.util.Optional;

/**
 * One wait of a plan: how long a material takes, by every way there is today.
 *
 * @param id name that steps refer to
 * @param title what it is waited for, as said, such as {@code Backing: sand from}
 * @param material name on the shelf
 * @param routes ways to dry or cure, air first
 * @param route the one that is planned
 * @param sign what must be seen or felt besides the clock
 * @param source where the time comes from
 * @param law how it cures, by which surface readings move its clock; empty where only the sign tells
 * @param sun the sun its minutes stand for; empty where it is not the sun that cures
 */
public record Wait(
        String id,
        String title,
        String material,
        List<DryingRoute> routes,
        DryingRoute route,
        String sign,
        String source,
        Optional<CureLaw> law,
        Optional<Daylight> sun) {
    /** Waits of an earlier release were not moved by readings. */
    public Wait {
        law = law == null ? Optional.empty() : law;
        sun = sun == null ? Optional.empty() : sun;
    }
}
