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
     * The sun in the sky.
     *
     * @param elevationDeg height of its middle over the horizon, degrees; below 0 at night
     * @param azimuthDeg degrees from north over east
     */
    public record Place(double elevationDeg, double azimuthDeg) {}

    /**
     * Where it stands at {@code at}.
     *
     * @param latitudeDeg north positive, -90 to 90
     * @param longitudeDeg east positive, -180 to 180
     */
    public static Place at(Instant at, double latitudeDeg, double longitudeDeg) {
        var p = Grena3.calculateSolarPosition(at.atZone(ZoneOffset.UTC), latitudeDeg, longitudeDeg, DELTA_T_S);
        return new Place(90 - p.getZenithAngle(), p.getAzimuth());
    }

    /** Its height alone, degrees. */
    public static double elevationDeg(Instant at, double latitudeDeg, double longitudeDeg) {
        return at(at, latitudeDeg, longitudeDeg).elevationDeg();
    }
}
