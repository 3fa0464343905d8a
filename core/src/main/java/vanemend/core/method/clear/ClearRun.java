package vanemend.core.method.clear;

import java.util.OptionalDouble;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.method.Act;
import vanemend.core.method.Kit;
import vanemend.core.method.Method;
import vanemend.core.method.MethodPage;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Step;
import vanemend.core.method.Step.Kind;
import vanemend.core.method.StepBuilder;
import vanemend.core.method.Watch;
import vanemend.core.method.Weight;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Rung;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Run or sag in clear coat: the run cut down behind a putty shield, grade by grade inside the film budget, then polished. */
public final class ClearRun extends MethodPage {
    /** The method. */
    public static final Method METHOD = Method.of(MethodId.CLEAR_RUN, ClearRunLayout::new);

    private final FilmBudget budget;

    private ClearRun(Kit kit, FilmBudget budget) {
        super(kit);
        this.budget = budget;
    }

    /** The steps, within {@code budget}. */
    static MethodSteps lay(Kit kit, FilmBudget budget) {
        ClearRun p = new ClearRun(kit, budget);
        p.cured();
        p.budget();
        p.shield();
        p.grades();
        p.polish();
        return p.laid("Run or sag in clear coat");
    }

    private void cured() {
        add(look(
                        "clear-cured",
                        "Clear fully cured?",
                        "Never straight from the booth's bake. A thumbnail on the run itself, where it is thickest.",
                        Zone.Kind.DAMAGE,
                        gate(
                                "Thumbnail leaves no mark on the run, panel cold?",
                                "Cured",
                                "read the film",
                                "Soft or warm",
                                branch("soft", "Soft or warm", "lamp, then cool", "lamp-again")))
                .acts(Act.CLEAR_CURED));
        loop(
                "lamp-again",
                "Lamp on the run",
                step("lamp", Kind.DO, "Lamp " + Text.book("clear.lamp") + " at most, then cold")
                        .detail(Text.book("clear.lamp-least")
                                + " at least, then leave it until it is as cold as the shop.")
                        .zone(Zone.Kind.DAMAGE)
                        .active(TradeBook.value("minutes.lamp-setup"))
                        .caution("lamp")
                        .needs(Step.Resource.LAMP)
                        .acts(Act.HEAT, Act.COOL));
    }

    private void budget() {
        add(look(
                        "film",
                        "Film budget",
                        "Gauge, " + Text.book("film.readings") + " places beside the run and on its peak. " + total()
                                + "To level: " + um(budget.toLevelUm()) + ". " + budget.said(),
                        Zone.Kind.LEVEL,
                        gate(
                                        "Readings as typed, budget holds?",
                                        "Holds",
                                        "clean, shield",
                                        "Differs",
                                        branch("differs", "Readings differ", "read again, type them in", "read-again"))
                                .reading(Quantity.FILM_UM))
                .watches(film("film"))
                .layer("clear")
                .figure(um(budget.shown(budget.soundUm())))
                .asks(Quantity.FILM_UM));
        loop(
                "read-again",
                "Read the film again",
                step("read", Kind.DO, "Read beside the run, type the lowest")
                        .detail("In " + Text.book("film.readings")
                                + " places. The lowest is what the budget is worked from. " + total())
                        .zone(Zone.Kind.LEVEL)
                        .tool("Film gauge")
                        .asks(Quantity.FILM_UM)
                        .active(TradeBook.value("minutes.measure")));
        add(clean("clean", "Degrease", "Silicone stops the putty holding.", Zone.Kind.CLEAN));
    }

    /** What a gauge shows, and what of it is clear. */
    private String total() {
        return "The gauge shows total film: " + um(budget.underUm()) + " of it lies beneath the clear. ";
    }

    private static String um(double v) {
        return Text.of(Math.round(v), "µm");
    }

    private void shield() {
        String paper = "P" + Math.round(TradeBook.value("clear.shield-scuff"));
        add(step("scuff", Kind.SAND, "Dull the clear where the shield will lie")
                .detail("By hand, a soft pad, " + paper + ": no gloss left under the shield, none sanded past it.")
                .zone(Zone.Kind.SHIELD)
                .layer("clear")
                .tool("Hand pad")
                .paper(paper)
                .active(hands("minutes.scuff", Zone.Kind.SHIELD))
                .caution("dust")
                .acts(Act.DULL));
        add(dustOff("scuff-dust", Zone.Kind.SHIELD));
        mixAndSpread(
                kit.mix("shield"),
                "shield",
                "shield",
                Zone.Kind.SHIELD,
                "Putty thin over and around the run",
                "Edges tapered on the clear: it guards what lies beside while the run is cut down.",
                Act.SHIELD);
        cure(kit.mix("shield"), "shield", Zone.Kind.SHIELD, "320");
    }

    private void grades() {
        for (Rung r : kit.ladder().rungs()) {
            OptionalDouble um = budget.after(r.id());
            String left = um.isPresent()
                    ? um(um.getAsDouble()) + " of clear left after it: the gauge shows "
                            + um(budget.shown(um.getAsDouble())) + "."
                    : "The shield takes it, not the clear.";
            StepBuilder paper = step(
                            r.id(),
                            Kind.SAND,
                            first(r.paper()) + (r.note().isEmpty() ? "" : " " + r.note()) + " by "
                                    + r.tool().within())
                    .detail(first(r.motion()) + ". " + left)
                    .zone(r.zone())
                    .layer("clear")
                    .tool(r.tool().word())
                    .paper(r.paper() + (r.note().isEmpty() ? "" : ", " + r.note()))
                    .amount(r.discs() + (r.discs() == 1 ? " disc" : " discs"))
                    .active(r.minutes())
                    .caution("dust")
                    .needs(sander(r))
                    .acts(Act.PAPER);
            if (!r.note().isEmpty()) {
                paper.caution("water-mains");
            }
            add(paper);
            add(look(
                            FilmBudget.gateOf(r.id()),
                            "Run height left, no base showing",
                            "Dry it, light from the side, gauge beside the "
                                    + (FilmBudget.guarded(r) ? "shield. " : "run. ") + total(),
                            Zone.Kind.LEVEL,
                            gate(
                                            "Lower than before, no base, no edge thin?",
                                            "Go on",
                                            "next grade",
                                            "Stop",
                                            stop(
                                                    "thin",
                                                    "Base shows or clear is thin",
                                                    "No more paper: what is cut through cannot be polished back. The panel is refinished.",
                                                    Weight.NEVER),
                                            branch("high", "Still standing", "the same grade again", "same-again"))
                                    .reading(Quantity.FILM_UM))
                    .watches(film(FilmBudget.gateOf(r.id())))
                    .figure(um(budget.shown(um.orElse(budget.soundUm()))))
                    .asks(Quantity.FILM_UM));
        }
        loop(
                "same-again",
                "The same grade again",
                step("again", Kind.SAND, "The same grade again")
                        .detail("On the run alone, inside the shield.")
                        .zone(Zone.Kind.SHIELD)
                        .layer("clear")
                        .active(hands("minutes.scuff", Zone.Kind.SHIELD))
                        .caution("dust")
                        .acts(Act.PAPER));
    }

    /** The film beside the run as a gauge shows it, as thin as it may be at {@code gate}: what the grades to come take stays over the minimum. */
    private Watch film(String gate) {
        double now = budget.left().stream()
                .filter(l -> l.gate().equals(gate))
                .mapToDouble(FilmBudget.Left::um)
                .findFirst()
                .orElse(budget.soundUm());
        return Watch.limit(
                        "film",
                        Quantity.FILM_UM,
                        Watch.Sense.AT_LEAST,
                        "limit.film-thin.from",
                        Weight.STOP,
                        "Clear too thin to go on",
                        total()
                                + "The grades to come would leave less clear than the least. What is cut through cannot be polished back.")
                // To the tenth a gauge shows, never less.
                .at(Math.ceil(budget.shown(budget.leastUm() + now - budget.endUm()) * 10 - 1e-9) / 10)
                .liftedBy((int) TradeBook.value("film.readings"))
                .ofCare();
    }

    private void polish() {
        add(step("polish", Kind.DO, "Polish")
                .detail("Off the edges; let it cool between passes. " + um(budget.endUm())
                        + " of clear left at the end.")
                .zone(Zone.Kind.LEVEL)
                .layer("clear")
                .material(name(Role.POLISH))
                .active(minutesFor("minutes.polish.per-100cm2", Zone.Kind.LEVEL)));
        ready("Wipe down, look in daylight", "");
    }
}
