package vanemend.core.cure;

import java.time.Instant;
import java.time.ZoneOffset;
import net.e175.klaus.solarpositioning.Grena3;

/** Where the sun stands, refraction left out (Grena 2012, algorithm 3: within 0.01° from 2010 to 2110). */
public final class Sun {
    /** Terrestrial less universal time, s. A minute of it moves the sun by less than a thousandth of a degree, so one figure does. */
    private static final double DELTA_T_S = 69;

    private Sun() {}

    /**
     * Height of the sun's middle over the horizon at {@code at}, degrees; below 0 at night.
     *
     * @param latitudeDeg north positive, -90 to 90
     * @param longitudeDeg east positive, -180 to 180
     */
    public static double elevationDeg(Instant at, double latitudeDeg, double longitudeDeg) {
        return 90
                - Grena3.calculateSolarPosition(at.atZone(ZoneOffset.UTC), latitudeDeg, longitudeDeg, DELTA_T_S)
                        .getZenithAngle();
    }
}
