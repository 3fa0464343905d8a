package vanemend.core.bench;

import java.util.Random;
import java.util.TreeMap;
import vanemend.core.any.AnyRepair;
import vanemend.core.any.PlanJudge;

/**
 * Plans as many repairs made by chance as are asked for, and judges each. Prints what came of them and the seed of the first fault, which
 * makes that repair again.
 */
public final class AnyPlans {
    private static final int TELL_EVERY = 100_000;

    private AnyPlans() {}

    /** {@code args}: how many, and the seed of the first; 1 where none is given. */
    public static void main(String[] args) {
        long many = Long.parseLong(args[0]);
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        TreeMap<String, Long> came = new TreeMap<>();
        long began = System.nanoTime();
        for (long seed = first; seed < first + many; seed++) {
            try {
                AnyRepair any = AnyRepair.of(new Random(seed));
                came.merge(PlanJudge.told(any, PlanJudge.judge(any)), 1L, Long::sum);
            } catch (AssertionError | RuntimeException fault) {
                System.out.println("first fault: seed " + seed);
                fault.printStackTrace(System.out);
                System.exit(1);
            }
            if ((seed - first + 1) % TELL_EVERY == 0) {
                System.out.println(seed - first + 1 + " planned and judged, none at fault");
            }
        }
        came.forEach((what, n) -> System.out.printf("%-24s %d%n", what, n));
        System.out.printf(
                "%d repairs from seed %d on, no fault, %.1f ms each%n",
                many, first, (System.nanoTime() - began) / 1e6 / many);
    }
}
