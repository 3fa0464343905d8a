package vanemend.core.cure;

import java.time.Instant;
import java.util.Optional;

/**
 * The sun that the minutes of a light step stand for. Cloud is the same share of whatever sun there is, so it does not show here.
 *
 * @param latitudeDeg where the shop lies, north positive
 * @param longitudeDeg where the shop lies, east positive
 * @param plannedDeg height of the sun on the pane that was planned on, degrees, at least the lowest that is planned on
 * @param pane how the pane lies; level where nobody said
 */
public record Daylight(double latitudeDeg, double longitudeDeg, double plannedDeg, Optional<Pane> pane) {
    /** Plans of an earlier release took every pane as level. */
    public Daylight {
        pane = pane == null ? Optional.empty() : pane;
    }

    /** Height of the sun on the pane at {@code at}, degrees; below 0 at night and in the pane's own shade. */
    public double heightDeg(Instant at) {
        Sun.Place sun = Sun.at(at, latitudeDeg, longitudeDeg);
        return pane.map(p -> p.heightDeg(sun)).orElse(sun.elevationDeg());
    }

    /** Light at {@code at} against what was planned on; 0 where the sun is too low to plan on, or down. */
    public double share(Instant at) {
        double height = heightDeg(at);
        return height < UvCure.lowestDeg() ? 0 : against(height);
    }

    /** Light of the lowest sun that is planned on, against what was planned on. */
    public double least() {
        return against(UvCure.lowestDeg());
    }

    /** The label's summer minutes are the least planned, so a sun higher than theirs does not count for more. */
    private double against(double heightDeg) {
        return UvCure.relative(heightDeg) / Math.min(1, UvCure.relative(plannedDeg));
    }
}
