package vanemend.core.method.dent;

import vanemend.core.trade.Text;

/** What an aluminium skin asks that steel does not (practice; its figures recalled). */
final class AluminiumSkin {
    /** Steel grains left in it rust and start pits. */
    static final String TOOLS = "Hammer, dolly for aluminium";

    private AluminiumSkin() {}

    /** How it is straightened. */
    static String straighten() {
        return "Pull or tap as near to flat as it goes, a little at a time: it hardens as it is worked. Tools kept for aluminium: steel"
                + " grains rust in it. No torch: " + Text.book("aluminium.heat") + " at most.";
    }

    /** What is minded where it is sanded. */
    static String sanded() {
        return " Papers and boards kept for aluminium, half the pressure: it is soft.";
    }

    /** How long it may lie bare. */
    static String bare() {
        return " Bare it is covered within " + Text.book("aluminium.bare") + ".";
    }
}
