package vanemend.core.method;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Pane;

/**
 * What the technician asked for that a layout follows where it can.
 *
 * @param drying way to dry
 * @param dryings ways to dry by wait, before {@code drying}
 * @param cutYMm height of the cut A–A above the part's lower edge, mm
 * @param lightAt when a resin is to meet the light
 * @param pane how the pane lies to the sky then; level where nobody said
 * @param papers papers chosen by hand
 * @param spreaderMm width of the spreader in hand, mm
 */
public record Wishes(
        DryingRoute.Kind drying,
        Map<String, DryingRoute.Kind> dryings,
        Optional<Double> cutYMm,
        Optional<Instant> lightAt,
        Optional<Pane> pane,
        List<Paper> papers,
        Optional<Double> spreaderMm) {
    /** How the wait {@code id} is to dry. */
    public DryingRoute.Kind drying(String id) {
        return dryings.getOrDefault(id, drying);
    }

    /**
     * A paper chosen by hand.
     *
     * @param step rung of the ladder it is for
     * @param item shelf item
     */
    public record Paper(String step, String item) {}
}
