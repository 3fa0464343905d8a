package vanemend.core.run;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vanemend.core.cure.Peroxide;
import vanemend.core.method.Act;
import vanemend.core.method.Interlock;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Portion;
import vanemend.core.plan.Plan;
import vanemend.core.run.RunState.MixDone;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** What must hold before a mix goes live, looked over in one glance. */
public final class BeforeMix {
    /**
     * One thing that must hold.
     *
     * @param said as said
     * @param holds whether it does
     * @param detail what it was held against; empty for nothing
     * @param dose whether it is about what was weighed
     * @param never whether nobody may start without it
     */
    public record Must(String said, boolean holds, String detail, boolean dose, boolean never) {
        Must(String said, boolean holds, String detail) {
            this(said, holds, detail, false, false);
        }

        private static Must weighed(String said, boolean holds, String detail, boolean never) {
            return new Must(said, holds, detail, true, never);
        }
    }

    private static final Set<Act> PREPARED = EnumSet.of(
            Act.CLEAN,
            Act.WIPE_AGAIN,
            Act.NO_SHINE,
            Act.CUT_CLOTH,
            Act.STIR,
            Act.PROMOTE,
            Act.FLASH,
            Act.PROMOTE_BACK,
            Act.FLASH_BACK,
            Act.PROMOTE_PATCH,
            Act.FLASH_PATCH,
            Act.CONVERTED,
            Act.SURFACE_DRY,
            Act.TAPE_FACE,
            Act.STOP_DRILL,
            Act.CLEAR_CURED);

    private BeforeMix() {}

    /**
     * What must hold before {@code step}, {@code done} being behind it.
     *
     * @param ahead steps that come next, to find what is laid with it
     * @param weighed the mix in hand as far as it is weighed; empty where nothing is weighed here
     */
    static List<Must> of(Plan plan, Step step, List<Step> done, List<Step> ahead, Optional<MixDone> weighed) {
        List<Must> out = new ArrayList<>();
        List<Step> order = new ArrayList<>(done);
        order.add(step);
        // Interlocks guard the laying: what follows up to the wait is looked over with the mix.
        for (Step s : ahead) {
            order.add(s);
            if (s.kind() == Step.Kind.WAIT || s.kind() == Step.Kind.SPREAD) {
                break;
            }
        }
        weighed.ifPresent(m -> out.add(dose(m)));
        sinceTheLastLaying(done).forEach(a -> out.add(new Must(a.word(), true, "")));
        List<Interlock.Broken> broken = new ArrayList<>(Interlock.broken(order, order));
        // What was cut out of the plan by hand is missing too.
        plan.broken().stream()
                .filter(x -> order.subList(done.size(), order.size()).stream().anyMatch(o -> o.id().equals(x.step())))
                .forEach(broken::add);
        broken.forEach(x -> out.add(new Must(x.missing(), false, x.said())));
        if (step.kind() == Step.Kind.MIX) {
            MixPlan mix = plan.mix(step.mix());
            out.add(new Must(
                    "warm enough",
                    plan.air().tempC() >= mix.law().minC(),
                    Text.overLeast(
                                    plan.air().tempC(),
                                    "°C",
                                    plan.air().tempC() < mix.law().minC()) + ", at least "
                            + Text.atLeast(mix.law().minC(), "°C")));
            out.add(new Must("label work time on file", mix.labelWorkMin() > 0, Text.of(mix.labelWorkMin(), "min")));
            out.add(free(
                    mix.pour().spreadMin(),
                    mix.pour().onPartByMin() - mix.pour().mixMin()));
        }
        for (Portion p : plan.portions()) {
            if (p.id().equals(step.portion())) {
                out.add(new Must(
                        "label work time on file",
                        p.workMin() > 0,
                        p.workMin() > 0
                                ? Text.of(Math.round(p.workMin() * 10) / 10.0, "min") + " today"
                                : "by its label"));
                if (p.workMin() > 0) {
                    out.add(free(p.spreadMin(), p.onPartByMin()));
                }
            }
        }
        return List.copyOf(out);
    }

    /** What was prepared for this mix: what came after the one before it was laid. */
    private static Set<Act> sinceTheLastLaying(List<Step> done) {
        Set<Act> out = EnumSet.noneOf(Act.class);
        for (Step s : done.reversed()) {
            if (s.kind() == Step.Kind.SPREAD) {
                break;
            }
            out.addAll(s.acts());
        }
        out.retainAll(PREPARED);
        return out;
    }

    private static Must dose(MixDone m) {
        if (m.percent().isEmpty()) {
            return Must.weighed("dose weighed", false, "filler or cream is not weighed yet", false);
        }
        double percent = m.percent().get();
        String given = Text.of(Math.round(percent * 100) / 100.0, "%");
        String honest = Text.between(TradeBook.value("peroxide.low"), TradeBook.value("peroxide.high"), "%");
        return switch (Peroxide.of(percent)) {
            case Peroxide.Honest h -> Must.weighed("dose", true, given, false);
            case Peroxide.Warned w -> Must.weighed("dose", false, given + ", asked " + honest, false);
            case Peroxide.Fails f ->
                Must.weighed("dose", false, given + ": it never cures, scrap it. Asked " + honest, true);
        };
    }

    private static Must free(double spreadMin, double windowMin) {
        return new Must(
                "hands free until it is spread",
                spreadMin <= windowMin + 1e-9,
                Text.of(Math.ceil(spreadMin * 10 - 1e-9) / 10, "min") + " of "
                        + Text.of(Math.floor(windowMin * 10 + 1e-9) / 10, "min"));
    }
}
