package vanemend.solver;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import vanemend.core.day.AnyDays;
import vanemend.core.day.Bounds;
import vanemend.core.day.Day;
import vanemend.core.day.DayCheck;
import vanemend.core.day.DayPlan;
import vanemend.core.day.DayStart;
import vanemend.core.day.Job;
import vanemend.core.day.JobShop;
import vanemend.core.day.Worth;

/** Measures what the solver adds: published job shops to their proof, mixed days against one after the other, first come, the start and the bound. */
public final class Orders {
    private static final double A_SHOP = 120;
    private static final int TURNS = 30;
    private static final int SEEDS = 5;

    private Orders() {}

    /** {@code args}: none. */
    public static void main(String[] args) {
        shops();
        System.out.printf(
                "%n12 repairs of all families, two technicians, an apprentice, a lamp, an oven, half of them promised%n");
        System.out.println(
                "seed  all done: one by one  first come    start     solver    bound   of one by one   over bound"
                        + "   late: first come    start  solver");
        for (int seed = 1; seed <= SEEDS; seed++) {
            System.out.println(mixed(12, seed, 400, 0.25));
        }
        System.out.printf("%n40 repairs, likewise%n");
        for (int seed = 1; seed <= SEEDS; seed++) {
            System.out.println(mixed(40, seed, 400, 0.5));
        }
    }

    private static void shops() {
        Map<String, int[][]> shops = new LinkedHashMap<>();
        shops.put("FT06, optimum 55", JobShop.FT06);
        shops.put("LA01, optimum 666", JobShop.LA01);
        shops.put("LA16, optimum 945", JobShop.LA16);
        shops.put("FT10, optimum 930", JobShop.FT10);
        shops.forEach((name, rows) -> {
            Day day = JobShop.day(rows);
            DayPlan start = DayStart.of(day, 200, 1);
            long began = System.nanoTime();
            DayModel.Found f = DayModel.solved(
                    day,
                    start,
                    day.jobs().stream().map(Job::id).collect(Collectors.toSet()),
                    DayModel.Aim.LAST,
                    A_SHOP,
                    start.last(),
                    1);
            System.out.printf(
                    "%s: start %d, found %s, bound %s, %s in %.1f s%n",
                    name,
                    start.last(),
                    f.plan()
                            .map(p -> p.last() + (DayCheck.faults(day, p).isEmpty() ? "" : " with faults"))
                            .orElse("none"),
                    f.bound(),
                    f.proven() ? "proven" : "not proven",
                    seconds(began));
        });
    }

    private static double seconds(long began) {
        return (System.nanoTime() - began) / 1e9;
    }

    private static String mixed(int repairs, int seed, int turns, double effort) {
        Day day = AnyDays.mixed(repairs, new Random(seed));
        DayPlan one = DayStart.oneAfterTheOther(day);
        DayPlan come = DayStart.firstCome(day);
        DayPlan start = DayStart.of(day, TURNS, seed);
        long began = System.nanoTime();
        Better b = Better.of(day, start, Map.of(), turns, effort, seed);
        double took = seconds(began);
        for (DayPlan p : List.of(one, come, start, b.plan())) {
            if (!DayCheck.faults(day, p).isEmpty()) {
                throw new IllegalStateException(DayCheck.faults(day, p).toString());
            }
        }
        int bound = Math.max(Bounds.last(day, day.jobs()), b.bound().orElse(0));
        return "%4d %22s %11s %8s %11s %7s %13.0f %% %10.1f %% %18s %8s %7s   (%.1f s)"
                .formatted(
                        seed,
                        AnyDays.hours(one.last()),
                        AnyDays.hours(come.last()),
                        AnyDays.hours(start.last()),
                        AnyDays.hours(b.plan().last()),
                        AnyDays.hours(bound),
                        100.0 * b.plan().last() / one.last(),
                        100.0 * b.plan().last() / bound - 100,
                        AnyDays.hours(Worth.of(day, come).late()),
                        AnyDays.hours(Worth.of(day, start).late()),
                        AnyDays.hours(Worth.of(day, b.plan()).late()),
                        took);
    }
}
