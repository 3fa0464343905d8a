package vanemend.core.record;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vanemend.core.house.HouseChange;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Gate;
import vanemend.core.method.MixPlan;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.plan.Site;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.FilmMap;
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
 * @param former what was done under plans that were left for another, oldest first
 * @param ended how the work was ended before its last step
 * @param uncounted what came too late to count: it stands here all the same
 * @param film what lies where; empty where no depth is known and no spot was drawn
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
        String closing,
        List<Former> former,
        Optional<RunState.Ended> ended,
        List<RunState.Ignored> uncounted,
        Optional<FilmMap> film) {

    /**
     * What was done under a plan that was left for another.
     *
     * @param title method
     * @param frozen when that plan was frozen
     * @param left when it was left
     * @param by who left it
     * @param why in words
     * @param lines every step done under it
     */
    public record Former(String title, Instant frozen, Instant left, String by, String why, List<Line> lines) {}

    /**
     * One step.
     *
     * @param loop site it was done at and rework it belongs to, as said; empty for neither
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

    /** The record of everything that happened so far, by one plan. */
    public static RepairRecord of(FrozenPlan frozen, List<BenchEvent> events, Instant now) {
        return of(List.of(frozen), events, now);
    }

    /**
     * The record of everything that happened so far.
     *
     * @param plans the plan the work began with, then each that was made anew, in order
     */
    public static RepairRecord of(List<FrozenPlan> plans, List<BenchEvent> events, Instant now) {
        List<RunState> legs = Replay.of(plans.stream().map(FrozenPlan::plan).toList(), events, now);
        FrozenPlan frozen = plans.get(legs.size() - 1);
        Plan plan = frozen.plan();
        RunState state = legs.getLast();
        Set<String> people = new LinkedHashSet<>();
        List<Former> former = former(plans, legs, events, people);
        List<Line> lines = lines(frozen, state, people);
        Instant last = lines.isEmpty()
                ? former.isEmpty() ? now : former.getLast().left()
                : lines.getLast().doneAt();
        double taken = state.startedAt().map(t -> minutes(t, last)).orElse(0.0);
        return new RepairRecord(
                frozen.workup().ruleBook(),
                frozen.frozenAt(),
                state.startedAt(),
                state.finishedAt(),
                List.copyOf(people),
                List.copyOf(lines),
                doses(plans, legs),
                deviations(plans, legs),
                lots(plans.subList(0, legs.size())),
                plan.schools(),
                plan.house().stream().filter(HouseChange::bears).toList(),
                plan.totalMin(),
                taken,
                events.size(),
                used(plans, legs),
                LookAgain.of(frozen, state),
                legs.stream().flatMap(l -> l.amended().stream()).toList(),
                legs.stream().flatMap(l -> l.takenBack().stream()).toList(),
                state.signed(),
                plan.closing(),
                former,
                state.ended(),
                legs.stream()
                        .flatMap(l -> l.ignored().stream())
                        .filter(i -> i.cause() == RunState.Cause.ENDED || i.cause() == RunState.Cause.PLANNED_ANEW)
                        .toList(),
                FilmMap.of(frozen, state));
    }

    /** What was taken under all plans of a repair; {@code legs} as it stood at the end of each. */
    public static List<Used> used(List<FrozenPlan> plans, List<RunState> legs) {
        List<Used> all = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            all.addAll(Used.of(plans.get(i).plan(), legs.get(i)));
        }
        return Used.together(all);
    }

    private static List<Line> lines(FrozenPlan frozen, RunState state, Set<String> people) {
        List<Line> out = new ArrayList<>();
        for (RunStep s : state.steps()) {
            if (s.doneAt().isPresent() && !s.carried()) {
                people.add(s.by());
                out.add(line(frozen, s, state));
            }
        }
        return List.copyOf(out);
    }

    private static List<Former> former(
            List<FrozenPlan> plans, List<RunState> legs, List<BenchEvent> events, Set<String> people) {
        List<BenchEvent> left = events.stream()
                .filter(e -> e.kind() == BenchEvent.Kind.PLAN)
                .limit(legs.size() - 1L)
                .toList();
        List<Former> out = new ArrayList<>();
        for (int i = 0; i < left.size(); i++) {
            BenchEvent e = left.get(i);
            FrozenPlan p = plans.get(i);
            out.add(new Former(
                    p.plan().title(), p.frozenAt(), e.at(), e.by(), e.text(), lines(p, legs.get(i), people)));
        }
        return List.copyOf(out);
    }

    private static List<DoseLine> doses(List<FrozenPlan> plans, List<RunState> legs) {
        List<DoseLine> out = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            Plan plan = plans.get(i).plan();
            legs.get(i).mixes().stream()
                    .filter(m -> m.clockAt().isPresent() && !m.carried())
                    .forEach(m -> out.add(dose(plan, m)));
        }
        return List.copyOf(out);
    }

    private static List<Deviation> deviations(List<FrozenPlan> plans, List<RunState> legs) {
        List<Deviation> out = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            out.addAll(Deviations.of(plans.get(i).plan(), legs.get(i)));
        }
        out.sort(Comparator.comparing(Deviation::at));
        return List.copyOf(out);
    }

    private static Line line(FrozenPlan frozen, RunStep s, RunState state) {
        List<String> remarks = new ArrayList<>();
        List<RunState.Reading> here =
                state.readings().stream().filter(r -> r.step().equals(s.id())).toList();
        logged(here, remarks);
        here.stream()
                .filter(r -> !r.logged())
                .forEach(r -> remarks.add(r.quantity().word() + " "
                        + Text.of(r.value(), r.quantity().unit()) + (r.source().isEmpty() ? "" : ", " + r.source())));
        state.notes().stream().filter(n -> n.step().equals(s.id())).forEach(n -> remarks.add("“" + n.text() + "”"));
        state.spots().stream().filter(p -> p.step().equals(s.id())).forEach(p -> remarks.add(spot(p, s)));
        long pictures =
                state.pictured().stream().filter(p -> p.step().equals(s.id())).count();
        if (pictures > 0) {
            remarks.add(pictures == 1 ? "1 picture" : pictures + " pictures");
        }
        if (!s.remark().isEmpty()) {
            remarks.add("“" + s.remark() + "”");
        }
        String answer = s.answer().isEmpty() || s.scrapped()
                ? s.answer()
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
                Stream.of(Site.said(frozen.workup().sites(), s.step()), s.loop())
                        .filter(x -> !x.isEmpty())
                        .collect(Collectors.joining(": ")),
                s.step().lastsMin(),
                s.beganAt().map(b -> minutes(b, done)).orElse(0.0),
                done,
                s.by(),
                answer,
                List.copyOf(remarks));
    }

    /** A spot that was drawn, as a remark: what, how large, how deep, and where its middle is on the part. */
    private static String spot(RunState.Spot p, RunStep s) {
        String word = s.step()
                .gate()
                .flatMap(g -> g.branch(p.branch()))
                .map(Gate.Branch::label)
                .orElse(p.branch());
        return word + ", " + Text.of(p.place().lengthMm(), "mm") + " by "
                + Text.of(p.place().widthMm(), "mm")
                + p.depthMm().map(d -> ", " + Text.of(d, "mm") + " deep").orElse("") + ", "
                + Text.of(Math.round(p.place().xMm()), "mm") + " from the left, "
                + Text.of(Math.round(p.place().yMm()), "mm") + " up";
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
                mix.pour().said(),
                mix.pour().lot(),
                mix.pour().percent(),
                m.fillerTargetG(),
                m.fillerG(),
                m.creamG(),
                m.percent(),
                m.said());
    }

    private static List<Lot> lots(List<FrozenPlan> plans) {
        return plans.stream().flatMap(p -> lots(p).stream()).distinct().toList();
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
