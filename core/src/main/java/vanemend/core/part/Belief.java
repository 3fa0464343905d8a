package vanemend.core.part;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vanemend.core.trade.TradeBook;

/**
 * What an unmarked part is believed to be. Bayes' rule over the families of {@link BenchTest}; tests count as independent.
 *
 * @param families most believed first, shares 0 to 1 that add up to 1
 * @param entropyBits what is still open, bits
 * @param enough share from which a plan may rest on it
 * @param known true where the first family has that share
 * @param next untried tests, most telling first
 */
public record Belief(List<Share> families, double entropyBits, double enough, boolean known, List<Next> next) {
    /** Belief in one family. */
    public record Share(Family family, String word, double share) {}

    /**
     * A test not done yet.
     *
     * @param expectedBits by how much the entropy is expected to fall, bits
     */
    public record Next(String test, String title, double expectedBits) {}

    /**
     * A test as done; {@code reading} empty where it was skipped.
     *
     * @param test id
     * @param reading id
     */
    public record Done(String test, Optional<String> reading) {}

    /** Belief after {@code done}, in any order. */
    public static Belief after(List<Done> done) {
        Map<Family, Double> belief = new EnumMap<>(BenchTest.prior());
        List<String> tried = new ArrayList<>();
        for (Done d : done) {
            BenchTest test = BenchTest.of(d.test())
                    .orElseThrow(() -> new IllegalArgumentException("no bench test is called " + d.test()));
            tried.add(test.id());
            d.reading()
                    .ifPresent(id -> update(
                            belief,
                            test.reading(id)
                                    .orElseThrow(() -> new IllegalArgumentException(
                                            "test " + test.id() + " has no reading " + id))));
        }
        double now = entropyBits(belief);
        List<Next> next = new ArrayList<>();
        for (BenchTest t : BenchTest.all()) {
            if (!tried.contains(t.id())) {
                next.add(new Next(t.id(), t.title(), Math.max(0, now - expectedEntropyBits(belief, t))));
            }
        }
        next.sort(Comparator.comparingDouble(Next::expectedBits).reversed());
        List<Share> shares = belief.entrySet().stream()
                .map(e -> new Share(e.getKey(), e.getKey().word(), e.getValue()))
                .sorted(Comparator.comparingDouble(Share::share).reversed())
                .toList();
        double enough = TradeBook.value("belief.enough");
        return new Belief(shares, now, enough, shares.getFirst().share() >= enough, List.copyOf(next));
    }

    /** The most believed family. */
    public Family first() {
        return families.getFirst().family();
    }

    private static void update(Map<Family, Double> belief, BenchTest.TestReading seen) {
        double sum = 0;
        for (Map.Entry<Family, Double> e : belief.entrySet()) {
            e.setValue(e.getValue() * seen.likelihood().get(e.getKey()));
            sum += e.getValue();
        }
        double all = sum;
        belief.replaceAll((f, p) -> p / all);
    }

    private static double expectedEntropyBits(Map<Family, Double> belief, BenchTest test) {
        double expected = 0;
        for (BenchTest.TestReading r : test.readings()) {
            double chance = 0;
            for (Map.Entry<Family, Double> e : belief.entrySet()) {
                chance += e.getValue() * r.likelihood().get(e.getKey());
            }
            if (chance > 0) {
                Map<Family, Double> after = new EnumMap<>(belief);
                update(after, r);
                expected += chance * entropyBits(after);
            }
        }
        return expected;
    }

    private static double entropyBits(Map<Family, Double> belief) {
        double h = 0;
        for (double p : belief.values()) {
            h -= p > 0 ? p * Math.log(p) / Math.log(2) : 0;
        }
        return h;
    }
}
