package vanemend.core.verdict;

import org.locationtech.jts.geom.Geometry;
import vanemend.core.part.Glass;
import vanemend.core.trade.TradeBook;

/**
 * Which of the driver's zones a damage on a windscreen touches; whether the wiper passes over it is another question.
 *
 * @param us the driver's primary viewing area (ROLAGS 2007)
 * @param ukA zone A (BS AU 242a:1998)
 */
public record SightZone(boolean us, boolean ukA) {
    /** Of {@code damage} on {@code glass}: touching the zone counts as in it. */
    public static SightZone of(Glass glass, Geometry damage) {
        return new SightZone(
                touches(glass, damage, TradeBook.value("glass.view-us")),
                touches(glass, damage, TradeBook.value(glass.heavy() ? "glass.zone-a-heavy" : "glass.zone-a")));
    }

    /** Whether the driver looks through it by either standard. */
    public boolean inSight() {
        return us || ukA;
    }

    private static boolean touches(Glass glass, Geometry damage, double halfMm) {
        return damage.getEnvelopeInternal().getMinX() < glass.wheelXMm() + halfMm
                && damage.getEnvelopeInternal().getMaxX() > glass.wheelXMm() - halfMm;
    }
}
