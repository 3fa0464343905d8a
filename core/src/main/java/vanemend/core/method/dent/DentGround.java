package vanemend.core.method.dent;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Loop;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.Step.Resource;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Weight;
import vanemend.core.part.Coat;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Grains;
import vanemend.core.trade.TradeBook;

/** What comes before anything is laid: washed, straightened, then opened or dulled. */
abstract class DentGround extends DentDepth {
    DentGround(Kit kit, Found found) {
        super(kit, found);
    }

    void straighten() {
        StepBuilder straighten = step("straighten", Kind.DO, "Straighten")
                .detail(
                        aluminium()
                                ? AluminiumSkin.straighten()
                                : "Pull or tap as near to flat as it goes. Weld studs only where needed, grind no more than their spot.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool(aluminium() ? AluminiumSkin.TOOLS : "Hammer, dolly, studs")
                .active(TradeBook.value("minutes.per-dent.straighten") * tapped())
                .caution("metalwork")
                .caution("hot-work");
        if (metal().kind() == Metal.Kind.GALVANISED_STEEL) {
            straighten.caution("zinc-fume");
        }
        add(straighten);
        if (aluminium()) {
            add(look(
                    "creases",
                    "Look along the creases",
                    "Light from the side, then dye: where it was folded it has hardened, and cracks.",
                    Zone.Kind.DAMAGE,
                    gate(
                            "No crack at any crease?",
                            "Whole",
                            "measure it",
                            "A crack",
                            stop(
                                    "crack",
                                    "A crack at a crease",
                                    "Filler over it breaks out: it goes to whoever may weld aluminium.",
                                    Weight.STOP))));
        }
    }

    /** Small dings: the paint stays whole, and is dulled as far as anything will lie on it. */
    void dullWholePaint() {
        add(look(
                "paint-sound",
                "Is the paint sound?",
                "Tape pressed on over the ding and pulled off; a nail along any edge. Never over old filler, a dent that springs or"
                        + " fresh refinish: its solvent is still coming out.",
                Zone.Kind.DULLED,
                gate(
                        "No flake, no crack at the ding, the tape takes nothing?",
                        "Sound",
                        "dull it",
                        "It lets go",
                        stop(
                                "lets-go",
                                "The paint lets go",
                                "Nothing holds on paint that does not: plan anew with the coats opened.",
                                Weight.STOP))));
        double cm2 = area(Zone.Kind.DULLED) / 100;
        StepBuilder dull = step("open", Kind.SAND, "Dull the whole paint, none of it off")
                .detail(
                        "The ding itself by finger and paper, then around it; dull all over, no bare metal looked for. A spot that"
                                + " goes bare is feathered and primed first."
                                + (aluminium() ? AluminiumSkin.sanded() : ""))
                .zone(Zone.Kind.DULLED)
                .layer("coats-kept")
                .tool("Flat DA, finger")
                .paper("120")
                .active(Math.max(1, TradeBook.value("minutes.sand.per-100cm2") * cm2 / 100))
                .caution("dust")
                .caution("old-paint")
                .needs(Resource.SANDER)
                .acts(Act.SAND_FACE, Act.DULL);
        add(aluminium() ? dull.caution("aluminium-dust") : dull);
        wipeOpened();
    }

    private void wipeOpened() {
        add(step("wipe", Kind.DO, "Blow off, " + name(Role.WIPE).toLowerCase(Locale.ROOT))
                .detail("Clean dry oil-free air, then wipe. Fingers off from here.")
                .zone(Zone.Kind.PUTTY)
                .material(name(Role.WIPE))
                .active(hands("minutes.wipe", Zone.Kind.PUTTY))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN));
    }

    void openTheCoats() {
        List<Coat> on = kit.job().part().coats();
        boolean coats = house().is("filler-base", "sound-coats")
                && on.stream().anyMatch(c -> c.kind().isGround());
        boolean bare = on.isEmpty();
        String kept = on.stream()
                .filter(c -> c.kind().isGround())
                .map(c -> c.kind().word())
                .collect(Collectors.joining(" and "));
        double cm2 = area(Zone.Kind.FEATHER) / 100;
        int opens = opensWith(coats);
        StepBuilder open = step(
                        "open",
                        Kind.SAND,
                        bare ? "Sand the bare metal" : coats ? "Open the coats, keep " + kept : "Strip to bare metal")
                .detail(
                        bare
                                ? aluminium()
                                        ? "Bright and dull all over." + AluminiumSkin.sanded() + AluminiumSkin.bare()
                                        : "Bright and dull all over; bare metal flash-rusts: fill it the same hour."
                                : (coats
                                                ? "Take off what lies over it inside the opening; sand what stays. "
                                                : "Everything off inside the opening. ")
                                        + "Feather the paint edge " + mm("dent.feather-width") + " wide."
                                        + (aluminium() ? AluminiumSkin.sanded() : "")
                                        + (aluminium() && !coats ? AluminiumSkin.bare() : "")
                                        + (pulled() > 0
                                                ? " Where studs were it is bare: filled or primed within "
                                                        + minutes("steel-seam.bare") + "."
                                                : ""))
                .zone(Zone.Kind.FEATHER)
                .layer("coats")
                .tool("Flat DA")
                .paper(String.valueOf(opens))
                .active(Math.max(1, TradeBook.value("minutes.open.per-100cm2") * slower(opens) * cm2 / 100))
                .caution("dust")
                .needs(Resource.SANDER)
                .acts(Act.SAND_FACE);
        if (!bare) {
            open.caution("old-paint");
        }
        if (aluminium()) {
            open.caution("aluminium-dust");
        }
        add(open);
        wipeOpened();
        found.primerSandMin().ifPresent(min -> primed(Zone.Kind.OPENING, min));
    }

    /** Paper that opens the coats, by its P grade: where they stay, some never go coarser than their scratch. */
    private int opensWith(boolean coats) {
        if (filler().isEmpty()) {
            return 180;
        }
        return coats && house().is("filler-prepare", "p120") ? 120 : 80;
    }

    /** How many times as long as with 80 it takes: what a paper takes off goes with its grain. Putty's fine opening is a scuff. */
    private static double slower(int grade) {
        return grade == 120 ? Grains.micrometres("P", 80) / Grains.micrometres("P", grade) : 1;
    }

    static Loop straightenAgain() {
        return new Loop(
                "straighten-again",
                "Straighten again",
                chain(
                        "",
                        step("straighten", Kind.DO, "Straighten again")
                                .detail("Back to hammer, dolly or studs. Filler is never the way out of a deep dent.")
                                .zone(Zone.Kind.DAMAGE)
                                .layer("part")
                                .active(TradeBook.value("minutes.per-dent.straighten"))
                                .caution("metalwork")));
    }

    double area(Zone.Kind kind) {
        return kit.footprint().areaMm2(kind);
    }
}
