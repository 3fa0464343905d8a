package vanemend.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import vanemend.core.TestShop;
import vanemend.core.damage.DamageDraft;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Cases;
import vanemend.core.method.Conditions;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.HouseRules;

/** How long the core takes from draft to plan. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class PlanBenchmark {
    private final Conditions shop = TestShop.shop();
    private final RepairDraft usual = TestShop.usual();
    private final RepairDraft hail = hail();
    private final Conditions full = TestShop.shop(21, HouseRules.defaults(), many());
    private final Conditions every = TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf());
    private final RepairDraft lid = Cases.all().get("composite-epoxy");
    private final RepairDraft skirt = TestShop.job(
            "{made: {material: PLASTIC, thicknessMm: 3, mark: '>PP+EPDM-TD20<'}}",
            "{kind: CRACK, trace: [200, 200, 290, 200], through: THROUGH, ends: BOTH}");

    private static RepairDraft hail() {
        DamageDraft[] dents = new DamageDraft[20];
        for (int i = 0; i < dents.length; i++) {
            dents[i] = TestShop.dent(100 + 120 * (i % 5), 70 + 110 * (i / 5), 60, 50, 1 + 0.1 * i);
        }
        return TestShop.repair(TestShop.door(), dents);
    }

    /** One dent. */
    @Benchmark
    public Workup oneDent() {
        return TestShop.workup(usual, shop);
    }

    /** A split in a plastic skirt, matched against 500 items. */
    @Benchmark
    public Workup fiveHundredItems() {
        return TestShop.workup(skirt, full);
    }

    private static List<ShelfItem> many() {
        List<ShelfItem> out = new ArrayList<>();
        List<ShelfItem> shelf = TestShop.fullShelf();
        for (int i = 0; out.size() < 500; i++) {
            ShelfItem item = shelf.get(i % shelf.size());
            out.add(TestShop.item(
                    item.id() + i,
                    item.classId(),
                    item.workMin(),
                    item.sand(),
                    item.grading(),
                    item.grade(),
                    TestShop.TODAY.plusDays(i % 200 - 20)));
        }
        return out;
    }

    /** A through-crack in composite: pyramid, cloth, cream. */
    @Benchmark
    public Workup composite() {
        return TestShop.workup(lid, every);
    }

    /** The same part with one to fifty cracks: how time grows. */
    @State(Scope.Benchmark)
    public static class Many {
        @Param({"1", "5", "20", "50"})
        public int cracks;

        private RepairDraft draft;

        /** Cracks side by side. */
        @Setup
        public void lay() {
            String[] damages = new String[cracks];
            for (int i = 0; i < cracks; i++) {
                int x = 150 + 300 * (i % 10);
                int y = 150 + 260 * (i / 10);
                damages[i] = "{kind: CRACK, trace: [" + x + ", " + y + ", " + (x + 60) + ", " + (y + 24)
                        + "], through: THROUGH, ends: BOTH}";
            }
            draft = TestShop.job(
                    "{widthMm: 3200, heightMm: 1500, made: {material: COMPOSITE, composite: SMC, thicknessMm: 3.2}}",
                    damages);
        }
    }

    /** From one crack to fifty. */
    @Benchmark
    public Workup cracks(Many many) {
        return TestShop.workup(many.draft, every);
    }

    /** Twenty dents. */
    @Benchmark
    public Workup twentyDents() {
        return TestShop.workup(hail, shop);
    }
}
