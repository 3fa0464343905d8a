package vanemend.core.record;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.Peroxide;
import vanemend.core.cure.Wait;
import vanemend.core.house.HouseChange;
import vanemend.core.method.Gate;
import vanemend.core.method.Interlock;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.plan.Plan;
import vanemend.core.run.Clocks;
import vanemend.core.run.ReadingFinding;
import vanemend.core.run.RunState;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.run.RunState.RunStep;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/** Finds where what was done left what was planned, from the run alone, and says what that is likely to lead to. */
final class Deviations {
    private Deviations() {}

    static List<Deviation> of(Plan plan, RunState state) {
        List<Deviation> out = new ArrayList<>();
        state.startedAt().ifPresent(begun -> plan.broken().forEach(b -> out.add(changed(plan, b, begun))));
        for (MixDone m : state.mixes()) {
            if (m.scrapped().isPresent() || m.carried()) {
                continue;
            }
            doseDeviation(plan, state, m).ifPresent(out::add);
            if (plan.binds()) {
                Weighed.amount(m).ifPresent(out::add);
            }
            lateSpread(plan, m).ifPresent(out::add);
            earlySanding(plan, state, m).ifPresent(out::add);
        }
        for (RunStep s : state.steps()) {
            if (s.scrapped()) {
                out.add(scrapped(plan, state, s));
            } else if (s.doneAt().isPresent() && !s.carried()) {
                lateLaying(s).ifPresent(out::add);
                wentOnEarly(plan, state, s).ifPresent(out::add);
                againstReading(plan, state, s).ifPresent(out::add);
                notRead(state, s).ifPresent(out::add);
                startedThough(s).ifPresent(out::add);
                state.missing(s).map(w -> notGiven(s, w)).ifPresent(out::add);
            }
        }
        for (RunState.Reading r : state.readings()) {
            if (plan.binds()) {
                step(state, r.step())
                        .filter(s -> !s.carried())
                        .ifPresent(s -> otherThanPlanned(plan, state, s, r, out));
            } else {
                hot(plan, state, r).ifPresent(out::add);
                tooDeep(plan, r).ifPresent(out::add);
            }
        }
        state.against()
                .forEach(a -> out.add(new Deviation(
                        Deviation.Kind.AGAINST_STOP,
                        a.stop().step(),
                        a.at(),
                        a.by() + " went against a stop: " + unstopped(a.why()),
                        a.stop().said())));
        state.ended()
                .ifPresent(e -> out.add(new Deviation(
                        Deviation.Kind.ENDED,
                        "",
                        e.at(),
                        "Ended before the last step: " + e.how().word().toLowerCase(Locale.ROOT) + ": "
                                + unstopped(e.why()),
                        "The rest of the plan was not done.")));
        out.sort(Comparator.comparing(Deviation::at));
        return List.copyOf(out);
    }

    private static Deviation changed(Plan plan, Interlock.Broken b, Instant begun) {
        String how =
                plan.house().stream().anyMatch(HouseChange::bears) ? "by hand or by a rule of the house" : "by hand";
        return new Deviation(
                Deviation.Kind.PLAN_CHANGED,
                b.step(),
                begun,
                "Plan changed " + how + " before “" + b.title() + "”: " + b.said() + " Missing: " + b.missing(),
                b.follows());
    }

    private static Optional<RunStep> step(RunState state, String id) {
        return state.steps().stream().filter(s -> s.id().equals(id)).findFirst();
    }

    private static Optional<CureLaw> law(Plan plan, Step step) {
        if (!step.mix().isEmpty()) {
            return Optional.of(plan.mix(step.mix()).law());
        }
        return step.clock()
                .flatMap(c -> plan.waits().stream()
                        .filter(w -> w.id().equals(c.waitId()))
                        .findFirst()
                        .flatMap(Wait::law));
    }

    /** The surface while something cures, against what that material stands. */
    private static Optional<Deviation> hot(Plan plan, RunState state, RunState.Reading r) {
        if (r.quantity() != Quantity.SURFACE_C) {
            return Optional.empty();
        }
        Optional<Step> at = step(state, r.step()).map(RunStep::step);
        double cap = at.flatMap(s -> law(plan, s)).map(CureLaw::capC).orElse(TradeBook.value("cure.polyester.cap"));
        // A wait inserted by a gate names no material: what cures is the newest mix, or the wait before it.
        boolean cures =
                at.map(s -> s.kind() == Step.Kind.WAIT || !s.mix().isEmpty()).orElse(true);
        return !cures || r.value() <= cap
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.OVER_TEMPERATURE,
                        r.step(),
                        r.at(),
                        "Surface " + Text.atLeast(r.value(), "°C") + ", at most " + Text.atMost(cap, "°C"),
                        "Over its cap it shrinks and lifts at the edge: look for a ring after paint."));
    }

    /** Laid from a cartridge, a palette or a pot: done after its work time was over. */
    private static Optional<Deviation> lateLaying(RunStep s) {
        Optional<Step.Clock> by = s.step().clock().filter(c -> c.kind() == Step.Clock.Kind.BY);
        if (s.step().kind() != Step.Kind.SPREAD || !s.step().mix().isEmpty() || by.isEmpty()) {
            return Optional.empty();
        }
        double took = s.beganAt().map(b -> minutes(b, s.doneAt().orElseThrow())).orElse(0.0);
        return took <= by.get().minutes()
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.SPREAD_LATE,
                        s.id(),
                        s.doneAt().orElseThrow(),
                        "On the part after " + Text.clock(took) + ", due by "
                                + Text.clock(by.get().minutes()),
                        "Laid while gelling: it does not wet what it lies on and lets go from there."));
    }

    /** What was read and is not what the plan was made for; what it cannot go on with stands for the rest. */
    private static void otherThanPlanned(
            Plan plan, RunState state, RunStep s, RunState.Reading r, List<Deviation> out) {
        List<ReadingFinding> off = s.step().watches().stream()
                .filter(w -> w.quantity() == r.quantity())
                .map(w -> ReadingFinding.of(w, s.step(), r.step(), r.value(), state.readings(), plan.air()))
                .filter(f -> f.weight() != Weight.FINE)
                .toList();
        boolean stopped = off.stream().anyMatch(ReadingFinding::stops);
        off.stream()
                .filter(f -> f.stops() || !stopped)
                .map(f -> new Deviation(
                        f.stops() ? Deviation.Kind.STOPPED : Deviation.Kind.OTHER_THAN_PLANNED,
                        r.step(),
                        r.at(),
                        f.watch().title() + ": " + f.figures(),
                        f.watch().follows() + followed(plan, state, f.watch())))
                .forEach(out::add);
    }

    /** By how much the mix that follows a reading changed. */
    private static String followed(Plan plan, RunState state, Watch w) {
        return state.mixes().stream()
                .filter(m -> m.mix().equals(w.mix()))
                .filter(m -> m.fillerTargetG() != plan.mix(m.mix()).pour().fillerG())
                .findFirst()
                .map(m -> " " + Text.of(m.fillerTargetG(), "g") + " instead of "
                        + Text.of(plan.mix(m.mix()).pour().fillerG(), "g") + ".")
                .orElse("");
    }

    /** As earlier releases told it. */
    private static Optional<Deviation> tooDeep(Plan plan, RunState.Reading r) {
        double deep = Limits.rule("metal-too-deep").from().orElseThrow();
        return r.quantity() == Quantity.DEPTH_MM && plan.method() == MethodId.METAL_DENT && r.value() > deep
                ? Optional.of(new Deviation(
                        Deviation.Kind.TOO_DEEP,
                        r.step(),
                        r.at(),
                        "Depth left " + Text.atLeast(r.value(), "mm") + ", at most " + Text.atMost(deep, "mm"),
                        "Thick filler cracks and prints through: back to straightening."))
                : Optional.empty();
    }

    private static Deviation scrapped(Plan plan, RunState state, RunStep s) {
        String what = state.mixes().stream()
                .filter(m -> m.step().equals(s.id())
                        || m.scrapped().isPresent() && !s.step().mix().isEmpty())
                .filter(m -> m.mix().equals(s.step().mix()))
                .reduce((a, b) -> b)
                .flatMap(MixDone::fillerG)
                .map(g -> Text.of(g, "g") + " of " + plan.mix(s.step().mix()).title())
                .orElse(s.step().material());
        return new Deviation(
                Deviation.Kind.MIX_SCRAPPED,
                s.id(),
                s.doneAt().orElseThrow(),
                "Thrown away: " + what + ": " + unstopped(s.remark()),
                "It counts as used, and was mixed anew.");
    }

    /** A gate passed without what it takes a reading for. */
    private static Optional<Deviation> notRead(RunState state, RunStep s) {
        Optional<Gate> gate = s.step().gate().filter(g -> s.answer().equals(Gate.YES));
        List<Quantity> missing = gate.stream()
                .flatMap(g -> g.reads().stream())
                .filter(q -> state.readings().stream().noneMatch(r -> r.step().equals(s.id()) && r.quantity() == q))
                .toList();
        return missing.isEmpty()
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.NOT_READ,
                        s.id(),
                        s.doneAt().orElseThrow(),
                        "Answered “" + gate.orElseThrow().yes() + "” without a reading: "
                                + missing.stream().map(Quantity::word).collect(Collectors.joining(", ")),
                        "Whether the plan fits what is there was not measured."));
    }

    /** Words that somebody typed, without a full stop of their own: the sentence has one. */
    private static String unstopped(String words) {
        return words.strip().replaceAll("\\.+$", "");
    }

    /** What went live though not all held. */
    private static Optional<Deviation> startedThough(RunStep s) {
        return s.though().isEmpty()
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.STARTED_THOUGH,
                        s.id(),
                        s.clockAt().orElse(s.doneAt().orElseThrow()),
                        "Went live without: " + String.join("; ", s.though())
                                + (s.remark().isEmpty() ? "" : ". Why: " + s.remark()),
                        "What was missing then cannot be put right under it."));
    }

    /** A wait ended before its clock did, or before the readings said it was cured. Mixes of filler have their own rule. */
    private static Optional<Deviation> wentOnEarly(Plan plan, RunState state, RunStep s) {
        Optional<Step.Clock> from = s.step().clock().filter(c -> c.kind() == Step.Clock.Kind.FROM);
        boolean passed = s.answer().isEmpty() || s.answer().equals(Gate.YES);
        if (s.step().kind() != Step.Kind.WAIT || !s.step().mix().isEmpty() || from.isEmpty() || !passed) {
            return Optional.empty();
        }
        double took =
                s.waitsSince().map(b -> minutes(b, s.doneAt().orElseThrow())).orElse(0.0);
        String judged = s.remark().isEmpty() ? "" : ". Judged by: " + s.remark();
        Optional<Clocks.CureAt> cure = law(plan, s.step())
                .flatMap(l -> new Clocks(plan, state.readings())
                        .cureAt(l, s.waitsSince().orElseThrow(), s.doneAt().orElseThrow()));
        if (cure.isPresent()) {
            return cure.get().reachedMin() >= cure.get().neededMin() - 0.5
                    ? Optional.empty()
                    : Optional.of(new Deviation(
                            Deviation.Kind.SANDED_BEFORE_CURE,
                            s.id(),
                            s.doneAt().orElseThrow(),
                            "Went on at " + share(cure.get()) + " of the cure asked, by the surface readings" + judged,
                            "Soft underneath: it clogs the paper, rolls back at the edge and goes on shrinking."));
        }
        Optional<Clocks.CureAt> light =
                new Clocks(plan, state.readings()).lightAt(s, s.doneAt().orElseThrow());
        if (light.isPresent()) {
            return light.get().reachedMin() >= light.get().neededMin() - 0.5
                    ? Optional.empty()
                    : Optional.of(new Deviation(
                            Deviation.Kind.WENT_ON_EARLY,
                            s.id(),
                            s.doneAt().orElseThrow(),
                            s.step().title() + ": " + share(light.get()) + " of the light asked" + judged,
                            "The sign was felt, the light was not in: what is under the skin may be soft."));
        }
        return took >= from.get().minutes() - 0.5
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.WENT_ON_EARLY,
                        s.id(),
                        s.doneAt().orElseThrow(),
                        s.step().title() + ": " + Text.clock(took) + " waited, "
                                + Text.clock(from.get().minutes()) + " asked" + judged,
                        "The sign was felt, the clock was not done: what is under the skin may be soft or wet."));
    }

    /** Done without what the house wants there. */
    private static Deviation notGiven(RunStep s, Step.Wanted missing) {
        return new Deviation(
                Deviation.Kind.WANTED_NOT_GIVEN,
                s.id(),
                s.doneAt().orElseThrow(),
                "Done without what the house wants at “" + s.step().title() + "”: " + missing.said(),
                "What the house wants to know of this step is not on record.");
    }

    /** A gate passed although what was read there says stop. */
    private static Optional<Deviation> againstReading(Plan plan, RunState state, RunStep s) {
        return s.answer().equals(Gate.YES) && !plan.binds()
                ? s.step().watches().stream()
                        .flatMap(w -> ReadingFinding.of(w, s.step(), s.id(), state.readings(), plan.air()).stream())
                        .filter(ReadingFinding::stops)
                        .findFirst()
                        .map(f -> new Deviation(
                                Deviation.Kind.AGAINST_READING,
                                s.id(),
                                s.doneAt().orElseThrow(),
                                f.said(),
                                "Went on against what was read."))
                : Optional.empty();
    }

    private static Optional<Deviation> doseDeviation(Plan plan, RunState state, MixDone m) {
        if (m.clockAt().isEmpty()) {
            return Optional.empty();
        }
        String why = step(state, m.step())
                .map(RunStep::remark)
                .filter(r -> !r.isEmpty())
                .map(r -> ". Why: " + r)
                .orElse("");
        if (m.percent().isEmpty()) {
            return m.spreadAt().isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Deviation(
                            Deviation.Kind.DOSE_NOT_WEIGHED,
                            m.step(),
                            m.clockAt().get(),
                            "Dose not on record: filler or cream was not typed in" + why,
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
                "Cream " + percent(given) + ", asked " + percent(asked) + why,
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
                        "On the part after " + Text.clock(took) + ", due by " + Text.clock(by),
                        "Spread while gelling: torn surface, pinholes, weak edge."));
    }

    private static Optional<Deviation> earlySanding(Plan plan, RunState state, MixDone m) {
        if (m.spreadAt().isEmpty()) {
            return Optional.empty();
        }
        Instant spread = m.spreadAt().get();
        Optional<RunStep> wait = state.steps().stream()
                .filter(s -> s.step().kind() == Step.Kind.WAIT && s.step().mix().equals(m.mix()))
                .filter(s -> s.answer().equals(Gate.YES))
                .filter(s -> s.doneAt().isPresent() && !s.doneAt().get().isBefore(spread))
                .findFirst();
        if (wait.isEmpty()) {
            return Optional.empty();
        }
        Instant when = wait.get().doneAt().orElseThrow();
        Optional<Clocks.CureAt> cure = new Clocks(plan, state.readings()).cureAt(m, when);
        if (cure.isPresent() && cure.get().reachedMin() >= cure.get().neededMin() - 0.5) {
            return Optional.empty();
        }
        String text = cure.map(c -> "Sanded at " + share(c)
                                + " of the cure asked (" + Text.of(Math.floor(c.reachedMin()), "min") + " of "
                                + Text.of(Math.ceil(c.neededMin()), "min") + " at label temperature)")
                        .orElse("Sanded though the dose never cures")
                + (wait.get().remark().isEmpty()
                        ? ""
                        : ". Judged by: " + wait.get().remark());
        return Optional.of(new Deviation(
                Deviation.Kind.SANDED_BEFORE_CURE,
                wait.get().id(),
                when,
                text,
                "Paper clogs, edges tear, and it goes on shrinking under the paint."));
    }

    private static String percent(double v) {
        return Text.of(Math.round(v * 100) / 100.0, "%");
    }

    private static String share(Clocks.CureAt c) {
        return Text.of(Math.round(Math.floor(c.reachedMin() / c.neededMin() * 100)), "%");
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60000.0;
    }
}
