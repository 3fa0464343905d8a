package vanemend.core.part;

/**
 * A pane.
 *
 * @param mark what its stamp says (UN R43 roman number, or AS number)
 * @param wheelXMm middle of the steering wheel, from the pane's left edge as drawn, mm
 * @param heavy true for a vehicle over 3.5 t
 */
public record Glass(Stamp mark, double wheelXMm, boolean heavy) implements Substrate {
    /** Stamps of panes. */
    public enum Stamp {
        I("I, toughened", false, true),
        II("II, laminated windscreen", true, false),
        III("III, treated laminated windscreen", true, false),
        IV("IV, glass-plastics", false, false),
        V("V, under 70 % light", false, false),
        VI("VI, double glazing", false, false),
        AS1("AS1, laminated windscreen", true, false),
        AS2("AS2", false, false),
        AS3("AS3, privacy", false, false),
        NONE("no readable mark", false, false);

        private final String word;
        private final boolean windscreen;
        private final boolean toughened;

        Stamp(String word, boolean windscreen, boolean toughened) {
            this.word = word;
            this.windscreen = windscreen;
            this.toughened = toughened;
        }

        /** As said at the bench. */
        public String word() {
            return word;
        }

        /** True for a laminated windscreen. */
        public boolean isWindscreen() {
            return windscreen;
        }

        /** True for toughened glass. */
        public boolean isToughened() {
            return toughened;
        }
    }

    @Override
    public Family family() {
        return Family.GLASS;
    }

    @Override
    public String word() {
        return mark.isWindscreen()
                ? "laminated glass"
                : mark.isToughened() ? "toughened glass" : "glass, " + mark.word();
    }
}
