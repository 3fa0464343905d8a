package vanemend.core.plan;

import java.util.List;
import java.util.Optional;
import vanemend.core.cure.Wait;
import vanemend.core.footprint.Piece;
import vanemend.core.house.HouseChange;
import vanemend.core.method.Interlock;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Shopping;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.sanding.Ladder;
import vanemend.core.trade.Air;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.SchoolFollowed;

/**
 * The whole repair, step by step.
 *
 * @param method that it is by
 * @param recipe way to mend that it takes
 * @param title name of the method, as said
 * @param steps in working order with earliest and latest starts
 * @param loops rework by id; none in a sketch, rework is walked only in a run
 * @param mixes mixes by id
 * @param ladder papers
 * @param schools those it follows
 * @param air shop air the times hold for
 * @param activeMin hands-on, min
 * @param totalMin start to finish, min
 * @param spareMin promised time less finish, min; empty where none was made
 * @param closing who decides before this plan does
 * @param portions what else is taken from the shelf, by job
 * @param waits every wait with its ways to cure
 * @param budget clear coat left grade by grade, for a run
 * @param pieces what is cut to shape
 * @param shopping what is taken from the shelf in all
 * @param broken interlocks that an edit of the plan or a rule of the house breaks
 * @param edits what was changed by hand, in the order of the draft's edits
 * @param house what the house does otherwise than the method's page says
 * @param binds whether a stop holds the run; in plans of earlier releases it was told and held nothing
 */
public record Plan(
        MethodId method,
        String recipe,
        String title,
        List<PlannedStep> steps,
        List<Loop> loops,
        List<MixPlan> mixes,
        Ladder ladder,
        List<SchoolFollowed> schools,
        Air air,
        double activeMin,
        double totalMin,
        Optional<Double> spareMin,
        String closing,
        List<Portion> portions,
        List<Wait> waits,
        Optional<FilmBudget> budget,
        List<Piece> pieces,
        List<Shopping> shopping,
        List<Interlock.Broken> broken,
        List<EditMade> edits,
        List<HouseChange> house,
        boolean binds) {
    /** The mix called {@code id}. */
    public MixPlan mix(String id) {
        return mixes.stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the plan has no mix " + id));
    }

    /** The loop called {@code id}. */
    public Loop loop(String id) {
        return loops.stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the plan has no loop " + id));
    }
}
