package vanemend.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ObjectNode;
import vanemend.app.Kept;
import vanemend.app.TestServer;
import vanemend.app.store.upgrade.Formats;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.DamageDraft;
import vanemend.core.method.Step;
import vanemend.core.mix.Again;
import vanemend.core.record.RecordFile;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.section.Layer;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Check;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.TradeBook;

@DisplayName("a kept example of every format that ever landed is read, replayed and told as a record")
class FormatsTest {
    private static final Instant LATER = Instant.parse("2026-12-24T09:00:00Z");

    private static RecordFile read(String text) {
        Json json = TestServer.bean(Json.class);
        ObjectNode tree = json.tree(text);
        Formats.record(tree);
        return json.read(tree, RecordFile.class);
    }

    @ParameterizedTest
    @CsvSource({
        "dent-filler-putty, METAL_DENT",
        "run-machine, CLEAR_RUN",
        "tyre-two-piece, TYRE_CROWN",
        "composite-lay-up, COMPOSITE"
    })
    void recordsOfTheFirstFormat(String recipe, MethodId method) {
        RecordFile file = read(Kept.text("record-1-" + recipe + ".json"));
        Check check = new Check();
        file.check(check);
        assertThat(check.problems()).isEmpty();
        assertThat(file.frozen().plan().method()).isEqualTo(method);
        assertThat(file.frozen().plan().recipe()).isEqualTo(recipe);
        assertThat(file.frozen().workup().stack().ranked())
                .allSatisfy(r ->
                        assertThat(r.method()).isEqualTo(Recipe.of(r.recipe()).method()));
        assertThat(file.frozen().plan().schools())
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.school()).as(s.question()).isNotEmpty());
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        assertThat(state.ignored())
                .as("every event still fits, whatever its step is called now")
                .isEmpty();
        assertThat(state.finishedAt()).isPresent();
        RepairRecord record = RepairRecord.of(file.frozen(), file.events(), LATER);
        assertThat(record.lines()).hasSameSizeAs(state.steps());
        assertThat(record.used()).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource({"rust-pits, RUST_PITS", "chip-vacuum, GLASS_CHIP"})
    void recordsOfTheSecondFormat(String recipe, MethodId method) {
        RecordFile file = read(Kept.text("record-2-" + recipe + ".json"));
        Check check = new Check();
        file.check(check);
        assertThat(check.problems()).isEmpty();
        assertThat(file.frozen().plan().method()).isEqualTo(method);
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        assertThat(state.ignored()).isEmpty();
        assertThat(state.finishedAt()).isPresent();
        assertThat(RepairRecord.of(file.frozen(), file.events(), LATER).lines()).hasSameSizeAs(state.steps());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "tyre-one-piece | TYRE_CROWN | AGAINST_READING, WENT_ON_EARLY",
                "run-machine | CLEAR_RUN | DOSE_NOT_WEIGHED, AGAINST_READING, SANDED_BEFORE_CURE, AGAINST_READING,"
                        + " AGAINST_READING, AGAINST_READING, AGAINST_READING, AGAINST_READING"
            })
    @DisplayName("records of the third format: what was told then is told now, and holds a run as little as it did")
    void recordsOfTheThirdFormat(String recipe, MethodId method, String deviations) {
        RecordFile file = read(Kept.text("record-3-" + recipe + ".json"));
        Check check = new Check();
        file.check(check);
        assertThat(check.problems()).isEmpty();
        assertThat(file.frozen().plan().method()).isEqualTo(method);
        assertThat(file.frozen().plan().binds()).isFalse();
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        assertThat(state.ignored()).isEmpty();
        assertThat(state.finishedAt()).isPresent();
        assertThat(RepairRecord.of(file.frozen(), file.events(), LATER).deviations())
                .extracting(d -> d.kind().name())
                .containsExactly(deviations.split(", "));
    }

    @ParameterizedTest
    @CsvSource({"tyre-one-piece, TYRE_CROWN", "run-machine, CLEAR_RUN"})
    void recordsOfTheFourthFormat(String recipe, MethodId method) {
        RecordFile file = read(Kept.text("record-4-" + recipe + ".json"));
        Check check = new Check();
        file.check(check);
        assertThat(check.problems()).isEmpty();
        assertThat(file.frozen().plan().method()).isEqualTo(method);
        assertThat(file.frozen().plan().binds()).isTrue();
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        assertThat(state.ignored())
                .as("what was tried against a stop or with a dose that never starts was not taken then, and is not now")
                .allSatisfy(x -> assertThat(x.why()).matches("(a stop stands|a dose of).*"));
        assertThat(state.finishedAt()).isPresent();
        assertThat(RepairRecord.of(file.frozen(), file.events(), LATER).deviations())
                .isNotEmpty();
        file.frozen().plan().budget().ifPresent(b -> {
            assertThat(b.soundUm()).isEqualTo(58);
            assertThat(b.shown(b.soundUm())).as("what the gauge showed").isEqualTo(128);
            assertThat(b.toLevelUm()).isEqualTo(48);
            assertThat(file.frozen().draft().damages().getFirst().film().underUm())
                    .isEqualTo(70);
        });
    }

    @Test
    @DisplayName(
            "records of the fifth format: a way that does not cure has no minutes; a spot was as large as its damage")
    void recordsOfTheFifthFormat() {
        RecordFile file = read(Kept.text("record-5-dent-filler-putty.json"));
        Check check = new Check();
        file.check(check);
        assertThat(check.problems()).isEmpty();
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        assertThat(state.ignored()).isEmpty();
        assertThat(state.finishedAt()).isPresent();
        assertThat(RepairRecord.of(file.frozen(), file.events(), LATER).used()).isNotEmpty();
        Again again = file.frozen().plan().mix("filler").pour().again().orElseThrow();
        assertThat(again.amount(1, OptionalDouble.of(20))).isEqualTo(again.amount(1));
        Json json = TestServer.bean(Json.class);
        ObjectNode tree = json.tree(Kept.text("record-5-dent-filler-putty.json"));
        ((ObjectNode) tree.at("/frozen/workup/plan/mixes/0/routes/1")).put("sandFromMin", -1);
        Formats.record(tree);
        assertThat(json.read(tree, RecordFile.class)
                        .frozen()
                        .plan()
                        .mixes()
                        .getFirst()
                        .routes())
                .extracting(r -> r.kind(), r -> r.cures())
                .containsExactly(tuple(DryingRoute.Kind.AIR, true), tuple(DryingRoute.Kind.LAMP, false));
    }

    /** What was hurt in a record that was kept of a repair that is finished; it is still read, whole. */
    private static List<DamageDraft> finished(String kept) {
        RecordFile file = read(Kept.text(kept));
        Check check = new Check();
        file.check(check);
        assertThat(check.problems()).isEmpty();
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        assertThat(state.ignored()).isEmpty();
        assertThat(state.finishedAt()).isPresent();
        assertThat(RepairRecord.of(file.frozen(), file.events(), LATER).used()).isNotEmpty();
        return file.frozen().draft().damages();
    }

    @Test
    @DisplayName("records of the sixth format: every dent of them was tapped")
    void recordsOfTheSixthFormat() {
        assertThat(finished("record-6-dent-filler-putty.json"))
                .isNotEmpty()
                .allSatisfy(d -> assertThat(d.raising()).isNull());
    }

    @Test
    @DisplayName("records of the seventh format: no dent of them was read along a straightedge")
    void recordsOfTheSeventhFormat() {
        assertThat(finished("record-7-dent-filler-putty.json"))
                .isNotEmpty()
                .allSatisfy(d -> assertThat(d.lines()).isEmpty());
    }

    @Test
    @DisplayName("records of the eighth format: no filler of them was thinned, every spreader is the book's")
    void recordsOfTheEighthFormat() {
        assertThat(finished("record-8-dent-filler-putty.json")).isNotEmpty();
        RecordFile file = read(Kept.text("record-8-dent-filler-putty.json"));
        assertThat(file.frozen().plan().mixes()).isNotEmpty().allSatisfy(m -> {
            assertThat(m.pour().thinner()).isEmpty();
            assertThat(m.pour().spreaderMm()).isEqualTo(TradeBook.value("spread.width"));
        });
    }

    @Test
    @DisplayName(
            "records of the ninth format: no spot was drawn, of no round is known how thick it lies, every paper is used")
    void recordsOfTheNinthFormat() {
        assertThat(finished("record-9-dent-filler-putty.json")).isNotEmpty();
        RecordFile file = read(Kept.text("record-9-dent-filler-putty.json"));
        assertThat(file.events()).allSatisfy(e -> assertThat(e.place()).isEmpty());
        assertThat(file.frozen().plan().mixes())
                .isNotEmpty()
                .allSatisfy(
                        m -> assertThat(m.pour().again().orElseThrow().lay()).isEmpty());
    }

    @Test
    @DisplayName("a draft that was kept with the clear beside a run is read as what the gauge shows")
    void draftsWithTheClearAlone() {
        Json json = TestServer.bean(Json.class);
        ObjectNode draft = json.tree(
                "{\"damages\":[{\"kind\":\"RUN\",\"film\":{\"peakUm\":176,\"soundUm\":58,\"totalUm\":128,\"takeUm\":9}}]}");
        Formats.draft(draft);
        Formats.draft(draft);
        assertThat(json.write(draft.path("damages").path(0).path("film")))
                .isEqualTo("{\"peakUm\":176,\"totalUm\":128,\"underUm\":70.0}");
    }

    @Test
    void lengthsAndTemperaturesInOldWordsAreQuantities() {
        RecordFile file = read(Kept.text("record-2-rust-pits.json"));
        assertThat(file.frozen().workup().verdict().findings())
                .anyMatch(f -> f.margin().equals("⟦0.4 mm⟧ deep in sheet of ⟦0.8 mm⟧"))
                .anyMatch(f -> f.margin().equals("⟦21 °C⟧ of at least ⟦10 °C⟧"));
        assertThat(file.frozen().workup().mark()).isEqualTo("steel 0.8 mm, bare");
        assertThat(file.frozen().plan().steps())
                .extracting(s -> s.step().detail())
                .noneMatch(d -> d.matches(".*[^⟦0-9.]\\d+ mm\\b.*"));
    }

    @Test
    void schoolsOfARankedStackAndPapersOfALadderAreKnownByWhatTheyAre() {
        RecordFile file = read(Kept.text("record-2-rust-pits.json"));
        assertThat(file.frozen().plan().ladder().rungs())
                .isNotEmpty()
                .allSatisfy(r -> assertThat(r.paper()).isEqualTo(r.grading() + r.grade()));
        assertThat(read(Kept.text("record-2-chip-vacuum.json"))
                        .frozen()
                        .workup()
                        .stack()
                        .ranked())
                .flatExtracting(r -> r.schools())
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.school().option()).isNotEmpty());
    }

    @Test
    void aLaminateIsStillKnownByItsBondLinesAndPlies() {
        RecordFile file = read(Kept.text("record-1-composite-lay-up.json"));
        assertThat(file.frozen().workup().drawing().section().orElseThrow().layers())
                .filteredOn(l -> l.kind() != Layer.Kind.LAYER)
                .isNotEmpty()
                .allSatisfy(l -> assertThat(l.word()).startsWith(l.kind() == Layer.Kind.PLY ? "Ply " : "Bond line "));
        assertThat(file.frozen().workup().drawing().damages())
                .allSatisfy(d -> assertThat(d.mark()).isNotEmpty());
        assertThat(file.frozen().plan().house()).isEmpty();
    }

    @Test
    void whatAGatePutInKeepsItsReadingsUnderItsNewName() {
        RecordFile file = read(Kept.text("record-1-dent-filler-putty.json"));
        RunState state = Replay.of(file.frozen().plan(), file.events(), LATER);
        RunState.RunStep mix = state.steps().stream()
                .filter(s ->
                        s.step().kind() == Step.Kind.MIX && !s.at().rounds().isEmpty())
                .findFirst()
                .orElseThrow();
        assertThat(mix.id()).isEqualTo("shape-gate:low/mix");
        assertThat(state.readings()).anyMatch(r -> r.step().equals(mix.id()) && r.value() == 61.4);
    }

    @Test
    void theFilmBudgetOfAnOldRunIsHeldAgainstTheSameGrades() {
        RecordFile file = read(Kept.text("record-1-run-machine.json"));
        assertThat(file.frozen().plan().budget().orElseThrow().left())
                .allSatisfy(l -> assertThat(file.frozen().plan().ladder().rungs())
                        .anyMatch(r -> r.id().equals(l.rung()) && r.paper().equals(l.paper())
                                || l.paper().equals("polish")));
    }

    @Test
    void aReadingLoggedByADeviceIsKnownByWhatItIsNotByHowItReads() {
        assertThat(Formats.loggedByText(1, "Surface thermometer, logged")).isTrue();
        assertThat(Formats.source(1, "Surface thermometer, logged")).isEqualTo("Surface thermometer");
        assertThat(Formats.loggedByText(Formats.EVENT, "Surface thermometer, logged"))
                .isFalse();
        assertThat(Formats.source(Formats.EVENT, "a device called so, logged")).isEqualTo("a device called so, logged");
    }

    @Test
    void whatALaterReleaseWroteIsRefusedByName() {
        assertThatThrownBy(() -> Formats.plan(Formats.PLAN + 1, null))
                .hasMessageContaining("format " + (Formats.PLAN + 1))
                .hasMessageContaining("later release");
    }
}
