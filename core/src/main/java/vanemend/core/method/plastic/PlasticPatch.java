package vanemend.core.method.plastic;

import java.util.Optional;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Kit;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.trade.TradeBook;

/** Plastic, flexible patch at the back: the face dished first, the patch pressed on, then the face filled. */
final class PlasticPatch extends PlasticPage {
    private final boolean atEdge;

    private PlasticPatch(Kit kit, boolean atEdge) {
        super(kit);
        this.atEdge = atEdge;
    }

    /**
     * The steps.
     *
     * @param atEdge whether the damage runs out at the part's edge
     */
    static MethodSteps lay(Kit kit, boolean atEdge) {
        PlasticPatch p = new PlasticPatch(kit, atEdge);
        p.washAndClean(true);
        p.overspray();
        if (atEdge) {
            p.notch();
        }
        p.dish(false);
        p.dullFace();
        p.looseOff();
        p.patch();
        p.fillFace();
        p.shapeFace();
        if (atEdge) {
            p.trim();
        }
        p.seal();
        return p.laid("Plastic, one-sided with flexible patch");
    }

    private void overspray() {
        addAll(sanding("back", "part", false, "Overspray off the back; a non-woven pad does.", Act.SAND_BACK));
        lookAtBack();
    }

    private void notch() {
        add(step("notch", Kind.DO, "V-notch the end of the tear")
                .detail("Cut a V where it stops inside the part, so that it cannot run on.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Conical cutter")
                .active(TradeBook.value("minutes.measure"))
                .caution("dust")
                .acts(Act.NOTCH));
    }

    private void looseOff() {
        add(step("loose", Kind.DO, "Loose plastic off the back")
                .detail(
                        "Strings, flakes and burr along the tear cut off with a blade, flush: the patch lies flat on sound plastic.")
                .zone(Zone.Kind.BACK_SAND)
                .layer("part")
                .tool("Blade")
                .active(TradeBook.value("minutes.untape")));
        add(dustOff("loose-dust", Zone.Kind.BACK_SAND));
    }

    private void patch() {
        add(cut(
                "cut-patch",
                "Cut the patch",
                "From its template, " + mm("stack.patch-past") + " past the damage or more"
                        + (atEdge ? ", on past the part's edge." : "."),
                "patch",
                Zone.Kind.PATCH));
        late("patch-promoter", wiped("coat"), patchFlash("flash", Optional.empty()));
        add(wiped("patch-promoter").acts(Act.PROMOTE_PATCH));
        add(patchFlash("patch-promoter-flash", Optional.of(late("patch-promoter"))));
        add(step("patch", Kind.DO, "Press the patch on")
                .detail(
                        "From the middle out, hard, all over. On a feature line warm it and press it into the line, below the"
                                + " part's heat limit.")
                .zone(Zone.Kind.PATCH)
                .layer("patch")
                .tool("Roller")
                .material(kit.portion("patch").material())
                .portion("patch")
                .active(TradeBook.value("minutes.roll-patch"))
                .caution("hot-plastic")
                .acts(Act.PATCH));
    }

    private StepBuilder wiped(String id) {
        return step(id, Kind.DO, "Wipe on the patch's own promoter")
                .detail("The wipe that belongs to the patch: the spray for the face is another thing.")
                .zone(Zone.Kind.PATCH)
                .material(name(Role.PROMOTE_PATCH))
                .portion("patch-promoter")
                .active(hands("minutes.promote", Zone.Kind.PATCH))
                .caution("solvent");
    }

    private StepBuilder patchFlash(String id, Optional<Gate.Branch> late) {
        return flash(id, name(Role.PROMOTE_PATCH), Zone.Kind.PATCH, "patch-promoter", "patch", late, Act.FLASH_PATCH);
    }

    private void trim() {
        add(step("trim", Kind.DO, "Trim the patch at the edge")
                .detail("Now that it is sanded: flush with the part's edge, drawing the blade along it.")
                .zone(Zone.Kind.PATCH)
                .layer("patch")
                .tool("Blade")
                .active(TradeBook.value("minutes.untape"))
                .acts(Act.TRIM));
    }
}
