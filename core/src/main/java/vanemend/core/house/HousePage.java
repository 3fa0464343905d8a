package vanemend.core.house;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.Gate;
import vanemend.core.method.Loop;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.PageChange;
import vanemend.core.method.PageRule;
import vanemend.core.method.Step;
import vanemend.core.method.StepOrder;
import vanemend.core.trade.Caution;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/**
 * A method's page as this house has it. Rules are laid on it one after another; one that does not fit the page at hand (another way of the
 * method has other steps) leaves it as it is and says so.
 *
 * @param page as it is now
 * @param changes what each rule did to it, in their order
 */
public record HousePage(MethodSteps page, List<HouseChange> changes) {
    private static final String AGAIN = "again";

    /** {@code page} with {@code rules} laid on it. */
    public static HousePage of(MethodSteps page, List<PageRule> rules) {
        if (rules.isEmpty()) {
            return new HousePage(page, List.of());
        }
        List<Step> steps = page.steps();
        List<Loop> loops = new ArrayList<>();
        List<HouseChange> changes = new ArrayList<>();
        for (PageRule r : rules) {
            List<Step> now = steps;
            Optional<String> hindered = hindered(now, r.change());
            List<Step> next = hindered.isPresent() ? now : changed(now, r.change());
            if (!StepOrder.holds(now, next)) {
                hindered = Optional.of("What is mixed, spread and waited for stays together.");
                next = now;
            }
            if (hindered.isEmpty() && r.change() instanceof PageChange.Add a) {
                a.gate().ifPresent(g -> loops.add(loop(a, g)));
            }
            changes.add(new HouseChange(
                    r.id(),
                    r.change().kind(),
                    r.change().step(),
                    r.said(),
                    hindered.isPresent() ? "" : book(now, r.change()),
                    r.reason(),
                    r.by(),
                    r.at(),
                    hindered.isEmpty(),
                    hindered.orElse("")));
            steps = next;
        }
        List<Step> chained = StepOrder.chained(steps);
        return new HousePage(
                new MethodSteps(
                        page.method(),
                        chained,
                        () -> {
                            List<Loop> all = new ArrayList<>(page.rework().get());
                            all.addAll(loops);
                            return List.copyOf(all);
                        },
                        page.mixes()),
                List.copyOf(changes));
    }

    /** What stands in the way of {@code change}, besides the order of things; nothing where it fits. */
    private static Optional<String> hindered(List<Step> steps, PageChange change) {
        int at = StepOrder.index(steps, change.step());
        return switch (change) {
            case PageChange.Add a when at >= 0 -> Optional.of("This plan has a step of that name already.");
            case PageChange.Add a -> noPlace(steps, a.after());
            case PageChange c when at < 0 -> Optional.of("This plan has no such step.");
            case PageChange.Move m
            when m.after().equals(m.step()) -> Optional.of("It stands there already: choose another place.");
            case PageChange.Move m -> noPlace(steps, m.after());
            case PageChange.LeaveOut l
            when steps.get(at).acts().contains(Act.READY) ->
                Optional.of("The hand-over stays: it says who decides before this plan does.");
            case PageChange.Minutes m
            when timed(steps.get(at)) -> Optional.of("Its minutes follow from the amount, the work time and the cure.");
            case PageChange.Reading r when goesOff(steps.get(at)) -> Optional.of(GOES_OFF);
            case PageChange.Picture p when goesOff(steps.get(at)) -> Optional.of(GOES_OFF);
            default -> Optional.empty();
        };
    }

    private static final String GOES_OFF =
            "Nothing more is wanted while a mix goes off: want it at the step before, or after.";

    private static Optional<String> noPlace(List<Step> steps, String after) {
        return after.isEmpty() || StepOrder.index(steps, after) >= 0
                ? Optional.empty()
                : Optional.of("This plan has no step to put it after.");
    }

    private static boolean goesOff(Step s) {
        return s.goesLive() || s.kind() == Step.Kind.SPREAD;
    }

    private static boolean timed(Step s) {
        return goesOff(s) || s.kind() == Step.Kind.WAIT;
    }

    private static List<Step> changed(List<Step> steps, PageChange change) {
        List<Step> out = new ArrayList<>(steps);
        int at = StepOrder.index(steps, change.step());
        switch (change) {
            case PageChange.Add a -> out.add(behind(out, a.after()), step(a));
            case PageChange.LeaveOut l -> out.remove(at);
            case PageChange.Move m -> {
                Step s = out.remove(at);
                out.add(behind(out, m.after()), s);
            }
            case PageChange.Words w -> out.set(at, out.get(at).saying(w.title(), w.how()));
            case PageChange.Minutes m -> out.set(at, out.get(at).lasting(m.activeMin()));
            case PageChange.Reading r ->
                out.set(at, out.get(at).wanting(new Step.Wanted(List.of(r.quantity()), false)));
            case PageChange.Picture p -> out.set(at, out.get(at).wanting(new Step.Wanted(List.of(), true)));
        }
        return out;
    }

    private static int behind(List<Step> steps, String after) {
        return after.isEmpty() ? 0 : StepOrder.index(steps, after) + 1;
    }

    private static Step step(PageChange.Add a) {
        boolean rests = a.waitMin() > 0;
        Step.Kind kind = rests ? Step.Kind.WAIT : a.gate().isPresent() ? Step.Kind.GATE : Step.Kind.DO;
        Set<Caution> cautions = new LinkedHashSet<>();
        if (!a.caution().isEmpty()) {
            cautions.add(new Caution(a.step(), a.caution(), List.of()));
        }
        a.acts()
                .forEach(act -> caution(act)
                        .ifPresent(id -> cautions.add(TradeBook.shipped().caution(id))));
        return new Step(
                a.step(),
                kind,
                a.title(),
                a.how(),
                Optional.of(a.zone().orElse(Zone.Kind.CLEAN)),
                "",
                "",
                "",
                "",
                "",
                "",
                a.activeMin(),
                rests
                        ? Optional.of(new Step.Clock(Step.Clock.Kind.FROM, "Go on from", a.waitMin(), "house rule", ""))
                        : Optional.empty(),
                a.gate()
                        .map(g -> new Gate(
                                g.question(),
                                g.yes(),
                                "go on",
                                g.no(),
                                List.of(new Gate.Branch(AGAIN, g.no(), g.then(), a.step())))),
                "",
                List.of(),
                List.copyOf(cautions),
                a.activeMin() > 0 ? List.of(Step.Resource.HANDS) : List.of(),
                List.of(),
                a.acts(),
                "",
                Optional.empty(),
                List.of(),
                List.of());
    }

    /** The book's caution for {@code act}; a house's own words are added to it and never stand in its place. */
    private static Optional<String> caution(Act act) {
        return switch (act) {
            case CLEAN, WIPE_AGAIN -> Optional.of("solvent");
            case SAND_FACE, SAND_BACK, PAPER -> Optional.of("dust");
            case HEAT -> Optional.of("lamp");
            case PRIMER -> Optional.of("spray");
            default -> Optional.empty();
        };
    }

    private static Loop loop(PageChange.Add a, PageChange.HouseGate g) {
        PageChange.Add then = new PageChange.Add(
                "then", "", g.then(), "", a.zone(), g.thenMin(), 0, a.caution(), Optional.empty(), a.acts());
        return new Loop(a.step(), g.then(), List.of(step(then)));
    }

    private static String book(List<Step> steps, PageChange change) {
        int at = StepOrder.index(steps, change.step());
        return switch (change) {
            case PageChange.Words w ->
                w.title().isEmpty()
                        ? steps.get(at).detail()
                        : w.how().isEmpty()
                                ? steps.get(at).title()
                                : steps.get(at).title() + ". " + steps.get(at).detail();
            case PageChange.Minutes m -> Text.of(Math.round(steps.get(at).activeMin() * 10) / 10.0, "min");
            case PageChange.Move m ->
                at == 0 ? "in the first place" : "after “" + steps.get(at - 1).title() + "”";
            default -> "";
        };
    }
}
