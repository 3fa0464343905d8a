package vanemend.core.cure;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;

/**
 * Where the sun stands (Spencer 1971: declination and equation of time as Fourier series of the day angle). Within 0.1° of declination;
 * refraction is left out. Degrees, north and east positive.
 */
public final class Sun {
    private static final double MINUTES_A_DEGREE = 4;

    private Sun() {}

    private static double dayAngle(ZonedDateTime utc) {
        double day = utc.getDayOfYear() - 1 + (utc.getHour() + utc.getMinute() / 60.0 + utc.getSecond() / 3600.0) / 24;
        return 2 * Math.PI * day / 365.25;
    }

    /** Declination, degrees. */
    public static double declinationDeg(Instant at) {
        double g = dayAngle(at.atZone(ZoneOffset.UTC));
        return Math.toDegrees(0.006918
                - 0.399912 * Math.cos(g)
                + 0.070257 * Math.sin(g)
                - 0.006758 * Math.cos(2 * g)
                + 0.000907 * Math.sin(2 * g)
                - 0.002697 * Math.cos(3 * g)
                + 0.00148 * Math.sin(3 * g));
    }

    /** Sundial time less mean time, min. */
    public static double equationOfTimeMin(Instant at) {
        double g = dayAngle(at.atZone(ZoneOffset.UTC));
        return 229.18
                * (0.000075
                        + 0.001868 * Math.cos(g)
                        - 0.032077 * Math.sin(g)
                        - 0.014615 * Math.cos(2 * g)
                        - 0.040849 * Math.sin(2 * g));
    }

    /** Height of the sun's middle over the horizon, degrees; below 0 at night. */
    public static double elevationDeg(Instant at, double latitudeDeg, double longitudeDeg) {
        ZonedDateTime utc = at.atZone(ZoneOffset.UTC);
        double minutes = utc.getHour() * 60 + utc.getMinute() + utc.getSecond() / 60.0;
        double solar = minutes + equationOfTimeMin(at) + MINUTES_A_DEGREE * longitudeDeg;
        double hour = Math.toRadians(solar / MINUTES_A_DEGREE - 180);
        double lat = Math.toRadians(latitudeDeg);
        double dec = Math.toRadians(declinationDeg(at));
        return Math.toDegrees(
                Math.asin(Math.sin(lat) * Math.sin(dec) + Math.cos(lat) * Math.cos(dec) * Math.cos(hour)));
    }
}
