package vanemend.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vanemend.core.trade.Check;
import vanemend.core.trade.Quantity;

class ReadingsCsvTest {
    private static final Instant NOON = Instant.parse("2026-11-25T12:00:00Z");

    /** Round trip over seeded readings: what is written reads back the same, figure for figure. */
    @Test
    void whatIsWrittenReadsBackTheSame() {
        long seed = 51;
        Random random = new Random(seed);
        String[] sources = {"", "Surface thermometer", "a \"quoted\", odd; name"};
        List<RunState.Reading> readings = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            Quantity ask = Quantity.values()[random.nextInt(Quantity.values().length)];
            double value = ask.min() + random.nextDouble() * (ask.max() - ask.min());
            readings.add(new RunState.Reading(
                    UUID.randomUUID(),
                    "cure~" + (i % 7 + 2),
                    ask,
                    value,
                    NOON.plusMillis(random.nextInt(9_000_000)),
                    "Tam Okafor",
                    sources[i % sources.length],
                    i % 4 == 1));
        }
        Check check = new Check();
        List<ReadingsCsv.Row> rows = ReadingsCsv.read(ReadingsCsv.of(readings), check);
        assertThat(check.problems()).as("seed %d", seed).isEmpty();
        assertThat(rows).hasSameSizeAs(readings);
        for (int i = 0; i < rows.size(); i++) {
            RunState.Reading r = readings.get(i);
            assertThat(rows.get(i))
                    .isEqualTo(new ReadingsCsv.Row(
                            i + 2, r.at(), r.quantity(), r.value(), r.step(), r.source(), r.logged()));
        }
    }

    @Test
    void aLoggersFileNeedsThreeColumnsOnlyInAnyOrder() {
        Check check = new Check();
        List<ReadingsCsv.Row> rows =
                ReadingsCsv.read("\uFEFFvalue,at,quantity\n 41.5 , 2026-11-25T12:00:00Z ,surface_c\n\n", check);
        assertThat(check.problems()).isEmpty();
        assertThat(rows).containsExactly(new ReadingsCsv.Row(2, NOON, Quantity.SURFACE_C, 41.5, "", "", false));
    }

    @Test
    void everyLineThatCannotBeTakenIsToldByItsLineAndColumn() {
        Check check = new Check();
        List<ReadingsCsv.Row> rows = ReadingsCsv.read("""
                at,quantity,value,unit
                noon,SURFACE_C,20,°C
                2026-11-25T12:00:00Z,HEAT,20,°C
                2026-11-25T12:00:00Z,SURFACE_C,warm,°C
                2026-11-25T12:00:00Z,SURFACE_C,68,°F
                2026-11-25T12:00:00Z,SURFACE_C,900,°C
                2026-11-25T12:00:00Z,SURFACE_C,21,°C
                """, check);
        assertThat(rows).hasSize(1);
        assertThat(check.problems())
                .extracting("field")
                .containsExactly("line 2.at", "line 3.quantity", "line 4.value", "line 5.unit", "line 6.value");
        assertThat(check.problems().get(3).message()).isEqualTo("Line 5: Surface is read in °C, not in °F.");
    }

    @Test
    void aFileWithoutItsHeaderSaysWhatTheFirstLineShouldBe() {
        Check check = new Check();
        assertThat(ReadingsCsv.read("2026-11-25T12:00:00Z,SURFACE_C,20\n", check))
                .isEmpty();
        assertThat(check.problems().getFirst().message())
                .isEqualTo(
                        "The first line names the columns: at is missing. Expected at, quantity, value, unit, step, source, logged.");
    }
}
