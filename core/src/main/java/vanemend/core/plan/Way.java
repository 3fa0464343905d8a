package vanemend.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.Wait;
import vanemend.core.house.HousePage;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.Methods;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.method.Surfacing;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.stack.Effort;

/**
 * A way to mend, laid out for a job.
 *
 * @param job what is mended, how
 * @param layout that made it
 * @param film what of a film its papers take; empty where no film is mended
 * @param laid what came of it
 * @param blockers what stands in the way of its plan, in words
 */
record Way(Job job, Layout layout, Optional<FilmBudget> film, Laid laid, List<String> blockers) {
    static Way of(Job job) {
        List<String> blockers = new ArrayList<>(job.stack().missing());
        Layout layout = Methods.of(job.recipe().method()).layOut(job, blockers);
        Optional<FilmBudget> film = layout.film();
        Laid laid = Surfacing.over(job, layout, layout.laid());
        return new Way(job, layout, film, laid, blockers.stream().distinct().toList());
    }

    /** The hottest that its waits take the surface, each dried the way that is planned for it, °C; the air where none is warmed. */
    double hottestC() {
        double airC = job.shop().air().tempC();
        return Stream.concat(
                        layout.waits().all().values().stream().map(Wait::route),
                        layout.amounts().mixes().values().stream().map(MixPlan::route))
                .mapToDouble(DryingRoute::peakC)
                .reduce(airC, Math::max);
    }

    /** What its plan takes, before an edit by hand; empty where something stands in the way. */
    Optional<Effort> effort() {
        if (!blockers.isEmpty()) {
            return Optional.empty();
        }
        MethodSteps page = HousePage.of(
                        laid.page().get(),
                        job.shop().house().pages().of(job.recipe().method()))
                .page();
        double hands = page.steps().stream().mapToDouble(Step::activeMin).sum();
        return Optional.of(new Effort(hands, Math.max(0, Schedule.end(Schedule.of(page.steps(), Double.NaN)) - hands)));
    }
}
