package vanemend.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.core.house.HousePage;
import vanemend.core.method.Interlock;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.MethodSteps;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.mix.Shopping;
import vanemend.core.sanding.PaperSwap;
import vanemend.core.trade.TradeBook;

/** Makes the plan of what a method laid out: its page with the edits made by hand, in time, and what all of it takes. */
final class PlanMaker {
    private final Job job;
    private final RepairDraft draft;
    private final Extent extent;

    PlanMaker(Job job, RepairDraft draft, Extent extent) {
        this.job = job;
        this.draft = draft;
        this.extent = extent;
    }

    Plan plan(Layout layout, Laid laid) {
        MethodSteps book = laid.page().get();
        HousePage house =
                HousePage.of(book, job.shop().house().pages().of(job.recipe().method()));
        MethodSteps page = house.page();
        double promised = draft.promisedAt() == null
                ? Double.NaN
                : Duration.between(job.shop().now(), draft.promisedAt()).toSeconds() / 60.0;
        List<Step> edited = draft.edits().isEmpty() ? page.steps() : PlanEdits.apply(page.steps(), draft.edits());
        List<PlannedStep> steps = Schedule.of(edited, promised);
        double total = Schedule.end(steps);
        return new Plan(
                job.recipe().method(),
                job.recipe().id(),
                page.method(),
                steps,
                extent == Extent.SKETCH ? List.of() : page.rework().get(),
                page.mixes(),
                laid.ladder(),
                job.house().followed(),
                job.shop().air(),
                edited.stream().mapToDouble(Step::activeMin).sum(),
                total,
                Double.isNaN(promised) ? Optional.empty() : Optional.of(promised - total),
                TradeBook.shipped().closing(),
                List.copyOf(layout.amounts().portions().values()),
                List.copyOf(layout.waits().all().values()),
                layout.film(),
                laid.pieces(),
                shopping(layout, laid),
                broken(book.steps(), edited, layout.paperFaults()),
                PlanEdits.made(page.steps(), draft.edits()),
                house.changes(),
                true);
    }

    /** What the order of steps and the papers break, with the titles that the plan shows. */
    private static List<Interlock.Broken> broken(List<Step> laid, List<Step> edited, List<PaperSwap.Fault> papers) {
        List<Interlock.Broken> out = new ArrayList<>(Interlock.broken(laid, edited));
        for (PaperSwap.Fault f : papers) {
            // A paper that was left out again breaks nothing.
            edited.stream()
                    .filter(s -> s.id().equals(f.rung()))
                    .findFirst()
                    .ifPresent(s -> out.add(
                            new Interlock.Broken(f.id(), f.rung(), s.title(), f.said(), f.missing(), f.follows())));
        }
        return List.copyOf(out);
    }

    /** Counts in {@code amount} as the shelf counts the item. */
    private void need(Map<String, Double> needed, String itemId, double amount, String unit) {
        double counted = job.shop().shelf().stream()
                .filter(i -> i.id().equals(itemId))
                .findFirst()
                .map(i -> i.counted(amount, unit))
                .orElse(amount);
        needed.merge(itemId, Math.ceil(counted * 10 - 1e-6) / 10, Double::sum);
    }

    private List<Shopping> shopping(Layout layout, Laid laid) {
        Map<String, Double> needed = new LinkedHashMap<>();
        layout.amounts().mixes().values().stream().map(MixPlan::pour).forEach(p -> {
            double putty = p.thinner().map(t -> t.of(p.fillerG())).orElse(0.0);
            need(needed, p.itemId(), (p.fillerG() - putty) * p.batches(), "g");
            p.thinner().ifPresent(t -> need(needed, t.itemId(), putty * p.batches(), "g"));
        });
        layout.amounts().portions().values().forEach(p -> need(needed, p.itemId(), p.needed(), p.unit()));
        laid.ladder().rungs().forEach(r -> need(needed, r.itemId(), r.discs(), "pieces"));
        return Shopping.of(needed, job.shop().shelf());
    }
}
