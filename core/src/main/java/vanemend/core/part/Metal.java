package vanemend.core.part;

/**
 * Sheet metal.
 *
 * @param kind which metal
 * @param gaugeMm sheet thickness, mm
 */
public record Metal(Kind kind, double gaugeMm) implements Substrate {
    /** Metals a body panel is made of, and those that are told apart from them and passed on. */
    public enum Kind {
        MILD_STEEL("steel"),
        GALVANISED_STEEL("galvanised steel"),
        ALUMINIUM("aluminium"),
        STAINLESS_STEEL("stainless steel"),
        MAGNESIUM("magnesium"),
        ZINC("zinc casting"),
        UNKNOWN("metal, not known");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** Whether no plan is made for it: filler is not known to hold, or its dust burns. */
        public boolean passedOn() {
            return this == STAINLESS_STEEL || this == MAGNESIUM || this == ZINC;
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
