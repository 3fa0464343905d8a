package vanemend.app.web;

import java.time.DayOfWeek;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.app.access.Account;
import vanemend.app.store.DaySaid;
import vanemend.core.day.DayBook;

/**
 * Who does what, when.
 *
 * @param now when it was planned
 * @param zone the shop's
 * @param hours when the shop works, as typed, by weekday; empty where nobody said: nothing is planned then
 * @param own when those work whose hours are not the shop's, by account
 * @param away who is away and what is out of order
 * @param open stretches of work of the days that are planned
 * @param people whose hands there are
 * @param jobs what is planned, in the order in which it is ready
 * @param blocks what each is made of, by beginning
 * @param held runs that wait for a lead: no time is planned for them
 * @param left what found no time within the days that are looked ahead
 * @param trouble why there is no plan; empty where there is one
 * @param last when all of it is done
 * @param bound before when no order is done with all of it
 * @param firstComeLast when it would be done if whoever can begin first went first
 * @param lateMin minutes past promises, of all jobs
 * @param firstComeLateMin the same if whoever can begin first went first
 * @param moved what changed last of the order; empty where nothing did for a while
 * @param done what was done today by those whose hands there are, by its beginning
 * @param solverGone whether nothing looks for a better order any more, as what did has died
 */
record DayView(
        Instant now,
        String zone,
        Map<DayOfWeek, String> hours,
        Map<String, Map<DayOfWeek, String>> own,
        List<DaySaid.Gone> away,
        List<OpenView> open,
        List<Account> people,
        List<DayJob> jobs,
        List<DayBlock> blocks,
        List<NotPlanned> held,
        List<NotPlanned> left,
        String trouble,
        Optional<Instant> last,
        Optional<Instant> bound,
        Optional<Instant> firstComeLast,
        long lateMin,
        long firstComeLateMin,
        Optional<MovedView> moved,
        boolean solverGone,
        List<DoneView> done) {

    /**
     * What hands did today, as it was.
     *
     * @param person id of whose
     * @param steps how many, one after the other
     */
    record DoneView(long repair, String name, String person, Instant from, Instant to, int steps) {}

    /**
     * What changed of the order that people went by.
     *
     * @param turned two repairs that changed places in somebody's hands
     * @param repairs that end at another time, those that gain most first
     */
    record MovedView(Instant at, Optional<TurnedView> turned, List<ShiftView> repairs) {}

    /** Names of {@code person}, of the repair that goes first now, and of the one that went before it. */
    record TurnedView(String person, String first, String then) {}

    /** When a repair would have been ready, and when it is. */
    record ShiftView(long repair, String name, Optional<Instant> promisedAt, Instant before, Instant after) {}

    /** A stretch of work. */
    record OpenView(Instant from, Instant to) {}

    /**
     * A repair with its time.
     *
     * @param number by which its blocks are known on this day, from 1
     * @param handsMin hands-on minutes left
     * @param begun whether it is under way
     * @param ready when it is done in this order
     * @param pin what somebody said of its place
     */
    record DayJob(
            int number,
            long repair,
            String name,
            String vehicle,
            boolean begun,
            double handsMin,
            Optional<Instant> promisedAt,
            Instant ready,
            DayBook.Pin pin) {}

    /** What a block is: hands at work, hands at what goes off, a thing held without hands, a wait. */
    enum Work {
        HANDS,
        LIVE,
        HELD,
        WAIT
    }

    /**
     * A block of a job.
     *
     * @param task its first step; of a wait, what it follows
     * @param title its first step, in few words
     * @param steps how many it holds; 0 for a wait
     * @param person id of whose hands; of a wait, of whose it follows
     * @param things held, by kind
     */
    record DayBlock(
            int number,
            String task,
            Work work,
            String title,
            int steps,
            Optional<String> person,
            List<String> things,
            Instant from,
            Instant to) {}

    /** A repair without a time. */
    record NotPlanned(long repair, String name, String why) {}
}
