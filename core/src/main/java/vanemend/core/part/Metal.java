package vanemend.core.part;

/**
 * Sheet metal.
 *
 * @param kind which metal
 * @param gaugeMm sheet thickness, mm
 */
public record Metal(Kind kind, double gaugeMm) implements Substrate {
    /** Metals a body panel is made of. */
    public enum Kind {
        MILD_STEEL("steel"),
        GALVANISED_STEEL("galvanised steel"),
        ALUMINIUM("aluminium"),
        UNKNOWN("metal, not known");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    @Override
    public Family family() {
        return Family.METAL;
    }

    @Override
    public String word() {
        return kind.word();
    }
}
