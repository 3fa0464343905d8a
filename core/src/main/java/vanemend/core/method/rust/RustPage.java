package vanemend.core.method.rust;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodPage;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.trade.TradeBook;

/** What the pages of this family share: converter, body filler over glass-fibre filler, primer. */
abstract class RustPage extends MethodPage {
    RustPage(Kit kit) {
        super(kit);
    }

    /** Glass-fibre filler is sanded with the mask that fibre asks for. */
    @Override
    protected String dustOf(String leg) {
        return leg.equals(RustLegs.FIBRE) ? "fibre-dust" : super.dustOf(leg);
    }

    /** Converter on the rust alone, dry, and looked at. */
    final void convert(String title, Zone.Kind rust, String next) {
        add(step("convert", Kind.DO, title)
                .detail("Brushed on the rust only: on clean metal or paint it stays tacky and nothing holds over it.")
                .zone(rust)
                .material(name(Role.CONVERT))
                .portion("converter")
                .active(hands("minutes.brush", rust))
                .caution("solvent")
                .acts(Act.CONVERT));
        add(converterDry("convert-dry", rust).acts(Act.CONVERTED));
        add(look(
                "sound",
                "Only sound metal or converted rust",
                "Light from the side, a scriber in every pit, the back too.",
                Zone.Kind.FIBRE,
                gate(
                        "Nothing red, nothing loose, nothing tacky?",
                        "Sound",
                        next,
                        "Live rust left",
                        branch("rust", "Live rust left", "grind, convert, dry", "rust-again"))));
        loop(
                "rust-again",
                "Grind and convert again",
                step("grind", Kind.DO, "Grind the place bright")
                        .detail("What a scriber lifts comes off.")
                        .zone(rust)
                        .active(TradeBook.value("minutes.file"))
                        .caution("metalwork")
                        .caution("hot-work"),
                step("convert", Kind.DO, "Converter in what is left")
                        .detail("Rust only.")
                        .zone(rust)
                        .material(name(Role.CONVERT))
                        .active(hands("minutes.brush", rust))
                        .caution("solvent")
                        .acts(Act.CONVERT),
                converterDry("dry", rust).acts(Act.CONVERTED));
    }

    private StepBuilder converterDry(String id, Zone.Kind rust) {
        return drying(
                id,
                "Let the converter dry completely",
                "Black and dry right through; longer cold or damp.",
                "converter",
                rust,
                "Dry right through, black, no tack?");
    }

    /** Primer dry on every side before anything follows it. */
    final void primerDry() {
        add(drying(
                "prime-dry",
                "Let the primer dry",
                "A gloved finger leaves no print where it lies thickest.",
                "primer",
                Zone.Kind.STRIP,
                "No string, no print?"));
    }

    /** Body filler beyond the edge of the glass-fibre filler, levelled, feathered and looked at. */
    final void filler() {
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
                "Translucent edges tell that it is flush. Never wet: rust starts beneath it. "
                        + longBoard(Zone.Kind.FILLER),
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

    /** Wiped and primed on the face. */
    final void prime() {
        add(step("tack", Kind.DO, "Wipe, then tack cloth")
                .detail("Tack cloth opened, balled loosely, light touch.")
                .zone(Zone.Kind.STRIP)
                .material(name(Role.TACK))
                .active(hands("minutes.wipe", Zone.Kind.STRIP))
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
                .active(hands("minutes.prime", Zone.Kind.STRIP, TradeBook.value("coat.primer-coats")))
                .caution("primer")
                .acts(Act.PRIMER));
    }
}
