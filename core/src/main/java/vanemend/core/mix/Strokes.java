package vanemend.core.mix;

/** Strokes of a spreader over a zone. */
public final class Strokes {
    private Strokes() {}

    /**
     * Strokes to cover a zone of {@code zoneMm} with a spreader of {@code spreaderMm}, each stroke lying over the last by
     * {@code overlap}, 0 up to but not including 1, of its width: 1 + ceil((Z − w) / (w·(1 − overlap))); with one third this is
     * the bench rule.
     */
    public static int count(double zoneMm, double spreaderMm, double overlap) {
        if (spreaderMm <= 0 || overlap < 0 || overlap >= 1) {
            throw new IllegalArgumentException("a spreader of " + spreaderMm + " mm with an overlap of " + overlap);
        }
        double step = spreaderMm * (1 - overlap);
        return zoneMm <= spreaderMm ? 1 : 1 + (int) Math.ceil((zoneMm - spreaderMm) / step - 1e-9);
    }
}
