package vanemend.core.part;

/**
 * Fibre in resin.
 *
 * @param kind which
 * @param thicknessMm wall, mm
 */
public record Composite(Kind kind, double thicknessMm) implements Substrate {
    /** Composites a panel is made of. */
    public enum Kind {
        SMC("SMC"),
        HAND_LAID("hand-laid fibreglass"),
        CARBON("epoxy-carbon");

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
        return Family.COMPOSITE;
    }

    @Override
    public String word() {
        return kind.word();
    }
}
