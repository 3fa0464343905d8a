package vanemend.core.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import vanemend.core.Bench;
import vanemend.core.damage.DentDraft;
import vanemend.core.plan.Conditions;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;

/** How long the core takes from draft to plan. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class PlanBenchmark {
    private final Conditions shop = Bench.shop();
    private final RepairDraft usual = Bench.usual();
    private final RepairDraft hail = hail();

    private static RepairDraft hail() {
        DentDraft[] dents = new DentDraft[20];
        for (int i = 0; i < dents.length; i++) {
            dents[i] = Bench.dent(100 + 120 * (i % 5), 70 + 110 * (i / 5), 60, 50, 1 + 0.1 * i);
        }
        return Bench.repair(Bench.door(), dents);
    }

    /** One dent. */
    @Benchmark
    public Workup oneDent() {
        return Bench.workup(usual, shop);
    }

    /** Twenty dents. */
    @Benchmark
    public Workup twentyDents() {
        return Bench.workup(hail, shop);
    }
}
