package vanemend.core.method;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Step.Kind;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Surfacer or filling primer, sprayed in coats, cured, blocked and handed over for paint: what follows a method's last look. */
final class SurfacePage extends MethodPage {
    /** Its amount. */
    static final String PORTION = "surfacer";

    /** Flash between its coats. */
    static final String FLASH = "surfacer-flash";

    /** Its cure. */
    static final String WAIT = "surfacer";

    /** Leg of the ladder that levels it. */
    static final String BLOCK = "surf-block";

    /** Leg of the ladder for the paint. */
    static final String FINE = "surf-fine";

    /** The layer it is. */
    static final String LAYER = "surfacer";

    /**
     * What the page turns on.
     *
     * @param polyester surfacer; false for two-part filling primer
     * @param coats how many
     * @param wetUm one coat, wet, µm
     * @param leftUm what stands when it is blocked, as reckoned, µm
     * @param field it lies on, sanded finer than the rest
     */
    record Build(boolean polyester, int coats, double wetUm, double leftUm, Zone.Kind field) {}

    private final Build build;

    private SurfacePage(Kit kit, Build build) {
        super(kit);
        this.build = build;
    }

    /** {@code base} with surfacer after its last look; what handed it over falls away. */
    static MethodSteps onto(MethodSteps base, Kit kit, Build build) {
        SurfacePage p = new SurfacePage(kit, build);
        base.steps().stream().filter(s -> !s.acts().contains(Act.READY)).forEach(p.steps::add);
        if (primedLast(base.steps())) {
            p.dull();
        }
        p.ground();
        p.spray();
        p.block();
        p.handOver();
        MethodSteps whole = p.laid(base.method());
        return new MethodSteps(
                base.method(),
                whole.steps(),
                () -> joined(base.rework().get(), whole.rework().get()),
                base.mixes());
    }

    /** Whether primer that nothing was sanded after lies on top: it shines, and what is sprayed on it peels. */
    private static boolean primedLast(List<Step> steps) {
        List<Step> last = steps.stream()
                .filter(s -> s.kind() == Kind.SAND || s.acts().contains(Act.PRIMER))
                .toList();
        return !last.isEmpty() && last.getLast().acts().contains(Act.PRIMER);
    }

    private void dull() {
        add(step("surf-scuff", Kind.SAND, "Dull the primer by hand")
                .detail("Hard by its label first; the last paper, a soft pad, into edges and lines, not through.")
                .zone(build.field())
                .tool("Hand pad")
                .paper(last())
                .active(hands("minutes.scuff", build.field()))
                .caution("dust"));
    }

    /** The loops of both; one that the method has already stays as it is there. */
    private static List<Loop> joined(List<Loop> base, List<Loop> more) {
        Map<String, Loop> out = new LinkedHashMap<>();
        base.forEach(l -> out.put(l.id(), l));
        more.forEach(l -> out.putIfAbsent(l.id(), l));
        return List.copyOf(out.values());
    }

    private static String um(double v) {
        return Text.of(Math.round(v), "µm");
    }

    private String it() {
        return build.polyester() ? "surfacer" : "filling primer";
    }

    private void ground() {
        add(look(
                "surf-ground",
                "Look over what it goes on",
                "Light from the side, all of the field and its rim; a thumbnail on what was filled last.",
                build.field(),
                gate(
                        "Nothing bare, nothing soft, dull all over?",
                        "All well",
                        "blow off, mask",
                        "Not so",
                        branch("bare", "Metal shows", "prime that place first", "surf-bare"),
                        branch("shine", "Shine left", "dull it", "surf-dull"),
                        stop(
                                "soft",
                                "Soft beneath",
                                "What is soft shrinks under it: it comes out to where it is hard. Plan anew.",
                                Weight.STOP))));
        loop(
                "surf-bare",
                "Prime the bare place",
                step("prime", Kind.DO, "Prime the bare place")
                        .detail(
                                "Thin, just past the metal, by the primer's own label: how, and what may go over it when.")
                        .zone(Zone.Kind.SURFACED)
                        .active(TradeBook.value("minutes.prime"))
                        .caution("primer")
                        .caution("spray"),
                drying(
                        "prime-dry",
                        "Let it dry, then dull it",
                        "As its label says, then dulled by hand.",
                        "surf-bare",
                        Zone.Kind.SURFACED,
                        "Dry by its label, dulled?"));
        loop(
                "surf-dull",
                "Dull it",
                step("dull", Kind.SAND, "Dull the shine by hand")
                        .detail("The last paper, a soft pad, into edges and lines.")
                        .zone(build.field())
                        .tool("Hand pad")
                        .paper(last())
                        .active(hands("minutes.scuff", Zone.Kind.SURFACED))
                        .caution("dust"));
        add(step("surf-mask", Kind.DO, "Mask what lies beside")
                .detail(
                        "Paper folded back at the rim of the field, so that no hard edge builds up; lamps, strips and glass covered.")
                .zone(build.field())
                .active(TradeBook.value("minutes.tape")));
        add(dustOff("surf-dust", build.field()));
    }

    /** The paper that the field was sanded with last, before any surfacer. */
    private String last() {
        return kit.ladder().rungs().stream()
                .filter(r -> !r.leg().equals(BLOCK) && !r.leg().equals(FINE))
                .reduce((a, b) -> b)
                .map(r -> r.paper())
                .orElse("");
    }

    private void spray() {
        addAll(dew("surf-dew", Zone.Kind.SURFACED));
        add(cautioned(step("surf-mix", Kind.DO, "Mix it for the gun")
                .detail(
                        "Both parts in the label's ratio, by its own measure; stirred, strained, and sprayed inside its pot life.")
                .zone(Zone.Kind.SURFACED)
                .material(name(Role.SURFACE))
                .amount(needed(kit.portion(PORTION)))
                .figure(needed(kit.portion(PORTION)))
                .portion(PORTION)
                .active(TradeBook.value("minutes.prepare-mix"))));
        for (int n = 1; n <= build.coats(); n++) {
            add(coat("surf-coat-" + n, "coat " + n + " of " + build.coats()));
            if (n < build.coats()) {
                add(flashed("surf-flash-" + n));
            }
        }
        add(cured("surf-wait", "Wait to block", WAIT, LAYER, Zone.Kind.SURFACED, "Block from", Act.PRIMER_CURED));
    }

    private StepBuilder coat(String id, String which) {
        return cautioned(step(id, Kind.DO, first(it()) + ", " + which)
                .detail("Even and wet, " + um(build.wetUm())
                        + " of it, each a little further out than the last, the field's rim left free.")
                .zone(Zone.Kind.SURFACED)
                .layer(LAYER)
                .material(name(Role.SURFACE))
                .active(hands("minutes.prime", Zone.Kind.SURFACED))
                .acts(Act.PRIMER));
    }

    private StepBuilder flashed(String id) {
        return drying(
                id,
                "Let the coat flash",
                "Dull all over, no string on a gloved finger at its rim.",
                FLASH,
                Zone.Kind.SURFACED,
                "Dull all over?");
    }

    /** What it gives off while it is mixed and sprayed. */
    private StepBuilder cautioned(StepBuilder b) {
        return build.polyester()
                ? b.caution("styrene").caution("peroxide").caution("spray")
                : b.caution("primer").caution("spray");
    }

    private void block() {
        addAll(sanding(BLOCK, LAYER, true, "Not at edges and lines: there it is thin.", Act.PAPER));
        add(look(
                "surf-flat",
                "Look for dark, for bare, for lines",
                "Wiped dry, light from the side, flat hand in all directions.",
                Zone.Kind.SURFACED,
                gate(
                        "No guide coat left, nothing cut through?",
                        "Flat",
                        "paper for the paint",
                        "Not so",
                        branch("dark", "Dark places left", "coat and block again", "surf-again"),
                        branch("through", "Cut through", "prime it, coat and block again", "surf-through"),
                        stop(
                                "edge",
                                "The rim lifts or wrinkles",
                                "What lies beneath was soft or dirty: it comes off to where it holds. Plan anew.",
                                Weight.STOP))));
        loop("surf-again", "Coat and block again", again().toArray(StepBuilder[]::new));
        List<StepBuilder> through = new ArrayList<>();
        through.add(step("prime", Kind.DO, "Prime where metal shows")
                .detail("Thin, by the primer's own label; over filler alone nothing is primed.")
                .zone(Zone.Kind.SURFACED)
                .active(TradeBook.value("minutes.prime"))
                .caution("primer")
                .caution("spray"));
        through.addAll(again());
        loop("surf-through", "Prime, coat and block again", through.toArray(StepBuilder[]::new));
        addAll(sanding(FINE, LAYER, true, "", Act.PAPER));
    }

    private List<StepBuilder> again() {
        List<StepBuilder> out = new ArrayList<>();
        out.add(dustOff("dust", build.field()));
        out.add(coat("coat", "one coat more"));
        out.add(cured("wait", "Wait to block", WAIT, LAYER, Zone.Kind.SURFACED, "Block from", Act.PRIMER_CURED));
        out.addAll(sanding(BLOCK, LAYER, true, "", Act.PAPER));
        return out;
    }

    private void handOver() {
        String grade = kit.ladder().rungs().getLast().paper();
        add(step("ready", Kind.DO, "Blow off and wipe: ready for paint")
                .detail("To the paint shop: " + it() + ", about "
                        + um(build.leftUm())
                        + " left as reckoned, sanded last with " + grade
                        + ". Sealed by the paint's label before any colour"
                        + (build.polyester() ? ": polyester drinks. " : ", where it was cut through above all. ")
                        + TradeBook.shipped().closing())
                .zone(Zone.Kind.CLEAN)
                .active(hands("minutes.wipe", Zone.Kind.CLEAN))
                .caution("solvent")
                .acts(Act.WIPE_AGAIN, Act.READY));
    }
}
