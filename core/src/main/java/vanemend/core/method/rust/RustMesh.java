package vanemend.core.method.rust;

import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Rust-through patch: back to sound metal, mesh at the back, glass-fibre filler, body filler over it, primer both sides. */
public final class RustMesh extends RustPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.RUST_MESH, RustMeshLayout::new);

    private final double openingMm;

    private RustMesh(Kit kit, double openingMm) {
        super(kit);
        this.openingMm = openingMm;
    }

    /**
     * The steps.
     *
     * @param openingMm widest opening that was planned, cut back
     */
    static MethodSteps lay(Kit kit, double openingMm) {
        RustMesh p = new RustMesh(kit, openingMm);
        p.strip();
        p.convert(
                kit.job().house().is("rust", "converter") ? "Converter over the rusted area" : "Converter in the pits",
                Zone.Kind.RUST,
                "measure it");
        p.opening();
        p.mesh();
        p.fibre();
        p.filler();
        p.prime();
        p.primeBack();
        return p.laid("Rust-through patch");
    }

    private void strip() {
        add(clean("clean", "Clean, then strip the paint", "Degrease front and back first.", Zone.Kind.CLEAN));
        List<StepBuilder> strip = sanding(
                "strip",
                "part",
                false,
                "Paint off " + mm("rust.strip-past") + " around, to bright metal.",
                Act.SAND_FACE);
        strip.getFirst().caution("old-paint");
        addAll(strip);
        boolean over = house().is("rust", "converter");
        add(step("cut-back", Kind.DO, over ? "Loose rust off" : "Cut or grind back to sound metal")
                .detail(
                        over
                                ? "What flakes or rings dull comes off; firm rust stays for the converter."
                                : "Until it is bright and rings; the edge turned in over a dolly, "
                                        + Text.of(turnedInMm(), "mm")
                                        + " below the face: both fillers lie in that, none on top.")
                .zone(Zone.Kind.RUST)
                .layer("part")
                .tool("Cutter or grinder")
                .active(TradeBook.value("minutes.per-dent.straighten"))
                .caution("metalwork")
                .caution("hot-work"));
    }

    /** Room for both fillers under the face. */
    private static double turnedInMm() {
        return TradeBook.value("rust.fibre-thick") + TradeBook.value("rust.filler-thick");
    }

    /** Rust goes as far as it goes: what is open now is held against the limit, and against what was planned. */
    private void opening() {
        double planned = Math.ceil(openingMm - 1e-6);
        add(look(
                        "opening",
                        "Measure what is open now",
                        "Across the widest place, sound metal to sound metal; then how far it is to the nearest seam, flange and edge.",
                        Zone.Kind.RUST,
                        gate(
                                        "Nothing over " + Text.of(planned, "mm") + " across, sound metal all round?",
                                        "As planned",
                                        "cut the mesh",
                                        "Not so",
                                        stop(
                                                "seam",
                                                "It reaches a seam, a flange or an edge",
                                                "Weld in metal: a seam carries load and holds water.",
                                                Weight.STOP))
                                .reading(Quantity.OPENING_MM))
                .layer("part")
                .figure(Text.of(planned, "mm"))
                .asks(Quantity.OPENING_MM)
                .watches(
                        Watch.limit(
                                "large",
                                Quantity.OPENING_MM,
                                Watch.Sense.AT_MOST,
                                "limit.metal-hole-large.from",
                                Weight.STOP,
                                "Too large for mesh",
                                "Weld in metal."),
                        Watch.reach(
                                "wider",
                                Quantity.OPENING_MM,
                                planned,
                                "Wider than it was planned",
                                "Mesh and fillers no longer reach past it as they must: plan anew.")));
    }

    private void mesh() {
        add(cut(
                "cut-mesh",
                "Cut the mesh",
                "From its template, " + mm("mesh.past") + " larger all round.",
                "mesh",
                Zone.Kind.MESH));
        add(step("mesh", Kind.DO, "Tape the mesh to the back")
                .detail("Front and back cleaned first; flat to the metal, no springing.")
                .zone(Zone.Kind.MESH)
                .layer("mesh")
                .material(kit.portion("mesh").material())
                .portion("mesh")
                .active(TradeBook.value("minutes.tape"))
                .acts(Act.LAY_CLOTH));
    }

    private void fibre() {
        mixAndSpread(
                kit.mix("fibre"),
                "fibre",
                "fibre",
                Zone.Kind.FIBRE,
                "Press it through the mesh, thin and firm",
                "On the part inside " + minutes("rust.fibre-spread-by")
                        + " from the start of mixing. Thin and firm first, then a little proud or just below flush for the body"
                        + " filler. Bare metal only.",
                Act.FIBRE_FILLER);
        cure(kit.mix("fibre"), "fibre", Zone.Kind.FIBRE, "80");
        addAll(sanding("fibre-level", "fibre", true, "It is very hard: patience. Dry only.", Act.PAPER));
    }

    private void primeBack() {
        add(step("prime-back", Kind.DO, "Primer on the back too")
                .detail(
                        "Over mesh and bare metal: aluminium on bare steel rusts it where it is damp. Once it is dry, cavity wax by its label.")
                .zone(Zone.Kind.PRIME_BACK)
                .layer("primer-back")
                .material(name(Role.SEAL))
                .amount(needed(kit.portion("primer-back")))
                .portion("primer-back")
                .active(hands("minutes.prime", Zone.Kind.PRIME_BACK, TradeBook.value("coat.primer-coats")))
                .caution("primer")
                .acts(Act.PRIME_BACK));
        primerDry();
        ready("Ready for paint", "");
    }
}
