package vanemend.core.method;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Step.Kind;
import vanemend.core.trade.TradeBook;

/** The face of a plastic repair, the same whatever backs it: dish, dull, promoter, adhesive, sand, promoter. */
abstract class PlasticPage extends KitPage {
    PlasticPage(Kit kit) {
        super(kit);
    }

    void washAndClean(boolean back) {
        wash(back ? Zone.Kind.BACK_CLEAN : Zone.Kind.CLEAN, "");
        add(clean(
                "clean",
                back ? "Plastics cleaner, face and back" : "Plastics cleaner",
                (back ? "Mould release, glue and overspray off the back too. " : "")
                        + "On with one cloth, off with another while wet.",
                back ? Zone.Kind.BACK_CLEAN : Zone.Kind.CLEAN));
    }

    /** The back sanded dull, and looked at. */
    void dullBack() {
        addAll(sanding("back", "part", false, "No bevel at the back.", Act.SAND_BACK));
        add(look(
                        "back-shine",
                        "Look for shine at the back",
                        "Tilt it against the light: any gloss is a place that will not hold.",
                        Zone.Kind.BACK_SAND,
                        gate(
                                "No shine anywhere the back material goes?",
                                "All dull",
                                "dust off",
                                "Shine left",
                                branch("shine", "Shine left", "sand again", "back-again")))
                .acts(Act.NO_SHINE));
        loop(
                "back-again",
                "Sand the back again",
                sanding("back", "part", false, "", Act.SAND_BACK).toArray(StepBuilder[]::new));
        add(dustOff("back-dust", Zone.Kind.BACK_SAND));
    }

    /** The crack dished on the face. */
    void dish(boolean backing) {
        add(step("dish", Kind.SAND, backing ? "Dish until the backing just shows" : "Dish the face")
                .detail("Wide and shallow, rounded, no kink at its rim: "
                        + (backing ? "a knife edge at the bottom, no blunt butt joint. " : "")
                        + "A coarse non-woven belt smears less than paper. 80 stays inside.")
                .zone(Zone.Kind.DISH)
                .layer("part")
                .tool("Belt or DA")
                .paper("80")
                .active(minutesFor("minutes.dish.per-100cm2", Zone.Kind.DISH))
                .caution("dust")
                .needs(Step.Resource.SANDER)
                .acts(Act.DISH, Act.SAND_FACE));
    }

    /** 80 inside, 180 around, no shine; then promoter. */
    void dullFace() {
        addAll(sanding("open", "part", false, "", Act.SAND_FACE));
        addAll(sanding("around", "part", false, "Where the adhesive will feather.", Act.SAND_FACE));
        add(look(
                        "face-shine",
                        "Look for shine on the face",
                        "Tilt it against the light, the whole dish and the ring.",
                        Zone.Kind.RING_180,
                        gate(
                                "No shiny spot?",
                                "All dull",
                                "promoter next",
                                "Shine left",
                                branch("shine", "Shine left", "180 again", "face-again")))
                .acts(Act.NO_SHINE));
        loop(
                "face-again",
                "Dull again",
                sanding("around", "part", false, "", Act.SAND_FACE).toArray(StepBuilder[]::new));
        add(dustOff("face-dust", Zone.Kind.RING_180));
    }

    List<StepBuilder> facePromoter(String id) {
        return promoter(id, Role.PROMOTE, Zone.Kind.RING_180, "promoter", Act.PROMOTE, Act.FLASH);
    }

    /** Face adhesive, tight coat then build. */
    void faceAdhesive() {
        addAll(facePromoter("face-promoter"));
        cartridgeReady("face-ready", "face");
        add(apply(
                        "face-fill",
                        "Tight coat, then build",
                        "Press a tight coat into the dish, then build with the nozzle kept in the puddle: no air. Arch the"
                                + " spreader for the last strokes, so that it ends "
                                + mm("plastic.proud") + " proud.",
                        "face",
                        "face",
                        Zone.Kind.RING_180,
                        spreadMin("face"))
                .acts(Act.APPLY_FACE)
                .caution("epoxy"));
        add(cured(
                "face-wait", "Wait to sand the face", "face", "face", Zone.Kind.RING_180, "Sand from", Act.CURE_FACE));
    }

    double spreadMin(String portion) {
        return Math.max(1, Math.round(kit.portion(portion).workMin() * TradeBook.value("mix.work-share")) - 1);
    }

    /** Sanded level; pinholes and low places take the same material again, with promoter before. */
    void shapeFace() {
        addAll(sanding(
                "shape",
                "face",
                true,
                "DA slow and moving: heat rolls the edge. 80 only on a tall build, only on the repair.",
                Act.PAPER));
        add(look(
                "pinholes",
                "Look for pinholes, low spots, a rolled edge",
                "Block across it, light from the side. An edge that rolls back means missing promoter, or heat.",
                Zone.Kind.RING_180,
                gate(
                        "Flat, no pinholes, feather edge whole?",
                        "Good",
                        "promoter, then primer",
                        "Not yet",
                        branch("pinholes", "Pinholes", "same material, promoter first", "second-coat"),
                        branch("low", "Low spot", "second coat, promoter first", "second-coat"),
                        branch("rolled", "Edge rolls back", "cut it back, promoter, refill", "second-coat"))));
        List<StepBuilder> again = new ArrayList<>(List.of(dustOff("dust", Zone.Kind.RING_180)));
        again.addAll(facePromoter("promoter"));
        again.add(secondCoat());
        again.add(cured("wait", "Wait to sand", fillId(), "face", Zone.Kind.RING_180, "Sand from", Act.CURE_FACE));
        again.addAll(sanding("shape", "face", true, "", Act.PAPER));
        loop("second-coat", "Second coat, same material", again.toArray(StepBuilder[]::new));
    }

    /** Which portion or mix fills the face. */
    String fillId() {
        return "face";
    }

    StepBuilder secondCoat() {
        return apply(
                        "fill",
                        "Second coat, the same material",
                        "Into the pinholes with pressure, never a glaze.",
                        "face",
                        "face",
                        Zone.Kind.RING_180,
                        spreadMin("face"))
                .acts(Act.APPLY_FACE)
                .caution("epoxy");
    }

    /** The last promoter under the primer. */
    void seal() {
        add(dustOff("seal-dust", Zone.Kind.FINE_320));
        addAll(promoter("seal", Role.SEAL, Zone.Kind.FINE_320, "seal", Act.PROMOTE_SEAL, Act.FLASH_SEAL));
        ready("Ready for primer", "Promoter is on and flashed: primer next, inside its window by its label.");
    }
}
