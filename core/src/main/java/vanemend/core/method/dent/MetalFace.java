package vanemend.core.method.dent;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Kit;
import vanemend.core.method.MetalPage;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Weight;
import vanemend.core.trade.TradeBook;

/** What hurt the sheet, by its word, and what a nail along a scratch tells. */
abstract class MetalFace extends MetalPage {
    MetalFace(Kit kit) {
        super(kit);
    }

    /** The damages at these places of the draft in one word. */
    String hurt(List<Integer> places) {
        Set<Damage.Kind> kinds = EnumSet.noneOf(Damage.Kind.class);
        places.forEach(i -> kinds.add(kit.job().damages().get(i).kind()));
        if (kinds.size() > 1) {
            return "damage";
        }
        return switch (kinds.iterator().next()) {
            case SCRATCH -> "scratch";
            case PAINT_CHIP -> "chip";
            default -> "dent";
        };
    }

    /** What is only in the clear is polished, and what rusts is never covered. */
    void nailAlongIt(String hurt) {
        add(look(
                "nail",
                "A nail across the " + hurt + ", a magnifier along it",
                "Where the nail does not catch only the clear is hurt. Dark specks or white bloom at its bottom: it corrodes.",
                Zone.Kind.DAMAGE,
                gate(
                        "The nail catches, nothing corrodes?",
                        "Through the coats",
                        "measure it",
                        "Otherwise",
                        stop(
                                "clear-only",
                                "Only the clear",
                                "Film gauge, fine papers, polish: no putty. Plan anew as a mark in clear coat.",
                                Weight.STOP),
                        branch("rust", "It corrodes", "point it out", "point-out"),
                        stop(
                                "pits",
                                "Pits stay dark",
                                "What lies over it lifts: plan anew with what was seen.",
                                Weight.STOP))));
        loop(
                "point-out",
                "Point it out",
                step("point", Kind.DO, "Point it out")
                        .detail("A sharp point, then folded paper, until every speck is bright; dust off.")
                        .zone(Zone.Kind.DAMAGE)
                        .layer("part")
                        .tool("Scriber")
                        .paper("180")
                        .active(TradeBook.value("minutes.measure"))
                        .caution("dust")
                        .caution("old-paint"));
    }
}
