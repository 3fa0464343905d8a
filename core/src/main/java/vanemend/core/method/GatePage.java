package vanemend.core.method;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Step.Kind;
import vanemend.core.trade.TradeBook;

/** What is asked on a page, and what a bad answer leads into. */
public abstract class GatePage extends MixingPage {
    protected final List<Loop> loops = new ArrayList<>();

    protected GatePage(Kit kit) {
        super(kit);
    }

    protected static Gate gate(String question, String yes, String yesNote, String no, Gate.Branch... branches) {
        return new Gate(question, yes, yesNote, no, List.of(branches));
    }

    protected static Gate.Branch branch(String id, String label, String note, String loop) {
        return new Gate.Branch(id, label, note, loop);
    }

    /** An answer that stops the work: {@code weight} is STOP or NEVER, {@code note} what to do then. */
    protected static Gate.Branch stop(String id, String label, String note, Weight weight) {
        return new Gate.Branch(id, label, note, "", weight);
    }

    protected StepBuilder look(String id, String title, String detail, Zone.Kind zone, Gate gate) {
        return step(id, Kind.GATE, title)
                .detail(detail)
                .zone(zone)
                .active(TradeBook.value("minutes.gate"))
                .gate(gate);
    }

    protected void loop(String id, String title, StepBuilder... builders) {
        loops.add(new Loop(id, title, chain("", builders)));
    }

    protected static List<StepBuilder> join(List<StepBuilder> a, StepBuilder... more) {
        List<StepBuilder> out = new ArrayList<>(a);
        out.addAll(List.of(more));
        return out;
    }
}
