package vanemend.core.method.plastic;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Weight;
import vanemend.core.sanding.Tool;
import vanemend.core.trade.TradeBook;

/** The face of a plastic repair, the same whatever backs it: dish, dull, promoter, adhesive, sand, promoter. */
abstract class PlasticPage extends MethodPage {
    PlasticPage(Kit kit) {
        super(kit);
    }

    void washAndClean(boolean back) {
        wash(back ? Zone.Kind.BACK_CLEAN : Zone.Kind.CLEAN, "");
        trialSpot();
        add(clean(
                "clean",
                back ? "Clean face and back" : "Clean the face",
                (back ? "Mould release, glue and overspray off the back too. " : "")
                        + "On with one cloth, off with another while wet.",
                back ? Zone.Kind.BACK_CLEAN : Zone.Kind.CLEAN));
        dryPart();
    }

    /** The back sanded dull, and looked at. */
    void dullBack() {
        addAll(sanding("back", "part", false, "No bevel at the back.", Act.SAND_BACK));
        lookAtBack();
        add(dustOff("back-dust", Zone.Kind.BACK_SAND));
    }

    /** The back looked at against the light. */
    void lookAtBack() {
        add(look(
                        "back-shine",
                        "Look for shine at the back",
                        "Tilt it against the light: any gloss is a place that will not hold.",
                        Zone.Kind.BACK_SAND,
                        gate(
                                "No shine anywhere the back material goes?",
                                "All dull",
                                "go on",
                                "Shine left",
                                branch("shine", "Shine left", "sand again", "back-again")))
                .acts(Act.NO_SHINE));
        loop(
                "back-again",
                "Sand the back again",
                sanding("back", "part", false, "", Act.SAND_BACK).toArray(StepBuilder[]::new));
    }

    /** The face ground to shape. */
    void grind(String id, String title, String detail, Tool tool, Zone.Kind zone) {
        add(step(id, Kind.SAND, title)
                .detail(detail)
                .zone(zone)
                .layer("part")
                .tool(tool.word())
                .paper("80")
                .active(minutesFor("minutes.dish.per-100cm2", zone == Zone.Kind.DISH ? zone : Zone.Kind.ADHESIVE))
                .caution("dust")
                .needs(Step.Resource.SANDER)
                .acts(Act.DISH, Act.SAND_FACE));
    }

    /** Mesh, and film that carries it, cut to size. */
    void cutMesh() {
        add(cut(
                "cut-mesh",
                "Cut the mesh",
                mm("mesh.past") + " past the hole at sides and ends.",
                "mesh",
                Zone.Kind.MESH));
        add(cutFilm(Zone.Kind.MESH));
    }

    /** The film off the mesh, once what it lies in has set. */
    void filmOff(Act cured) {
        add(step("film-off", Kind.DO, "Peel the film")
                .detail("It comes off clean once it has set.")
                .zone(Zone.Kind.MESH)
                .material(name(Role.FILM))
                .active(TradeBook.value("minutes.untape"))
                .acts(cured));
    }

    /** The damage dished on the face. */
    void dish(boolean backing) {
        grind(
                "dish",
                backing ? "Dish until the backing just shows" : "Dish the face",
                "Wide and shallow, rounded, no kink at its rim"
                        + (backing ? ": a knife edge at the bottom, no blunt butt joint" : "")
                        + ". A coarse non-woven belt smears less than paper. 80 stays inside.",
                Tool.BELT_OR_DA,
                Zone.Kind.DISH);
        if (backing) {
            add(look(
                    "backing-shows",
                    "Backing just shows?",
                    "Along the whole crack, at the bottom of the dish.",
                    Zone.Kind.DISH,
                    gate(
                            "Backing shows at the bottom all along, dish rounded, backing whole?",
                            "Just shows",
                            "80 and 180",
                            "Not yet",
                            branch("shallow", "Not to the backing", "grind on", "dish-again"),
                            stop(
                                    "through",
                                    "Cut through the backing",
                                    "Nothing holds the two sides: the back is cleaned, sanded and laid again. Plan anew.",
                                    Weight.STOP))));
            loop(
                    "dish-again",
                    "Grind on",
                    step("dish", Kind.SAND, "Grind on to the backing")
                            .detail("Slow and moving, a little at a time: plastic smears when hot.")
                            .zone(Zone.Kind.DISH)
                            .layer("part")
                            .tool(Tool.BELT_OR_DA.word())
                            .paper("80")
                            .active(hands("minutes.scuff", Zone.Kind.DISH))
                            .caution("dust")
                            .needs(Step.Resource.SANDER)
                            .acts(Act.DISH, Act.SAND_FACE));
        }
    }

    /** What the face adhesive goes over, as said. */
    String filled() {
        return "the dish";
    }

    /** 80 inside, 180 around, no shine; then promoter. */
    void dullFace() {
        addAll(sanding("open", "part", false, "", Act.SAND_FACE));
        addAll(sanding("around", "part", false, "Where it will feather.", Act.SAND_FACE));
        add(look(
                        "face-shine",
                        "Look for shine on the face",
                        "Tilt it against the light, all of " + filled() + " and the ring.",
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

    /** The face filled: promoter, tight coat, then build, and its cure. */
    void fillFace() {
        addAll(facePromoter("face-promoter"));
        if (kit.has("filler")) {
            mixAndSpread(
                    kit.mix("filler"),
                    "face",
                    "filler",
                    Zone.Kind.RING_180,
                    "Tight coat, then build",
                    "Press a tight coat in, then thin lifts, edges tapered; end proud.",
                    Act.APPLY_FACE);
            add(curing(kit.mix("filler"), "face-wait", Zone.Kind.RING_180, "180")
                    .acts(Act.CURE_FACE));
            return;
        }
        cartridgeReady("face-ready", "face");
        addAll(inGoes(
                "face-fill",
                "Tight coat, then build",
                "Press a tight coat on all of " + filled()
                        + ", then build with the nozzle kept in the puddle: no air. Arch the spreader for"
                        + " the last strokes, so that it ends " + mm("plastic.proud") + " proud.",
                "face",
                "face",
                Zone.Kind.RING_180,
                Act.APPLY_FACE));
        add(cured(
                "face-wait", "Wait to sand the face", "face", "face", Zone.Kind.RING_180, "Sand from", Act.CURE_FACE));
    }

    /** Layer of what fills the face: filler from the tin, or adhesive. */
    private String fill() {
        return kit.has("filler") ? "filler" : "face";
    }

    /** A second coat of what filled the face, and its cure: mixed or purged anew. */
    private List<StepBuilder> secondCoat() {
        String how = "Into the pinholes with pressure, thin, never a glaze.";
        if (kit.has("filler")) {
            MixPlan mix = kit.mix("filler");
            return List.of(
                    mixingAgain(mix, Zone.Kind.RING_180),
                    spreadingAgain(mix, "Second coat, the same filler", how, "filler", Zone.Kind.RING_180)
                            .acts(Act.APPLY_FACE),
                    curing(mix, "wait", Zone.Kind.RING_180, "180").acts(Act.CURE_FACE));
        }
        return List.of(
                purgedAgain("ready", "face"),
                applyAgain("fill", "Second coat, the same material", how, "face", "face", Zone.Kind.RING_180)
                        .acts(Act.APPLY_FACE)
                        .caution("epoxy"),
                cured("wait", "Wait to sand", "face", "face", Zone.Kind.RING_180, "Sand from", Act.CURE_FACE));
    }

    /** Sanded level; pinholes and low places take the same material again, with promoter before. */
    void shapeFace() {
        addAll(sanding("shape", fill(), true, "Heat rolls the edge.", Act.PAPER));
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
                                branch("rolled", "Edge rolls back", "cut it back, promoter, refill", "second-coat")))
                .howDeep());
        List<StepBuilder> again =
                new ArrayList<>(List.of(dustOff("dust", Zone.Kind.RING_180).howDeep()));
        again.addAll(facePromoter("promoter"));
        again.addAll(secondCoat());
        again.addAll(sanding("shape", fill(), true, "", Act.PAPER));
        loop("second-coat", "Second coat, same material", again.toArray(StepBuilder[]::new));
    }

    /** The last promoter under the primer. */
    void seal() {
        add(dustOff("seal-dust", Zone.Kind.FINE_320));
        addAll(promoter("seal", Role.SEAL, Zone.Kind.FINE_320, "seal", Act.PROMOTE_SEAL, Act.FLASH_SEAL));
        ready("Ready for primer", "Promoter is on and flashed: primer next, inside its window by its label.");
    }
}
