package vanemend.core.cure;

import vanemend.core.trade.Text;

/**
 * How slowly a build follows the lamp or the oven: what its surface is short of the plateau shrinks as e^(−t/τ).
 *
 * @param build what is warmed
 * @param recalledMin its time constant by the rule book, min
 * @param factor what this shop's own lamps make of that; 1 where none was measured
 * @param warmUps how many that was measured in; 0 for none
 */
public record Lag(Build build, double recalledMin, double factor, int warmUps) {
    /** Builds that are told apart. */
    public enum Build {
        STEEL("steel"),
        ALUMINIUM("aluminium"),
        PLASTIC("plastic"),
        COMPOSITE("composite");

        private final String word;

        Build(String word) {
            this.word = word;
        }

        /** As said. */
        public String word() {
            return word;
        }
    }

    /** The time constant, min. */
    public double tauMin() {
        return recalledMin * factor;
    }

    /** What it is and where it comes from. */
    public String said() {
        return "Time constant " + Text.of(Math.round(tauMin() * 10) / 10.0, "min")
                + (warmUps == 0
                        ? ", recalled."
                        : ", measured here in " + warmUps + (warmUps == 1 ? " warm-up." : " warm-ups."));
    }
}
