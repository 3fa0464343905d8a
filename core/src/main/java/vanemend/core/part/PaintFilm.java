package vanemend.core.part;

/**
 * The clear coat of a painted part: what is mended is the film itself.
 *
 * @param over what the film lies on, which decides what gauge can read it
 */
public record PaintFilm(Over over) implements Substrate {
    /** What a film lies on. */
    public enum Over {
        STEEL("steel"),
        ALUMINIUM("aluminium"),
        PLASTIC("plastic"),
        COMPOSITE("composite");

        private final String word;

        Over(String word) {
            this.word = word;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }
    }

    @Override
    public Family family() {
        return Family.FILM;
    }

    @Override
    public String word() {
        return "clear coat";
    }
}
