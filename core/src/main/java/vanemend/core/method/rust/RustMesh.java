package vanemend.core.method.rust;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.TradeBook;

/** Rust-through patch: back to sound metal, mesh at the back, glass-fibre filler, body filler over it, primer both sides. */
public final class RustMesh extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.RUST_MESH, RustMeshLayout::new);

    private RustMesh(Kit kit) {
        super(kit);
    }

    /** The steps. */
    static MethodSteps lay(Kit kit) {
        RustMesh p = new RustMesh(kit);
        p.strip();
        p.convert();
        p.mesh();
        p.fibre();
        p.filler();
        p.prime();
        return p.laid("Rust-through patch");
    }

    private void strip() {
        add(clean("clean", "Clean, then strip the paint", "Degrease front and back first.", Zone.Kind.CLEAN));
        addAll(sanding(
                "strip",
                "part",
                false,
                "Paint off " + mm("rust.strip-past") + " around, to bright metal.",
                Act.SAND_FACE));
        boolean over = house().is("rust", "converter");
        add(step("cut-back", Kind.DO, over ? "Loose rust off" : "Cut or grind back to sound metal")
                .detail(
                        over
                                ? "What flakes or rings dull comes off; firm rust stays for the converter."
                                : "Until it is bright and rings; edges turned in below the face.")
                .zone(Zone.Kind.RUST)
                .layer("part")
                .tool("Cutter or grinder")
                .active(TradeBook.value("minutes.per-dent.straighten"))
                .caution("metalwork")
                .caution("old-paint"));
    }

    private void convert() {
        boolean over = house().is("rust", "converter");
        add(step("convert", Kind.DO, over ? "Converter over the rusted area" : "Converter in the pits")
                .detail("Brushed on the rust only: on clean metal or paint it stays tacky and nothing holds over it.")
                .zone(Zone.Kind.RUST)
                .material(name(Role.CONVERT))
                .portion("converter")
                .active(TradeBook.value("minutes.seal"))
                .caution("solvent")
                .acts(Act.CONVERT));
        add(step("convert-dry", Kind.WAIT, "Let the converter dry completely")
                .detail("By test, and by its label: black and dry right through. Longer cold or damp.")
                .zone(Zone.Kind.RUST)
                .gate(gate(
                        "Dry right through, black, no tack?",
                        "Dry",
                        "look at the zone",
                        "Still tacky",
                        branch("wet", "Still tacky", "wait and try again", "wait-again")))
                .acts(Act.CONVERTED));
        add(look(
                "sound",
                "Only sound metal or converted rust",
                "Light from the side, a scriber in every pit, the back too.",
                Zone.Kind.FIBRE,
                gate(
                        "Nothing red, nothing loose, nothing tacky?",
                        "Sound",
                        "mesh next",
                        "Live rust left",
                        branch("rust", "Live rust left", "grind, convert, dry", "rust-again"))));
        loop(
                "rust-again",
                "Grind and convert again",
                step("grind", Kind.DO, "Grind the place bright")
                        .detail("What a scriber lifts comes off.")
                        .zone(Zone.Kind.RUST)
                        .active(TradeBook.value("minutes.file"))
                        .caution("metalwork"),
                step("convert", Kind.DO, "Converter in what is left")
                        .detail("Rust only.")
                        .zone(Zone.Kind.RUST)
                        .material(name(Role.CONVERT))
                        .active(TradeBook.value("minutes.seal"))
                        .caution("solvent")
                        .acts(Act.CONVERT),
                step("dry", Kind.WAIT, "Let it dry")
                        .detail("By test.")
                        .zone(Zone.Kind.RUST)
                        .acts(Act.CONVERTED));
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
                .caution("metalwork")
                .acts(Act.LAY_CLOTH));
    }

    private void fibre() {
        mixAndSpread(
                kit.mix("fibre"),
                "fibre",
                "fibre",
                Zone.Kind.FIBRE,
                "Press it through the mesh, thin and firm",
                "On the part inside " + mm("rust.fibre-spread-by").replace("mm", "min")
                        + " from the start of mixing. Thin and firm first, then a little proud or just below flush for the body"
                        + " filler. Bare metal only.",
                Act.FIBRE_FILLER);
        cure(kit.mix("fibre"), "fibre", Zone.Kind.FIBRE, "80");
        addAll(sanding("fibre-level", "fibre", true, "It is very hard: patience. Dry only.", Act.PAPER));
    }

    private void filler() {
        add(dustOff("filler-dust", Zone.Kind.FILLER));
        mixAndSpread(
                kit.mix("filler"),
                "filler",
                "filler",
                Zone.Kind.FILLER,
                "Body filler beyond the first edge",
                "Tight coat, then thin lifts past the edge of the glass-fibre filler, tapered out.",
                Act.BODY_FILLER);
        cure(kit.mix("filler"), "filler", Zone.Kind.FILLER, "80");
        addAll(sanding(
                "shape",
                "filler",
                true,
                "Translucent edges tell that it is flush. Never wet: rust starts beneath it.",
                Act.PAPER));
        add(look(
                        "shape-gate",
                        "Flush all round?",
                        "Flat hand, light from the side, edges translucent.",
                        Zone.Kind.FILLER,
                        gate(
                                "Flush, edges translucent, no pinholes?",
                                "Good",
                                "primer",
                                "Not yet",
                                branch("low", "Low spot", "filler again", "filler-again"),
                                branch("pinholes", "Pinholes", "a coat over all", "filler-again")))
                .howDeep());
        List<StepBuilder> again = new ArrayList<>();
        again.add(dustOff("dust", Zone.Kind.FILLER).howDeep());
        again.add(mixingAgain(kit.mix("filler"), Zone.Kind.FILLER));
        again.add(spreadingAgain(
                        kit.mix("filler"), "Fill and skim over all", "Tight and thin.", "filler", Zone.Kind.FILLER)
                .acts(Act.BODY_FILLER));
        again.add(curing(kit.mix("filler"), "wait", Zone.Kind.FILLER, "80"));
        again.addAll(sanding("shape", "filler", true, "", Act.PAPER));
        loop("filler-again", "Filler again", again.toArray(StepBuilder[]::new));
    }

    private void prime() {
        add(step("tack", Kind.DO, "Wipe, then tack cloth")
                .detail("Tack cloth opened, balled loosely, light touch.")
                .zone(Zone.Kind.STRIP)
                .material(name(Role.TACK))
                .active(TradeBook.value("minutes.wipe"))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN));
        addAll(dew(Zone.Kind.STRIP));
        add(step("prime", Kind.DO, "Primer, even wet coats")
                .detail("Touch test between coats: no string on a gloved finger.")
                .zone(Zone.Kind.STRIP)
                .layer("primer")
                .material(name(Role.SEAL))
                .amount(needed(kit.portion("primer")))
                .portion("primer")
                .active(TradeBook.value("minutes.prime"))
                .caution("primer")
                .acts(Act.PRIMER));
        add(step("prime-back", Kind.DO, "Primer on the back too")
                .detail("Over mesh and bare metal, against new rust; then cavity wax by its label.")
                .zone(Zone.Kind.PRIME_BACK)
                .layer("primer-back")
                .material(name(Role.SEAL))
                .portion("primer")
                .active(TradeBook.value("minutes.prime"))
                .caution("primer")
                .acts(Act.PRIME_BACK));
        ready("Ready for paint", "");
    }
}
