package vanemend.core.cure;

import java.util.List;

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
 */
public record Wait(
        String id,
        String title,
        String material,
        List<DryingRoute> routes,
        DryingRoute route,
        String sign,
        String source) {}
