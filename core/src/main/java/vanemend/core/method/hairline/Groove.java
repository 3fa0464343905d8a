package vanemend.core.method.hairline;

/**
 * A V opened along a hairline: ½·w·h·L between its ends, and half a cone at each end (textbook geometry).
 *
 * @param lengthMm end to end, mm
 * @param widthMm at the face, mm
 * @param depthMm mm
 */
public record Groove(double lengthMm, double widthMm, double depthMm) {
    /** Volume, mm³. */
    public double volumeMm3() {
        return widthMm * depthMm * lengthMm / 2 + Math.PI * widthMm * widthMm / 4 * depthMm / 3;
    }

    /** Depth at a distance from the hairline, mm. */
    public double depthAt(double distanceMm) {
        return Math.max(0, depthMm * (1 - 2 * distanceMm / widthMm));
    }
}
