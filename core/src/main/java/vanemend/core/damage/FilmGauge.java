package vanemend.core.damage;

import vanemend.core.part.PaintFilm;

/**
 * How a gauge reads a film, and on what it can: magnetic on steel, eddy current on metal that is not magnetic, neither on plastic
 * (ISO 2178 and ISO 2360 as remembered); ultrasonic on all.
 */
public enum FilmGauge {
    MAGNETIC("magnetic"),
    EDDY_CURRENT("eddy current"),
    BOTH("magnetic and eddy current"),
    ULTRASONIC("ultrasonic");

    private final String word;

    FilmGauge(String word) {
        this.word = word;
    }

    /** As said at the bench. */
    public String word() {
        return word;
    }

    /** Whether it shows the film on {@code over}, and not something else. */
    public boolean reads(PaintFilm.Over over) {
        return switch (this) {
            case MAGNETIC -> over == PaintFilm.Over.STEEL;
            case EDDY_CURRENT -> over == PaintFilm.Over.ALUMINIUM;
            case BOTH -> over == PaintFilm.Over.STEEL || over == PaintFilm.Over.ALUMINIUM;
            case ULTRASONIC -> true;
        };
    }
}
