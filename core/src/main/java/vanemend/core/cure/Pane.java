package vanemend.core.cure;

/**
 * How a pane lies to the sky.
 *
 * @param slopeDeg from level, 0 to 90°
 * @param facesDeg where its outer face looks, degrees from north over east, 0 to 360°
 */
public record Pane(double slopeDeg, double facesDeg) {
    /**
     * Height of the sun over the pane's own plane, degrees: 90° less the angle of incidence (textbook solar geometry), but never more
     * than its height over the horizon, since a low sun that meets a steep pane squarely has still come through all that air. Below 0 where
     * the pane lies in its own shade.
     */
    public double heightDeg(Sun.Place sun) {
        double el = Math.toRadians(sun.elevationDeg());
        double slope = Math.toRadians(slopeDeg);
        double aside = Math.toRadians(sun.azimuthDeg() - facesDeg);
        double sine = Math.sin(el) * Math.cos(slope) + Math.cos(el) * Math.sin(slope) * Math.cos(aside);
        return Math.min(sun.elevationDeg(), Math.toDegrees(Math.asin(Math.clamp(sine, -1, 1))));
    }
}
