package vanemend.core.words;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.Step;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.plan.PlanEditDraft;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Readings;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.run.Stop;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;

/** Everything that is decided for every way to mend, without a word of how it is said; one line each. Made by name, in a world of its own. */
public final class Structure implements Callable<List<String>> {
    /** Readings that are given wherever they are asked; some of them say stop. */
    private static double reading(Quantity q) {
        return switch (q) {
            case DEPTH_MM -> 7.5;
            case OPENING_MM -> 71;
            case SPOT_MM -> 62;
            case FILLER_G -> 60;
            case CREAM_G -> 1.7;
            case SURFACE_C -> 71;
            case AIR_C -> 19;
            case RH_PERCENT -> 88;
            case FILM_UM -> 47;
            case UV -> 12;
            case INJURY_MM -> 4;
            case ANGLE_DEG -> 28;
            case USED_ML, USED_G -> 33;
        };
    }

    private final List<String> out = new ArrayList<>();
    private Instant at = TestShop.NOW;

    @Override
    public List<String> call() {
        Cases.all().forEach((recipe, draft) -> {
            Workup w = workup(draft);
            said("== " + recipe);
            workup(w);
            Plan plan = w.plan().orElseThrow();
            plan(plan);
            run(new FrozenPlan(TestShop.NOW, "Tam", draft, w));
            String moved = plan.steps().get(plan.steps().size() / 2).step().id();
            workup(Cases.edited(draft, new PlanEditDraft(PlanEditDraft.Kind.SKIP, moved, null, null, null)))
                    .plan()
                    .ifPresent(p -> p.broken().forEach(b -> said("broken", b.interlock(), b.step())));
        });
        return out;
    }

    private static Workup workup(RepairDraft draft) {
        return TestShop.workup(draft, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf()));
    }

    private void said(Object... parts) {
        StringBuilder line = new StringBuilder();
        for (Object p : parts) {
            line.append(p instanceof Double d ? String.format(Locale.ROOT, "%.6f", d) : String.valueOf(p))
                    .append(' ');
        }
        out.add(line.toString().strip());
    }

    private void workup(Workup w) {
        said("verdict", w.verdict().outcome(), w.blockers().size());
        w.verdict().findings().forEach(f -> said("finding", f.ruleId(), f.outcome(), f.bears()));
        said("stack", w.stack().taken(), w.stack().puttyAlone());
        w.stack()
                .ranked()
                .forEach(r -> said(
                        "ranked", r.recipe(), r.method(), r.score(), r.missing().size()));
        w.stack()
                .lines()
                .forEach(
                        l -> said("line", l.role(), l.chosen().map(c -> c.item().id())));
        w.stack().ruledOut().forEach(r -> said("out", r.itemId(), r.rule()));
        w.stack().rejectedWays().forEach(r -> said("way", r.id(), r.rule()));
        w.stack().rejectedClasses().forEach(r -> said("class", r.id(), r.rule()));
        w.drawing().zones().forEach(z -> said("zone", z.kind(), z.areaMm2()));
    }

    private void plan(Plan p) {
        said("plan", p.method(), p.recipe(), p.activeMin(), p.totalMin());
        p.schools().forEach(s -> said("school", s.school(), s.option()));
        p.mixes()
                .forEach(m -> said(
                        "mix",
                        m.id(),
                        m.pour().fillerG(),
                        m.pour().creamG(),
                        m.pour().batches()));
        p.portions().forEach(x -> said("portion", x.id(), x.needed(), x.unit(), x.batches(), x.workMin()));
        p.waits().forEach(x -> said("wait", x.id(), x.route().kind(), x.route().minutes()));
        p.ladder().rungs().forEach(r -> said("rung", r.id(), r.leg(), r.tool(), r.minutes(), r.discs()));
        p.budget().ifPresent(b -> b.left().forEach(l -> said("left", l.rung(), l.um())));
        p.steps().forEach(s -> step(s.step()));
        for (Loop l : p.loops()) {
            said("loop", l.id());
            l.steps().forEach(this::step);
        }
    }

    private void step(Step s) {
        said("step", s.id(), s.kind(), s.zone(), s.layer(), s.mix(), s.portion(), s.activeMin(), s.acts(), s.asks());
        said("  needs", s.resources(), s.cautions().stream().map(c -> c.id()).toList());
        s.watches()
                .forEach(w ->
                        said("  watch", w.id(), w.quantity(), w.sense(), w.limit(), w.weight(), w.loop(), w.mix()));
        s.clock().ifPresent(c -> said("  clock", c.kind(), c.minutes(), c.waitId()));
        s.gate().ifPresent(g -> g.branches().forEach(b -> said("  branch", b.id(), b.loop(), b.weight())));
    }

    /** Reads what is asked, finds every fault once, goes on early, and is told as a record. */
    private void run(FrozenPlan frozen) {
        List<BenchEvent> events = new ArrayList<>();
        at = TestShop.NOW;
        events.add(BenchEvent.start(id(events), at, "Tam"));
        Set<String> found = new HashSet<>();
        for (int i = 0; i < 400; i++) {
            RunState s = Replay.of(frozen.plan(), events, at);
            if (s.now().isEmpty()) {
                break;
            }
            RunState.RunStep now = s.now().get();
            at = at.plusSeconds(95);
            for (Quantity q : now.step().asks()) {
                events.add(BenchEvent.reading(id(events), at, "Tam", now.id(), q, reading(q)));
            }
            RunState read = Replay.of(frozen.plan(), events, at);
            read.findings().forEach(f -> said("says", f.step(), f.watch().id(), f.weight()));
            read.before().forEach(m -> said("must", m.holds()));
            read.stops().forEach(x -> said("stop", x.watch(), x.weight(), x.more()));
            // What was found too much is read again until it holds.
            for (Stop stop : read.stops()) {
                Step where = read.steps().stream()
                        .filter(r -> r.id().equals(stop.step()))
                        .findFirst()
                        .orElseThrow()
                        .step();
                stop.finding().ifPresent(f -> {
                    double fine = Readings.passing(
                            where, f.watch().quantity(), frozen.plan().air());
                    for (int n = 0; n < stop.more(); n++) {
                        events.add(BenchEvent.reading(
                                id(events), at, "Tam", stop.step(), f.watch().quantity(), fine));
                    }
                });
            }
            Optional<Gate.Branch> fault = now.step().gate().stream()
                    .flatMap(g -> g.branches().stream())
                    .filter(b -> found.add(now.at().step() + b.id()))
                    .findFirst();
            events.add(
                    now.step().gate().isEmpty()
                            ? BenchEvent.done(id(events), at, "Tam", now.id())
                            : BenchEvent.gate(
                                            id(events),
                                            at,
                                            "Tam",
                                            now.id(),
                                            fault.map(Gate.Branch::id).orElse(Gate.YES))
                                    .saying(read.stops().isEmpty() ? "" : "seen again"));
        }
        RepairRecord record = RepairRecord.of(frozen, events, at);
        said("record", record.finishedAt(), record.lines().size(), record.takenMin());
        record.deviations().forEach(d -> said("deviation", d.kind(), d.step()));
        record.used().forEach(u -> said("used", u.itemId(), u.amount(), u.unit(), u.read()));
        record.again().forEach(a -> said("again", a.due()));
        record.doses().forEach(d -> said("dose", d.step(), d.percent()));
    }

    private static UUID id(List<BenchEvent> events) {
        return new UUID(0, events.size() + 1);
    }
}
