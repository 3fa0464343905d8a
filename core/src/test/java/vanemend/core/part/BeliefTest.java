package vanemend.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import vanemend.core.Seeds;

@DisplayName("belief over families: Bayes' rule, held by its identities")
class BeliefTest {
    private static Belief.Done done(String test, String reading) {
        return new Belief.Done(test, Optional.ofNullable(reading));
    }

    private static double share(Belief b, Family f) {
        return b.families().stream()
                .filter(s -> s.family() == f)
                .findFirst()
                .orElseThrow()
                .share();
    }

    private static List<Belief.Done> some(Random r) {
        List<Belief.Done> out = new ArrayList<>();
        for (BenchTest t : BenchTest.all()) {
            if (r.nextInt(3) > 0) {
                String reading = r.nextInt(6) == 0
                        ? null
                        : t.readings().get(r.nextInt(t.readings().size())).id();
                out.add(done(t.id(), reading));
            }
        }
        return out;
    }

    @Test
    void sharesAlwaysAddUpToOneAndOrderDoesNotMatter() {
        Seeds.forEach(500, (r, i) -> {
            List<Belief.Done> tests = some(r);
            Belief a = Belief.after(tests);
            assertThat(a.families().stream().mapToDouble(Belief.Share::share).sum())
                    .isCloseTo(1, within(1e-12));
            Collections.shuffle(tests, r);
            Belief b = Belief.after(tests);
            for (Family f : BenchTest.families()) {
                assertThat(share(b, f)).isCloseTo(share(a, f), within(1e-12));
            }
        });
    }

    @Test
    void noTestIsEverExpectedToMakeThingsLessClear() {
        Seeds.forEach(
                300,
                (r, i) -> Belief.after(some(r))
                        .next()
                        .forEach(n -> assertThat(n.expectedBits()).isGreaterThanOrEqualTo(0)));
    }

    @Test
    void aSkippedTestChangesNothingAndIsNotProposedAgain() {
        Belief none = Belief.after(List.of());
        Belief skipped = Belief.after(List.of(done("float", null)));
        assertThat(skipped.families()).isEqualTo(none.families());
        assertThat(skipped.next()).noneMatch(n -> n.test().equals("float"));
        assertThat(none.next()).hasSize(BenchTest.all().size());
    }

    @Test
    @DisplayName("one test by hand: prior 0.45, floats 0.80 against 0.08, 0.04, 0.06, 0.15, 0.04")
    void oneTestByHand() {
        Belief b = Belief.after(List.of(done("float", "floats")));
        double sum = 0.45 * 0.80 + 0.24 * 0.08 + 0.03 * 0.04 + 0.06 * 0.06 + 0.10 * 0.15 + 0.12 * 0.04;
        assertThat(share(b, Family.POLYOLEFIN)).isCloseTo(0.45 * 0.80 / sum, within(1e-12));
        assertThat(b.first()).isEqualTo(Family.POLYOLEFIN);
        assertThat(b.known()).as("one test alone settles nothing").isFalse();
    }

    @Test
    @DisplayName(
            "acetone that changes nothing does not rule out polyacetal or PBT: the share of their family does not fall")
    void acetoneTellsNothingOfWhatNoSolventSoftens() {
        double before = share(Belief.after(List.of()), Family.ENGINEERING);
        double after = share(Belief.after(List.of(done("acetone", "unchanged"))), Family.ENGINEERING);
        assertThat(after).isGreaterThan(before * 0.7);
        assertThat(share(Belief.after(List.of(done("acetone", "unchanged"))), Family.STYRENIC))
                .isLessThan(0.25 * share(Belief.after(List.of()), Family.STYRENIC));
    }

    @Test
    void threeTellingTestsSettleAnUnmarkedPolyolefinAndOneDoesNot() {
        assertThat(Belief.after(List.of()).known()).isFalse();
        assertThat(Belief.after(List.of(done("flex", "springy"))).known()).isFalse();
        Belief three =
                Belief.after(List.of(done("float", "floats"), done("acetone", "unchanged"), done("sand", "fuzzy")));
        assertThat(three.known()).isTrue();
        assertThat(three.first()).isEqualTo(Family.POLYOLEFIN);
        assertThat(three.entropyBits()).isLessThan(0.4);
    }

    @Test
    void theNextTestIsTheOneThatTellsMost() {
        Seeds.forEach(200, (r, i) -> {
            List<Belief.Next> next = Belief.after(some(r)).next();
            for (int k = 1; k < next.size(); k++) {
                assertThat(next.get(k - 1).expectedBits())
                        .isGreaterThanOrEqualTo(next.get(k).expectedBits());
            }
        });
    }

    @Test
    void unknownTestsAndReadingsAreNamed() {
        assertThatThrownBy(() -> Belief.after(List.of(done("smell", "sweet")))).hasMessageContaining("smell");
        assertThatThrownBy(() -> Belief.after(List.of(done("float", "flies")))).hasMessageContaining("flies");
    }
}
