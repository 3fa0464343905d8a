package vanemend.core.method.dent;

import java.util.List;
import vanemend.core.damage.Dent;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Kit;
import vanemend.core.method.Step.Clock;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Weight;
import vanemend.core.part.Metal;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Dents that others push out, and dents that studs pull: both before anything is measured. */
abstract class DentRaising extends DentGround {
    DentRaising(Kit kit, Found found) {
        super(kit, found);
    }

    /** Many are found by light and marked: one that is missed shows under the paint. */
    void mark() {
        int n = found.hollows().size();
        if (n > 1) {
            add(step("mark", Kind.DO, "Light from the side, chalk round each")
                    .detail(n + " are planned. One more that is found is drawn and planned with them.")
                    .zone(Zone.Kind.CLEAN)
                    .tool("Lamp, chalk")
                    .active(TradeBook.value("minutes.measure")));
        }
    }

    void pushedOut() {
        List<Integer> pushed = dents(Dent.Raising.PUSHED_OUT);
        if (!pushed.isEmpty()) {
            add(look(
                    "pushed-out",
                    "Look at " + DentFill.called(kit.job(), pushed) + ": pushed out?",
                    "Light from the side. Whoever pushes out without paint is done before anything is opened here; glue and wax off.",
                    Zone.Kind.CLEAN,
                    gate(
                            "Gone, the paint over it whole?",
                            "Gone",
                            "go on",
                            "Not so",
                            stop(
                                    "left",
                                    "Still there, or the paint is cracked",
                                    "It is filled with the others: plan anew with it.",
                                    Weight.STOP))));
        }
    }

    void pull() {
        int n = studs();
        add(step("battery", Kind.WAIT, "Battery off, then look behind")
                .detail(
                        "Airbag, control unit, wiring, wax, foam, glue, a fuel line: what burns or fires is off or far.")
                .zone(Zone.Kind.DAMAGE)
                .caution("hot-work")
                .clock(
                        Clock.Kind.FROM,
                        "Weld from",
                        TradeBook.value("pull.battery"),
                        TradeBook.shipped().turn("pull.battery").shown()
                                + "; the vehicle maker's wait where it is longer")
                .gate(gate(
                        "Nothing behind that burns or fires?",
                        "Safe",
                        "weld the studs",
                        "Something is",
                        stop(
                                "near",
                                "An airbag, electronics or fuel near",
                                "It comes off first by the vehicle maker's procedure: nothing is welded beside it.",
                                Weight.STOP))));
        StepBuilder studs = step("studs", Kind.DO, "Bare a spot, weld on: " + n + (n == 1 ? " stud" : " studs"))
                .detail("Each spot " + mm("pull.spot") + " or so, no larger; one more close by for the earth. The paint"
                        + " between stays: it shows the shape.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Spot grinder, stud welder")
                .active(n * TradeBook.value("pull.stud-on"))
                .caution("dust")
                .caution("metalwork")
                .caution("hot-work")
                .caution("old-paint");
        if (metal().kind() == Metal.Kind.GALVANISED_STEEL) {
            studs.caution("zinc-fume");
        }
        add(studs);
        add(pulling("Pull, tap the high around it"));
        loop("pull-again", "Pull on", pulling("Pull on"));
        add(look(
                "pulled",
                "Press it, a palm over it",
                "Both hands flat, from sound sheet inwards; a straightedge between the studs.",
                Zone.Kind.DAMAGE,
                gate(
                        Text.book("limit.metal-shallow.upTo") + " left or less, nothing springs, nothing stands proud?",
                        "Calm",
                        "studs off",
                        "Not so",
                        branch("deep", "Deeper", "pull on", "pull-again"),
                        branch("proud", "A high spot", "tap it down", "straighten-again"),
                        stop(
                                "springs",
                                "It springs",
                                "It is stretched: shrunk first, by whoever may heat this steel; then measured again.",
                                Weight.STOP))));
        add(step("studs-off", Kind.DO, "Studs off, their spots flush")
                .detail("Twisted or cut off, ground flush and not thin.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Cutter, spot grinder")
                .active(n * TradeBook.value("pull.stud-off"))
                .caution("dust")
                .caution("metalwork")
                .caution("hot-work"));
        add(step("behind-pulled", Kind.DO, "Behind: burnt primer and wax made new")
                .detail(
                        "Brushed off, primed and waxed by their labels, through the nearest opening; drain holes stay open.")
                .zone(Zone.Kind.DAMAGE)
                .active(hands("minutes.brush", Zone.Kind.DAMAGE))
                .caution("primer"));
    }

    private StepBuilder pulling(String title) {
        return step("pull", Kind.DO, title)
                .detail(
                        "What went in last comes out first. Pull and hold, tap the ridge round it; heat only where the steel is"
                                + " known and mild.")
                .zone(Zone.Kind.DAMAGE)
                .layer("part")
                .tool("Puller, hammer")
                .active(pulled() * TradeBook.value("minutes.per-dent.straighten"))
                .caution("metalwork")
                .caution("hot-work");
    }
}
