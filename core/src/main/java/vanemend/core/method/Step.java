package vanemend.core.method;

import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vanemend.core.footprint.Zone;
import vanemend.core.trade.Caution;
import vanemend.core.trade.Quantity;

/**
 * One step of a method.
 *
 * @param id name within the method
 * @param kind what happens
 * @param title verb first
 * @param detail how, in one or two short sentences
 * @param zone where on the part
 * @param layer layer of the section it works on; empty for none
 * @param tool tool; empty for none
 * @param paper abrasive; empty for none
 * @param material what is put on; empty for none
 * @param amount how much, with unit; empty for none
 * @param figure the figure that matters, with unit; empty for none
 * @param activeMin hands-on, min
 * @param clock clock that runs with it
 * @param gate what must be true to go on
 * @param mix mix that the step weighs, spreads or waits for; empty for none
 * @param asks readings to type here
 * @param cautions what can hurt, before it starts
 * @param resources what it needs besides the part
 * @param after steps that must be finished before
 * @param acts what it does to the part, as interlocks ask
 * @param portion portion that it uses; empty for none
 * @param wanted what the house wants before it is done; empty for nothing
 * @param watches what a reading taken here is held against
 * @param sites which of several sites it is done at; empty where there is one, and for what is done for all of them
 */
public record Step(
        String id,
        Kind kind,
        String title,
        String detail,
        Optional<Zone.Kind> zone,
        String layer,
        String tool,
        String paper,
        String material,
        String amount,
        String figure,
        double activeMin,
        Optional<Clock> clock,
        Optional<Gate> gate,
        String mix,
        List<Quantity> asks,
        List<Caution> cautions,
        List<Resource> resources,
        List<String> after,
        List<Act> acts,
        String portion,
        Optional<Wanted> wanted,
        List<Watch> watches,
        List<String> sites) {

    public Step {
        sites = sites == null ? List.of() : List.copyOf(sites);
        watches = watches == null ? List.of() : List.copyOf(watches);
        acts = acts == null ? List.of() : List.copyOf(acts);
        portion = portion == null ? "" : portion;
        wanted = wanted == null ? Optional.empty() : wanted;
    }

    /**
     * What the house wants of a step besides what its page asks. It holds the pedal; a hand goes on without it, and that stands in the record:
     * a shop's own wish stops no work that cannot wait.
     *
     * @param readings readings to take here
     * @param picture whether a picture is to be taken here
     */
    public record Wanted(List<Quantity> readings, boolean picture) {
        public Wanted {
            readings = List.copyOf(readings);
        }

        /** What is wanted, as said: {@code Surface, a picture}. */
        public String said() {
            Stream<String> what = readings.stream().map(Quantity::word);
            return Stream.concat(what, picture ? Stream.of("a picture") : Stream.empty())
                    .collect(Collectors.joining(", "));
        }

        private Wanted and(Wanted more) {
            return new Wanted(
                    Stream.concat(readings.stream(), more.readings.stream())
                            .distinct()
                            .toList(),
                    picture || more.picture);
        }
    }

    /** What happens in a step. */
    public enum Kind {
        DO,
        MIX,
        SPREAD,
        WAIT,
        SAND,
        GATE
    }

    /** What a step needs besides the part. */
    public enum Resource {
        HANDS,
        LAMP,
        OVEN,
        SANDER
    }

    /**
     * A clock.
     *
     * @param kind a deadline or an earliest time
     * @param label what happens at its end
     * @param minutes planned length, min
     * @param note where the figure comes from
     * @param waitId wait of the plan that it is the clock of; empty for none
     */
    public record Clock(Kind kind, String label, double minutes, String note, String waitId) {
        public Clock {
            waitId = waitId == null ? "" : waitId;
        }

        /** Deadline (rounded down) or earliest time (rounded up). */
        public enum Kind {
            BY,
            FROM
        }
    }

    /** Passive time, min: the clock of a wait. */
    public double waitMin() {
        return kind == Kind.WAIT ? clock.map(Clock::minutes).orElse(0.0) : 0;
    }

    /** How long it takes, min: what hands do in a wait is done while it waits. */
    public double lastsMin() {
        return kind == Kind.WAIT ? Math.max(activeMin, waitMin()) : activeMin;
    }

    /** A copy done at {@code site}, under {@code newId}, which knows mix, portion, wait, loops and watches of that site by {@code named}. */
    public Step at(String site, String newId, UnaryOperator<String> named, IntUnaryOperator damage) {
        return StepBuilder.of(newId, title, this)
                .sites(List.of(site))
                .knowing(named, damage)
                .build(after);
    }

    /** A copy done for {@code some} sites at once; for all of them where none is named. */
    public Step forSites(List<String> some) {
        return copy().sites(some).build(after);
    }

    /** Whether it is done at a site where {@code s} is done too; what is done for all of them goes with any. */
    public boolean with(Step s) {
        return sites.isEmpty() || s.sites.isEmpty() || sites.stream().anyMatch(s.sites::contains);
    }

    /** A copy under another id and predecessors, for a rework loop. */
    public Step as(String newId, List<String> newAfter) {
        return StepBuilder.of(newId, title, this).build(newAfter);
    }

    /** A copy with another amount, the figure shown for it, and other hands-on minutes. */
    public Step amounting(String newAmount, String newFigure, double min) {
        return copy().amount(newAmount).figure(newFigure).active(min).build(after);
    }

    /** A copy with other hands-on minutes. */
    public Step lasting(double min) {
        return copy().active(min).build(after);
    }

    /** A copy in other words; an empty text leaves the one that is there. */
    public Step saying(String otherTitle, String otherDetail) {
        return StepBuilder.of(id, otherTitle.isEmpty() ? title : otherTitle, this)
                .detail(otherDetail.isEmpty() ? detail : otherDetail)
                .build(after);
    }

    /** A copy that is not done without {@code more}, a reading of which is asked for here. */
    public Step wanting(Wanted more) {
        return copy().asks(more.readings().stream()
                        .filter(q -> !asks.contains(q))
                        .distinct()
                        .toArray(Quantity[]::new))
                .wanted(wanted.map(w -> w.and(more)).orElse(more))
                .build(after);
    }

    private StepBuilder copy() {
        return StepBuilder.of(id, title, this);
    }

    /** Its title where there is little room: a paper and its tool say what is sanded with, else as it stands. */
    public String brief() {
        return kind == Kind.SAND && !paper.isEmpty() ? paper + ", " + tool : title;
    }

    /** Whether it sets a mix going: filler meets cream, a mixer is fitted, two parts are put together. */
    public boolean goesLive() {
        return kind == Kind.MIX || acts.contains(Act.EQUALISE) || acts.contains(Act.HAND_MIX);
    }
}
