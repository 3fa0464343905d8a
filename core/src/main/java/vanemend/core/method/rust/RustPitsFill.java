package vanemend.core.method.rust;

import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Weight;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.TradeBook;

/** Rust without a hole: loose rust off, converter on the rust only, glass-fibre filler thin and firm on bare metal, body filler, primer. */
public final class RustPitsFill extends RustPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.RUST_PITS, RustPitsLayout::new);

    private RustPitsFill(Kit kit) {
        super(kit);
    }

    /** The steps. */
    static MethodSteps lay(Kit kit) {
        RustPitsFill p = new RustPitsFill(kit);
        p.strip();
        p.probe();
        p.convert("Converter in the pits", Zone.Kind.DAMAGE, "glass-fibre filler next");
        p.fibre();
        p.filler();
        p.prime();
        p.primerDry();
        p.ready(
                "Ready for paint",
                "Look behind, too: what rusts from the back is treated from the back, then waxed by its label.");
        return p.laid("Rust without a hole");
    }

    private void strip() {
        add(clean("clean", "Clean, then strip the paint", "Degrease first.", Zone.Kind.CLEAN));
        List<StepBuilder> strip = sanding(
                "strip",
                "part",
                false,
                "Paint off " + mm("rust.strip-past") + " around, to bright metal.",
                Act.SAND_FACE);
        strip.getFirst().caution("old-paint");
        addAll(strip);
        add(step("loose", Kind.DO, "Loose rust off")
                .detail(
                        "Scraper and wire until nothing flakes; the pits picked out with a point, the place tapped a little below the face. Dust off.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Scraper, wire brush, point, hammer")
                .active(TradeBook.value("minutes.per-dent.straighten"))
                .caution("metalwork")
                .caution("hot-work")
                .acts(Act.WIPE_AGAIN));
    }

    private void probe() {
        add(look(
                "probe",
                "A scriber in every pit",
                "Press, and look for light from behind; tap round them and listen.",
                Zone.Kind.DAMAGE,
                gate(
                        "Nothing gives, no light shows, it rings?",
                        "Sound",
                        "converter next",
                        "It goes through",
                        stop(
                                "through",
                                "A pit goes through",
                                "It is a rust hole: opened to sound metal it takes mesh at the back; filler alone falls in.",
                                Weight.STOP))));
    }

    private void fibre() {
        mixAndSpread(
                kit.mix("fibre"),
                "fibre",
                "fibre",
                Zone.Kind.FIBRE,
                "Press it into the pits, thin and firm",
                "On the part inside " + minutes("rust.fibre-spread-by")
                        + " from the start of mixing. Into every pit first, then thin over all. Bare metal and converted rust only.",
                Act.FIBRE_FILLER);
        cure(kit.mix("fibre"), "fibre", Zone.Kind.FIBRE, "80");
        addAll(sanding("fibre-level", "fibre", true, "It is very hard: patience. Dry only.", Act.PAPER));
    }
}
