package vanemend.core.record;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vanemend.core.cure.Peroxide;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Plan;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.run.RunState.RunStep;
import vanemend.core.stack.StackLine;
import vanemend.core.trade.Check;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

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
 * @param plannedMin start to finish as planned, min
 * @param takenMin start to finish as done, min; to the last act where unfinished
 * @param events events kept for this repair
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
        Map<String, String> schools,
        double plannedMin,
        double takenMin,
        int events,
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
                deviations(plan, state),
                lots(frozen),
                plan.schools(),
                plan.totalMin(),
                taken,
                events.size(),
                plan.closing());
    }

    private static Line line(RunStep s, RunState state) {
        List<String> remarks = new ArrayList<>();
        state.readings().stream()
                .filter(r -> r.step().equals(s.id()))
                .forEach(r -> remarks.add(r.quantity().word() + " " + Check.shown(r.value()) + " "
                        + r.quantity().unit()));
        state.notes().stream().filter(n -> n.step().equals(s.id())).forEach(n -> remarks.add("“" + n.text() + "”"));
        String answer = s.answer().isEmpty()
                ? ""
                : s.step()
                        .gate()
                        .map(g -> s.answer().equals("yes")
                                ? g.yes()
                                : g.branches().stream()
                                        .filter(b -> b.id().equals(s.answer()))
                                        .map(b -> b.label())
                                        .findFirst()
                                        .orElse(s.answer()))
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

    private static DoseLine dose(Plan plan, MixDone m) {
        MixPlan mix = plan.mix(m.mix());
        return new DoseLine(
                m.step(),
                mix.pour().material(),
                mix.pour().lot(),
                mix.pour().percent(),
                mix.pour().fillerG(),
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

    private static List<Deviation> deviations(Plan plan, RunState state) {
        List<Deviation> out = new ArrayList<>();
        for (MixDone m : state.mixes()) {
            doseDeviation(plan, m).ifPresent(out::add);
            lateSpread(plan, m).ifPresent(out::add);
            earlySanding(plan, state, m).ifPresent(out::add);
        }
        for (RunState.Reading r : state.readings()) {
            if (r.quantity() == Step.Ask.SURFACE_C && r.value() > TradeBook.value("cure.polyester.cap")) {
                out.add(new Deviation(
                        Deviation.Kind.OVER_TEMPERATURE,
                        r.step(),
                        r.at(),
                        "Surface " + Check.shown(r.value()) + " °C, at most "
                                + Check.shown(TradeBook.value("cure.polyester.cap")) + " °C",
                        "Polyester over its cap shrinks and lifts at the edge: look for a ring after paint."));
            }
            double deep = Limits.rule("metal-too-deep").from().orElseThrow();
            if (r.quantity() == Step.Ask.DEPTH_MM && r.value() > deep) {
                out.add(new Deviation(
                        Deviation.Kind.TOO_DEEP,
                        r.step(),
                        r.at(),
                        "Depth left " + Check.shown(r.value()) + " mm, at most " + Check.shown(deep) + " mm",
                        "Thick filler cracks and prints through: back to straightening."));
            }
        }
        out.sort(Comparator.comparing(Deviation::at));
        return List.copyOf(out);
    }

    private static Optional<Deviation> doseDeviation(Plan plan, MixDone m) {
        if (m.clockAt().isEmpty()) {
            return Optional.empty();
        }
        if (m.percent().isEmpty()) {
            return m.spreadAt().isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Deviation(
                            Deviation.Kind.DOSE_NOT_WEIGHED,
                            m.step(),
                            m.clockAt().get(),
                            "Dose not on record: filler or cream was not typed in",
                            "The clock ran on the planned dose."));
        }
        double asked = plan.mix(m.mix()).pour().percent();
        double given = m.percent().get();
        boolean honest = Peroxide.of(given) instanceof Peroxide.Honest;
        if (honest && Math.abs(given - asked) <= TradeBook.value("dose.drift") + 1e-9) {
            return Optional.empty();
        }
        return Optional.of(new Deviation(
                Deviation.Kind.DOSE_OFF,
                m.step(),
                m.clockAt().get(),
                "Cream " + two(given) + " %, asked " + two(asked) + " %",
                m.said().isEmpty() ? "Inside the window; the clock followed what was weighed." : m.said()));
    }

    private static Optional<Deviation> lateSpread(Plan plan, MixDone m) {
        if (m.clockAt().isEmpty() || m.spreadAt().isEmpty()) {
            return Optional.empty();
        }
        MixPlan mix = plan.mix(m.mix());
        double factor = Peroxide.of(m.percent().orElse(mix.pour().percent()))
                .factorOrNone()
                .orElse(1);
        double by =
                mix.law().workMinAt(mix.labelWorkMin(), plan.air().tempC(), factor) * TradeBook.value("mix.work-share");
        double took = minutes(m.clockAt().get(), m.spreadAt().get());
        return took <= by
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.SPREAD_LATE,
                        m.step(),
                        m.spreadAt().get(),
                        "On the part after " + clock(took) + ", due by " + clock(by),
                        "Spread while gelling: torn surface, pinholes, weak edge."));
    }

    private static Optional<Deviation> earlySanding(Plan plan, RunState state, MixDone m) {
        if (m.spreadAt().isEmpty()) {
            return Optional.empty();
        }
        Instant spread = m.spreadAt().get();
        Optional<RunStep> wait = state.steps().stream()
                .filter(s -> s.step().kind() == Step.Kind.WAIT && s.step().mix().equals(m.mix()))
                .filter(s -> s.answer().equals("yes"))
                .filter(s -> s.doneAt().isPresent() && !s.doneAt().get().isBefore(spread))
                .findFirst();
        if (wait.isEmpty()) {
            return Optional.empty();
        }
        Instant when = wait.get().doneAt().orElseThrow();
        Optional<Replay.CureAt> cure = Replay.cureAt(plan, state, m, when);
        if (cure.isPresent() && cure.get().reachedMin() >= cure.get().neededMin() - 0.5) {
            return Optional.empty();
        }
        String text = cure.map(c -> "Sanded at " + Math.round(Math.floor(c.reachedMin() / c.neededMin() * 100))
                        + " % of the cure asked (" + (int) Math.floor(c.reachedMin()) + " of "
                        + (int) Math.ceil(c.neededMin()) + " min at label temperature)")
                .orElse("Sanded though the dose never cures");
        return Optional.of(new Deviation(
                Deviation.Kind.SANDED_BEFORE_CURE,
                wait.get().id(),
                when,
                text,
                "Paper clogs, edges tear, and it goes on shrinking under the paint."));
    }

    private static String two(double v) {
        return String.format(Locale.ROOT, "%.2f", v);
    }

    private static String clock(double min) {
        long s = Math.round(min * 60);
        return s / 60 + ":" + String.format(Locale.ROOT, "%02d", s % 60) + " min";
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60000.0;
    }
}
