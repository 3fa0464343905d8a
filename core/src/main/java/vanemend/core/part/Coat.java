package vanemend.core.part;

/**
 * One coat of a surface.
 *
 * @param kind which coat
 * @param thicknessUm film thickness, µm
 */
public record Coat(Kind kind, double thicknessUm) {
    /** Coats in the order they lie on the metal. */
    public enum Kind {
        E_COAT("e-coat", "coat.e-coat", true),
        EPOXY_PRIMER("epoxy primer", "coat.epoxy-primer", true),
        PRIMER_SURFACER("primer surfacer", "coat.primer-surfacer", true),
        BASE("base", "coat.base", false),
        SINGLE_STAGE("single-stage colour", "coat.single-stage", false),
        CLEAR("clear", "coat.clear", false);

        private final String word;
        private final String valueId;
        private final boolean ground;

        Kind(String word, String valueId, boolean ground) {
            this.word = word;
            this.valueId = valueId;
            this.ground = ground;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }

        /** Trade value with the typical thickness. */
        public String valueId() {
            return valueId;
        }

        /** True for e-coat and primers, which filler may sit on once sanded; colour and clear always come off. */
        public boolean isGround() {
            return ground;
        }
    }
}
