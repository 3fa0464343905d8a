package vanemend.core.method.dent;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodPage;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Weight;
import vanemend.core.part.Metal;
import vanemend.core.trade.TradeBook;

/** What comes first on any painted sheet, whatever hurt it. */
abstract class MetalFace extends MethodPage {
    MetalFace(Kit kit) {
        super(kit);
    }

    Metal metal() {
        return (Metal) kit.job().part().substrate();
    }

    boolean aluminium() {
        return metal().kind() == Metal.Kind.ALUMINIUM;
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

    void wash() {
        add(step("wash", Kind.DO, "Wash, then degrease")
                .detail("Soap and water over the whole part. Then "
                        + name(Role.CLEAN).toLowerCase(Locale.ROOT)
                        + ", wiped off with a second clean cloth while wet.")
                .zone(Zone.Kind.CLEAN)
                .material(name(Role.CLEAN))
                .active(TradeBook.value("minutes.wash"))
                .caution("solvent")
                .acts(Act.CLEAN));
    }

    /** The last wipe; {@code more} is said before who decides. */
    void readyForPrimer(String more) {
        add(step("ready", Kind.DO, "Blow off and wipe: ready for primer")
                .detail((more + " " + TradeBook.shipped().closing()).strip())
                .zone(Zone.Kind.CLEAN)
                .material(name(Role.WIPE))
                .active(hands("minutes.wipe", Zone.Kind.CLEAN))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN, Act.READY));
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
