package vanemend.core.record;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vanemend.core.house.HouseChange;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.run.RunState.RunStep;
import vanemend.core.stack.StackLine;
import vanemend.core.trade.SchoolFollowed;
import vanemend.core.trade.Text;

/**
 * Planned against done.
 *
 * @param ruleBook version of the rule book the plan was made with
 * @param frozen when the plan was frozen
 * @param startedAt when work began
 * @param finishedAt when the last step was done
 * @param people who worked on it
 * @param lines every step done, rework included
 * @param doses every mix
 * @param deviations where done left planned
 * @param lots materials used
 * @param schools schools followed
 * @param house rules of the house that bore on the plan
 * @param plannedMin start to finish as planned, min
 * @param takenMin start to finish as done, min; to the last act where unfinished
 * @param events events kept for this repair
 * @param used what was taken from the shelf
 * @param again when to look at it again, and for what
 * @param amended what was put right afterwards
 * @param takenBack what was taken back
 * @param signed what the lead said
 * @param closing who decides before the plan does
 */
public record RepairRecord(
        String ruleBook,
        Instant frozen,
        Optional<Instant> startedAt,
        Optional<Instant> finishedAt,
        List<String> people,
        List<Line> lines,
        List<DoseLine> doses,
        List<Deviation> deviations,
        List<Lot> lots,
        List<SchoolFollowed> schools,
        List<HouseChange> house,
        double plannedMin,
        double takenMin,
        int events,
        List<Used> used,
        List<LookAgain> again,
        List<RunState.Amended> amended,
        List<RunState.TakenBack> takenBack,
        Optional<RunState.Signed> signed,
        String closing) {

    /**
     * One step.
     *
     * @param loop rework it belongs to; empty for the plan's own
     * @param plannedMin active and passive, min
     * @param takenMin as done, min
     * @param answer gate's answer, as said; empty for none
     * @param remarks readings and notes
     */
    public record Line(
            String step,
            String title,
            String loop,
            double plannedMin,
            double takenMin,
            Instant doneAt,
            String by,
            String answer,
            List<String> remarks) {}

    /**
     * One mix.
     *
     * @param askedPercent dose planned
     * @param plannedFillerG filler planned, g
     * @param percent dose really given
     * @param said what it means; empty when right
     */
    public record DoseLine(
            String step,
            String title,
            String lot,
            double askedPercent,
            double plannedFillerG,
            Optional<Double> fillerG,
            Optional<Double> creamG,
            Optional<Double> percent,
            String said) {}

    /** A material with its lot. */
    public record Lot(String role, String name, String lot) {}

    /** The record of everything that happened so far. */
    public static RepairRecord of(FrozenPlan frozen, List<BenchEvent> events, Instant now) {
        Plan plan = frozen.plan();
        RunState state = Replay.of(plan, events, now);
        Set<String> people = new LinkedHashSet<>();
        List<Line> lines = new ArrayList<>();
        for (RunStep s : state.steps()) {
            if (s.doneAt().isPresent()) {
                people.add(s.by());
                lines.add(line(s, state));
            }
        }
        Instant last = lines.isEmpty() ? now : lines.getLast().doneAt();
        double taken = state.startedAt().map(t -> minutes(t, last)).orElse(0.0);
        return new RepairRecord(
                frozen.workup().ruleBook(),
                frozen.frozenAt(),
                state.startedAt(),
                state.finishedAt(),
                List.copyOf(people),
                List.copyOf(lines),
                state.mixes().stream()
                        .filter(m -> m.clockAt().isPresent())
                        .map(m -> dose(plan, m))
                        .toList(),
                Deviations.of(plan, state),
                lots(frozen),
                plan.schools(),
                plan.house().stream().filter(HouseChange::bears).toList(),
                plan.totalMin(),
                taken,
                events.size(),
                Used.of(plan, state),
                LookAgain.of(plan, state),
                state.amended(),
                state.takenBack(),
                state.signed(),
                plan.closing());
    }

    private static Line line(RunStep s, RunState state) {
        List<String> remarks = new ArrayList<>();
        List<RunState.Reading> here =
                state.readings().stream().filter(r -> r.step().equals(s.id())).toList();
        logged(here, remarks);
        here.stream()
                .filter(r -> !r.logged())
                .forEach(r -> remarks.add(r.quantity().word() + " "
                        + Text.of(r.value(), r.quantity().unit()) + (r.source().isEmpty() ? "" : ", " + r.source())));
        state.notes().stream().filter(n -> n.step().equals(s.id())).forEach(n -> remarks.add("“" + n.text() + "”"));
        long pictures =
                state.pictured().stream().filter(p -> p.step().equals(s.id())).count();
        if (pictures > 0) {
            remarks.add(pictures == 1 ? "1 picture" : pictures + " pictures");
        }
        String answer = s.answer().isEmpty()
                ? ""
                : s.step()
                        .gate()
                        .map(g -> s.answer().equals(Gate.YES)
                                ? g.yes()
                                : g.branch(s.answer()).map(Gate.Branch::label).orElse(s.answer()))
                        .orElse("");
        Instant done = s.doneAt().orElseThrow();
        return new Line(
                s.id(),
                s.step().title(),
                s.loop(),
                s.step().activeMin() + s.step().waitMin(),
                s.beganAt().map(b -> minutes(b, done)).orElse(0.0),
                done,
                s.by(),
                answer,
                List.copyOf(remarks));
    }

    /** What a device logged by itself, as one remark a quantity: how many, from where to where. */
    private static void logged(List<RunState.Reading> here, List<String> remarks) {
        Map<String, DoubleSummaryStatistics> by = new LinkedHashMap<>();
        Map<String, String> unit = new LinkedHashMap<>();
        here.stream().filter(RunState.Reading::logged).forEach(r -> {
            String key = r.source() + ", logged: " + r.quantity().word();
            by.computeIfAbsent(key, k -> new DoubleSummaryStatistics()).accept(r.value());
            unit.put(key, r.quantity().unit());
        });
        by.forEach((key, s) -> remarks.add(key + " " + Text.between(s.getMin(), s.getMax(), unit.get(key)) + ", "
                + s.getCount() + (s.getCount() == 1 ? " reading" : " readings")));
    }

    private static DoseLine dose(Plan plan, MixDone m) {
        MixPlan mix = plan.mix(m.mix());
        return new DoseLine(
                m.step(),
                mix.pour().material(),
                mix.pour().lot(),
                mix.pour().percent(),
                m.fillerTargetG(),
                m.fillerG(),
                m.creamG(),
                m.percent(),
                m.said());
    }

    private static List<Lot> lots(FrozenPlan frozen) {
        List<Lot> out = new ArrayList<>();
        for (StackLine l : frozen.workup().stack().lines()) {
            l.chosen()
                    .ifPresent(c -> out.add(
                            new Lot(l.role().word(), c.item().name(), c.item().lot())));
        }
        Set<String> used = new LinkedHashSet<>();
        frozen.plan().ladder().rungs().forEach(r -> used.add(r.itemId()));
        for (ShelfItem p : frozen.workup().stack().papers()) {
            if (used.contains(p.id())) {
                out.add(new Lot("Paper", p.name(), p.lot()));
            }
        }
        return List.copyOf(out);
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60000.0;
    }
}
