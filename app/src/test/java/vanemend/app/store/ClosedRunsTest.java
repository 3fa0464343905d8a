package vanemend.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vanemend.app.TestServer;
import vanemend.core.plan.RepairDraft;
import vanemend.core.record.LookAgain;
import vanemend.core.record.RecordWords;
import vanemend.core.record.RecordWords.Sort;
import vanemend.core.record.RecordWords.Word;
import vanemend.core.verdict.Verdict;

@DisplayName("closed work in pages: the database finds what the words of each line say, and nothing else")
class ClosedRunsTest {
    private static final long SEED = 20_261_129;
    private static final Instant BEGUN = Instant.parse("2001-01-01T00:00:00Z");
    private static final String MARK = "zzclosed";
    private static final List<String> PEOPLE = List.of("Tamsin", "Tamper", "Priyanka", "Jossling");
    private static final List<String> RARE = List.of("RQ-17", "RQ-171", "RQ-2_5", "50%ish", "back\\slash");

    private final ClosedRuns closed = TestServer.bean(ClosedRuns.class);
    private final Repairs repairs = TestServer.bean(Repairs.class);

    private record One(long repair, Instant at, List<Word> words) {}

    private static ClosedRuns.Line line(List<Word> words, List<LookAgain> again) {
        return new ClosedRuns.Line(
                "Door",
                "Ridge, no. 7",
                "steel",
                "Metal dent fill",
                Verdict.Outcome.MEND,
                "",
                3,
                3,
                Optional.empty(),
                Optional.empty(),
                Optional.of(BEGUN),
                Optional.empty(),
                List.of(),
                0,
                Optional.empty(),
                again,
                words);
    }

    private long repair() {
        return repairs.add(UUID.randomUUID(), RepairDraft.empty(), "tam");
    }

    /** Whatever is added is gone again after it: lists of other tests stay as they are. */
    private void andGone(Runnable work) {
        new TransactionTemplate(TestServer.bean(PlatformTransactionManager.class)).executeWithoutResult(t -> {
            work.run();
            t.setRollbackOnly();
        });
    }

    @Test
    void everyQuestionIsAnsweredAsTheWordsSay() {
        andGone(() -> {
            Random random = new Random(SEED);
            List<One> all = new ArrayList<>();
            for (int i = 0; i < 2_300; i++) {
                List<Word> words = new ArrayList<>(List.of(new Word(Sort.NOTE, MARK)));
                words.add(new Word(Sort.PERSON, PEOPLE.get(random.nextInt(PEOPLE.size()))));
                if (random.nextInt(60) == 0) {
                    words.add(new Word(Sort.LOT, RARE.get(random.nextInt(RARE.size()))));
                }
                // Several at one moment: their order is their number's.
                Instant at = BEGUN.plusSeconds(random.nextInt(400) * 3600L);
                long id = repair();
                closed.keep(id, at, line(words, List.of()));
                all.add(new One(id, at, words));
            }
            all.sort(Comparator.comparing(One::at).thenComparing(One::repair).reversed());
            for (String asked : List.of(
                    "",
                    "tam",
                    "Tamsin",
                    "rq-17",
                    "rq-171",
                    "171",
                    "rq tam",
                    "rq-2_5",
                    "rq-2x5",
                    "50%",
                    "5%",
                    "back\\slash",
                    "tamsin tamper",
                    "priyanka joss rq",
                    "nobody",
                    "tam nobody")) {
                List<Long> expected = all.stream()
                        .filter(o ->
                                RecordWords.met(o.words(), MARK + " " + asked).isPresent())
                        .map(One::repair)
                        .toList();
                assertThat(paged(MARK + " " + asked)).as(asked).isEqualTo(expected);
            }
            assertThat(paged("rq tam")).as("the test asks for something").isNotEmpty();
        });
    }

    private List<Long> paged(String asked) {
        List<Long> out = new ArrayList<>();
        ClosedRuns.Place after = ClosedRuns.Place.TOP;
        while (true) {
            List<ClosedRuns.Closed> page = closed.find(RecordWords.parts(asked), after, 307);
            page.forEach(c -> out.add(c.repair()));
            if (page.size() < 307) {
                return out;
            }
            after = page.getLast().place();
        }
    }

    @Test
    void whatGoesOnIsClosedNoMoreAndWhatClosesAgainStandsOnce() {
        andGone(() -> {
            long id = repair();
            List<Word> first = List.of(new Word(Sort.NOTE, MARK + " first"));
            List<Word> second = List.of(new Word(Sort.NOTE, MARK + " second"));
            assertThat(closed.keep(id, BEGUN, line(first, List.of())))
                    .as("was open")
                    .isTrue();
            assertThat(closed.keep(id, BEGUN.plusSeconds(60), line(second, List.of())))
                    .isFalse();
            assertThat(paged(MARK + " first")).isEmpty();
            assertThat(paged(MARK + " second")).containsExactly(id);
            assertThat(repairs.notClosed()).extracting(Repairs.Stored::id).doesNotContain(id);
            assertThat(closed.reopen(id)).isTrue();
            assertThat(closed.reopen(id)).isFalse();
            assertThat(paged(MARK)).isEmpty();
            assertThat(repairs.notClosed()).extracting(Repairs.Stored::id).contains(id);
        });
    }

    @Test
    void aLookIsFoundByTheDaysItIsDueIn() {
        andGone(() -> {
            long id = repair();
            Instant half = Instant.parse("2001-07-01T00:00:00Z");
            Instant year = Instant.parse("2002-01-01T00:00:00Z");
            closed.keep(
                    id,
                    BEGUN,
                    line(List.of(), List.of(new LookAgain(half, "edge", ""), new LookAgain(year, "all", ""))));
            Set<Long> found = new HashSet<>();
            for (Instant due : List.of(half, year)) {
                closed.lookedAtAgain(due, due).forEach(c -> found.add(c.repair()));
            }
            assertThat(found).containsExactly(id);
            assertThat(closed.lookedAtAgain(half.plusSeconds(1), year.minusSeconds(1)))
                    .isEmpty();
        });
    }
}
