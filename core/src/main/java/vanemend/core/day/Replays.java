package vanemend.core.day;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.SplittableRandom;

/**
 * A plan of a day, done over and over: hands take more or less time than planned, gates send work back. Nobody knows beforehand how it will
 * go. Each pair of hands keeps to its order: what cannot begin yet lets a later one go first that is done by then, as far as anybody can tell.
 * So what a greatest wait ties together comes one after the other as it is planned; where it goes over that wait all the same, nothing is counted
 * for doing it again. What may be cut and is not done at night goes on next morning, all else is finished.
 *
 * <p>Minutes of hands are lognormal around the planned ones as their median; cures, lamps and ovens take what is planned.
 */
public final class Replays {
    /** As often as a day is replayed: an odds is then right within two of 100, nineteen times of twenty. */
    public static final int TIMES = 2_000;

    /** When each job was done, s, in order; {@link ReplayOnce#NEVER} where it found no time. */
    private final Map<String, int[]> ends;

    private Replays(Map<String, int[]> ends) {
        this.ends = ends;
    }

    /**
     * What varies.
     *
     * @param gates of each job that has some, by its id
     * @param odds how often they send work back
     * @param spread how far hands' minutes go from what is planned: standard deviation of their logarithm, 0 or more
     */
    public record Varies(Map<String, List<Gated>> gates, LoopOdds odds, double spread) {}

    /**
     * {@code plan} done {@code times} times, the same for the same {@code seed}.
     *
     * @param plan without a fault
     */
    public static Replays of(Day day, DayPlan plan, Varies varies, int times, long seed) {
        ReplayModel model = new ReplayModel(day, plan, varies);
        ReplayOnce once = new ReplayOnce(model, varies.spread(), new SplittableRandom(seed));
        List<String> jobs = model.jobs;
        int[][] ends = new int[jobs.size()][times];
        for (int i = 0; i < times; i++) {
            once.run();
            for (int j = 0; j < ends.length; j++) {
                ends[j][i] = once.ends[j];
            }
        }
        Map<String, int[]> out = new HashMap<>();
        for (int j = 0; j < ends.length; j++) {
            Arrays.sort(ends[j]);
            out.put(jobs.get(j), ends[j]);
        }
        return new Replays(out);
    }

    /** How often in 100 {@code job} is done {@code by} then, 0 to 100, rounded down: a promise is never said to be better than it is. */
    public int inHundred(String job, int by) {
        int[] all = ends.getOrDefault(job, new int[0]);
        int done = 0;
        for (int end : all) {
            done += end <= by ? 1 : 0;
        }
        return all.length == 0 ? 0 : (int) (100L * done / all.length);
    }

    /** By when {@code job} is done in {@code inHundred} of 100, s; empty where it is not as often. */
    public OptionalInt holds(String job, int inHundred) {
        int[] all = ends.getOrDefault(job, new int[0]);
        if (all.length == 0) {
            return OptionalInt.empty();
        }
        int at = all[Math.max(0, (int) Math.ceilDiv((long) all.length * inHundred, 100L) - 1)];
        return at == ReplayOnce.NEVER ? OptionalInt.empty() : OptionalInt.of(at);
    }
}
