package vanemend.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.cure.CureLaw;
import vanemend.core.cure.Daylight;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.EquivalentAge;
import vanemend.core.cure.LightDose;
import vanemend.core.cure.Peroxide;
import vanemend.core.cure.Wait;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.plan.Plan;
import vanemend.core.run.RunState.LiveClock;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.run.RunState.Reading;
import vanemend.core.run.RunState.RunStep;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * The clocks of a run, started by what was done and moved by what was read: by when a mix must be on the part, from when what was laid
 * may be worked, and how far it had come at any moment.
 *
 * @param plan frozen
 * @param readings of the whole run
 */
public record Clocks(Plan plan, List<Reading> readings) {
    private static final double MINUTE = 60;

    /** How the dose really given changes the clocks against the planned one. */
    private static OptionalDouble doseFactor(MixPlan mix, Optional<Double> percent) {
        return Peroxide.of(percent.orElse(mix.pour().percent())).factorOrNone();
    }

    /** By when {@code m}, live since its clock started, must be on the part. */
    LiveClock onPartBy(MixDone m) {
        MixPlan mix = plan.mix(m.mix());
        double factor = doseFactor(mix, m.percent()).orElse(1);
        double minutes =
                mix.law().workMinAt(mix.labelWorkMin(), plan.air().tempC(), factor) * TradeBook.value("mix.work-share");
        Instant start = m.clockAt().orElseThrow();
        return new LiveClock(
                m.step(),
                Step.Clock.Kind.BY,
                "On the part by",
                start,
                Optional.of(plus(start, minutes)),
                "",
                m.said(),
                0,
                0);
    }

    /** What comes from a cartridge or a palette goes off from the moment it is laid. */
    static Optional<LiveClock> laying(RunStep s) {
        return s.step().clock().map(c -> {
            Instant began = s.beganAt().orElseThrow();
            return new LiveClock(
                    s.id(), c.kind(), c.label(), began, Optional.of(plus(began, c.minutes())), c.note(), "", 0, 0);
        });
    }

    /** From when the wait {@code s} may be passed, as it looks at {@code now}. */
    LiveClock from(RunStep s, List<MixDone> mixes, Instant now) {
        Step.Clock clock = s.step().clock().orElseThrow();
        Instant began = s.waitsSince().orElseThrow();
        if (s.step().mix().isEmpty()) {
            Optional<CureLaw> law = plan.waits().stream()
                    .filter(w -> w.id().equals(clock.waitId()))
                    .findFirst()
                    .flatMap(Wait::law);
            if (law.isPresent()) {
                return curing(s, clock, law.get(), now);
            }
            if (s.step().asks().contains(Quantity.UV)) {
                return lit(s, clock, now);
            }
            return new LiveClock(
                    s.id(),
                    clock.kind(),
                    clock.label(),
                    began,
                    Optional.of(plus(began, clock.minutes())),
                    clock.note(),
                    "",
                    0,
                    0);
        }
        MixDone mix = lastSpread(mixes, s.step().mix());
        return curing(s.id(), clock, plan.mix(s.step().mix()), mix, now);
    }

    /** What was laid from a cartridge or a palette: by the clock as planned until surface readings say how it really goes. */
    private LiveClock curing(RunStep s, Step.Clock clock, CureLaw law, Instant now) {
        Instant began = s.waitsSince().orElseThrow();
        EquivalentAge age = age(law, began);
        double needed = law.sandMin();
        Optional<Instant> ends;
        if (age.readings().isEmpty()) {
            ends = Optional.of(plus(began, clock.minutes()));
        } else {
            OptionalDouble reached = age.reaches(needed);
            ends = reached.isPresent() ? Optional.of(plus(began, reached.getAsDouble())) : Optional.empty();
        }
        return new LiveClock(
                s.id(),
                clock.kind(),
                clock.label(),
                began,
                ends,
                followed(age, clock),
                hot(law, age).orElse(""),
                age.at(Math.max(0, minutes(began, now))),
                needed);
    }

    /** Light: by the sun's height where it was planned on, by the UV meter once it is read. */
    private LiveClock lit(RunStep s, Step.Clock clock, Instant now) {
        Instant began = s.waitsSince().orElseThrow();
        LightDose dose = light(clock, began);
        OptionalDouble reached = dose.reached();
        boolean followed = dose.followed();
        return new LiveClock(
                s.id(),
                clock.kind(),
                clock.label(),
                began,
                reached.isPresent() ? Optional.of(plus(began, reached.getAsDouble())) : Optional.empty(),
                lightNote(dose, clock),
                lightWarning(dose, reached.isPresent()),
                followed ? dose.dose(Math.max(0, minutes(began, now))) : 0,
                followed ? dose.neededMin() : 0);
    }

    private LightDose light(Step.Clock clock, Instant began) {
        Optional<Daylight> sun = plan.waits().stream()
                .filter(w -> w.id().equals(clock.waitId()))
                .findFirst()
                .flatMap(Wait::sun);
        List<LightDose.Reading> uv = readings.stream()
                .filter(r -> r.quantity() == Quantity.UV && !r.at().isBefore(began))
                .map(r -> new LightDose.Reading(minutes(began, r.at()), r.value()))
                .toList();
        return new LightDose(clock.minutes(), began, sun, uv);
    }

    private static String lightNote(LightDose dose, Step.Clock clock) {
        int read = dose.readings().size();
        if (read > 0) {
            return "from " + read + (read == 1 ? " UV reading" : " UV readings");
        }
        return dose.sun()
                .map(s -> "Sun " + height(s.heightDeg(dose.began())) + " at the start, planned "
                        + height(s.plannedDeg()) + ".")
                .orElse(clock.note());
    }

    private static String height(double deg) {
        return deg <= 0 ? "down" : Text.of(Math.round(deg), "°") + " high";
    }

    private static String lightWarning(LightDose dose, boolean reached) {
        if (!dose.readings().isEmpty() && dose.readings().getLast().uv() == 0) {
            return "No light at the resin: nothing sets.";
        }
        if (reached) {
            return "";
        }
        return dose.sun().isPresent()
                ? "Sun too low before the resin is hard: take the UV lamp."
                : "Too little light at the resin: it does not set in two days.";
    }

    private static MixDone lastSpread(List<MixDone> mixes, String mix) {
        MixDone found = null;
        for (MixDone m : mixes) {
            if (m.mix().equals(mix) && m.spreadAt().isPresent()) {
                found = m;
            }
        }
        if (found == null) {
            throw new IllegalStateException("a wait stands before the mix " + mix + " was spread");
        }
        return found;
    }

    private LiveClock curing(String step, Step.Clock clock, MixPlan mix, MixDone made, Instant now) {
        Instant start = made.spreadAt().orElseThrow();
        OptionalDouble factor = doseFactor(mix, made.percent());
        double needed = mix.law().sandMin() * factor.orElse(1);
        EquivalentAge age = age(mix.law(), start);
        double sofar = Math.max(0, minutes(start, now));
        Optional<Instant> ends;
        if (factor.isEmpty()) {
            ends = Optional.empty();
        } else if (age.readings().isEmpty()) {
            DryingRoute route = mix.route();
            double planned = Peroxide.of(mix.pour().percent()).factorOrNone().orElse(1);
            double scaled = route.rampMin() + route.coolMin() + route.holdMin() * factor.getAsDouble() / planned;
            ends = Optional.of(plus(start, scaled));
        } else {
            OptionalDouble reached = age.reaches(needed);
            ends = reached.isPresent() ? Optional.of(plus(start, reached.getAsDouble())) : Optional.empty();
        }
        String warning = factor.isEmpty() ? made.said() : hot(mix.law(), age).orElse(made.said());
        return new LiveClock(
                step, clock.kind(), clock.label(), start, ends, followed(age, clock), warning, age.at(sofar), needed);
    }

    private static String followed(EquivalentAge age, Step.Clock clock) {
        int read = age.readings().size();
        return switch (read) {
            case 0 -> clock.note();
            case 1 -> "from 1 surface reading, which holds until the next";
            default -> "from " + read + " surface readings; between two the colder counts";
        };
    }

    private static Optional<String> hot(CureLaw law, EquivalentAge age) {
        return age.readings().stream()
                .filter(r -> r.surfaceC() > law.capC())
                .findFirst()
                .map(r -> "Surface over " + Text.of(Math.round(law.capC()), "°C") + ": lamp off, let it cool.");
    }

    /** Cure of what was spread at {@code start}, from the surface readings typed since. */
    private EquivalentAge age(CureLaw law, Instant start) {
        return age(law, start, Instant.MAX);
    }

    /** As it was known at {@code when}: what was read later, of another step, says nothing of it. */
    private EquivalentAge age(CureLaw law, Instant start, Instant when) {
        List<EquivalentAge.Reading> since = readings.stream()
                .filter(r -> r.quantity() == Quantity.SURFACE_C && !r.at().isBefore(start) && !r.at().isAfter(when))
                .map(r -> new EquivalentAge.Reading(minutes(start, r.at()), r.value()))
                .toList();
        return new EquivalentAge(law, plan.air().tempC(), since);
    }

    /**
     * Cure that a mix had reached when its wait was passed.
     *
     * @param reachedMin minutes at the label's temperature
     * @param neededMin minutes at the label's temperature
     */
    public record CureAt(double reachedMin, double neededMin) {}

    /** Cure of {@code made}, spread before, at {@code when}; empty where the dose never cures. */
    public Optional<CureAt> cureAt(MixDone made, Instant when) {
        MixPlan mix = plan.mix(made.mix());
        OptionalDouble factor = doseFactor(mix, made.percent());
        if (factor.isEmpty()) {
            return Optional.empty();
        }
        Instant start = made.spreadAt().orElseThrow();
        EquivalentAge age = age(mix.law(), start, when);
        double needed = mix.law().sandMin() * factor.getAsDouble();
        if (age.readings().isEmpty() && mix.route().kind() == DryingRoute.Kind.LAMP) {
            double share = minutes(start, when) / mix.route().minutes();
            return Optional.of(new CureAt(Math.min(1, share) * needed, needed));
        }
        return Optional.of(new CureAt(age.at(Math.max(0, minutes(start, when))), needed));
    }

    /** Cure by {@code law} of what was laid at {@code start}, at {@code when}; empty where no surface reading says how it went. */
    public Optional<CureAt> cureAt(CureLaw law, Instant start, Instant when) {
        EquivalentAge age = age(law, start, when);
        return age.readings().isEmpty()
                ? Optional.empty()
                : Optional.of(new CureAt(age.at(Math.max(0, minutes(start, when))), law.sandMin()));
    }

    /** Light that {@code wait} had taken in at {@code when}; empty where neither a meter nor the sun tells, or it is no wait in light. */
    public Optional<CureAt> lightAt(RunStep wait, Instant when) {
        if (!wait.step().asks().contains(Quantity.UV)) {
            return Optional.empty();
        }
        Instant began = wait.waitsSince().orElseThrow();
        LightDose dose = light(wait.step().clock().orElseThrow(), began);
        return dose.followed()
                ? Optional.of(new CureAt(dose.dose(Math.max(0, minutes(began, when))), dose.neededMin()))
                : Optional.empty();
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 1000.0 / MINUTE;
    }

    private static Instant plus(Instant start, double minutes) {
        return start.plusSeconds(Math.round(minutes * MINUTE));
    }
}
