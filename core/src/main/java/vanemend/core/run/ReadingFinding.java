package vanemend.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vanemend.core.plan.Plan;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Air;
import vanemend.core.trade.Quantity;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/**
 * What a reading at a step says for the work.
 *
 * @param step instance it was read at
 * @param said in the trade's words
 * @param stop true where the plan does not go on as it stands
 */
public record ReadingFinding(String step, String said, boolean stop) {

    /** What the newest readings at {@code step} say; earlier steps' readings count where nothing was read here. */
    public static List<ReadingFinding> at(
            Plan plan, RunStepId id, List<Quantity> asks, List<RunState.Reading> readings) {
        List<ReadingFinding> out = new ArrayList<>();
        String step = id.text();
        if (asks.contains(Quantity.FILM_UM)) {
            film(plan, id, readings).ifPresent(out::add);
        }
        if (asks.contains(Quantity.ANGLE_DEG)) {
            last(readings, step, Quantity.ANGLE_DEG)
                    .map(v -> angle(plan, step, v))
                    .ifPresent(out::add);
        }
        if (asks.contains(Quantity.RH_PERCENT)) {
            dew(plan, step, readings).ifPresent(out::add);
        }
        return List.copyOf(out);
    }

    private static Optional<Double> last(List<RunState.Reading> readings, String step, Quantity quantity) {
        return readings.reversed().stream()
                .filter(r -> r.step().equals(step) && r.quantity() == quantity)
                .findFirst()
                .map(RunState.Reading::value);
    }

    /** Of several gauge readings the lowest counts: the coat is cut through where it is thinnest. */
    private static Optional<ReadingFinding> film(Plan plan, RunStepId id, List<RunState.Reading> readings) {
        String step = id.text();
        Optional<FilmBudget> budget = plan.budget();
        double lowest = readings.stream()
                .filter(r -> r.step().equals(step) && r.quantity() == Quantity.FILM_UM)
                .mapToDouble(RunState.Reading::value)
                .min()
                .orElse(Double.NaN);
        if (budget.isEmpty() || Double.isNaN(lowest)) {
            return Optional.empty();
        }
        double least = budget.get().leastUm();
        double toGo = cost(budget.get(), id);
        double end = lowest - toGo;
        String figures = micrometres(lowest) + " now, the grades to come take " + micrometres(toGo) + ": "
                + micrometres(Math.max(0, end)) + " at the end, " + micrometres(least) + " asked";
        return Optional.of(
                end < least - 1e-9
                        ? new ReadingFinding(
                                step, "Stop: " + figures + ". What is cut through cannot be polished back.", true)
                        : new ReadingFinding(step, "Holds: " + figures + "." + more(step, readings), false));
    }

    /** One place says little: a gauge scatters. */
    private static String more(String step, List<RunState.Reading> readings) {
        long read = readings.stream()
                .filter(r -> r.step().equals(step) && r.quantity() == Quantity.FILM_UM)
                .count();
        long asked = (long) TradeBook.value("film.readings");
        return read >= asked
                ? ""
                : " Read " + (asked - read) + " more: one place says little, the lowest of " + asked + " counts.";
    }

    /** What the grades after {@code step} still take, µm: what the budget leaves now less what it leaves at the end. */
    private static double cost(FilmBudget budget, RunStepId id) {
        double before = budget.left().stream()
                .filter(l -> l.gate().equals(id.base()))
                .mapToDouble(FilmBudget.Left::um)
                .findFirst()
                .orElse(budget.soundUm());
        return before - budget.endUm();
    }

    private static ReadingFinding angle(Plan plan, String step, double deg) {
        double most = Limits.rule("tyre-angle").upTo().orElseThrow();
        boolean over = deg > most;
        boolean two = Recipe.find(plan.recipe())
                .filter(r -> r.when().contains(Recipe.When.ANGLE_SLANT))
                .isPresent();
        String is = Text.of(deg, "°") + " from square: ";
        if (over && !two) {
            return new ReadingFinding(
                    step,
                    is + "over " + Text.book("limit.tyre-angle.upTo")
                            + " takes two pieces, stem and patch apart. Plan anew with this angle.",
                    true);
        }
        return new ReadingFinding(
                step,
                is
                        + (over
                                ? "two pieces, as planned."
                                : two ? "one piece would do; two pieces hold too." : "one piece, as planned."),
                false);
    }

    private static Optional<ReadingFinding> dew(Plan plan, String step, List<RunState.Reading> readings) {
        Optional<Double> surface = last(readings, step, Quantity.SURFACE_C);
        if (surface.isEmpty()) {
            return Optional.empty();
        }
        Air air = new Air(
                last(readings, step, Quantity.AIR_C).orElse(plan.air().tempC()),
                last(readings, step, Quantity.RH_PERCENT)
                        .filter(v -> v > 0)
                        .orElse(plan.air().rhPercent()));
        double margin = air.marginK(surface.get());
        double least = TradeBook.value("air.dew-margin");
        String is = "Surface " + Text.of(surface.get(), "°C") + ", dew point "
                + Text.of(Math.round(air.dewPointC() * 10) / 10.0, "°C") + ": "
                + Text.overLeast(Math.floor(margin * 10 + 1e-9) / 10, "K", margin < least) + " over it, at least "
                + Text.atLeast(least, "K");
        return Optional.of(
                margin < least
                        ? new ReadingFinding(step, is + ". Warm it, wipe it dry.", true)
                        : new ReadingFinding(step, is + ".", false));
    }

    private static String micrometres(double um) {
        return Text.of(Math.round(um), "µm");
    }
}
