package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.TestServer;
import vanemend.core.verdict.Limits;

class FamiliesApiTest {
    private final Caller tam = TestServer.as("tam");
    private final Caller isla = TestServer.as("isla");

    /** A run with 44 µm of clear beside it: too thin to level by the house minimum. */
    private static Map<String, Object> thinRun() {
        Map<String, String> answers = new HashMap<>();
        Limits.all().stream().filter(Limits.Rule::asks).forEach(r -> answers.put(r.id(), "NO"));
        return new HashMap<>(Map.of(
                "part",
                Map.of(
                        "name",
                        "Arm cover",
                        "vehicle",
                        "Kestrel 9, no. 2",
                        "widthMm",
                        400,
                        "heightMm",
                        180,
                        "reach",
                        "BOTH_SIDES",
                        "made",
                        Map.of("material", "FILM", "filmOver", "STEEL"),
                        "answers",
                        answers),
                "damages",
                List.of(Map.of(
                        "kind",
                        "RUN",
                        "xMm",
                        200,
                        "yMm",
                        90,
                        "lengthMm",
                        60,
                        "widthMm",
                        9,
                        "film",
                        Map.of("peakUm", 170, "totalUm", 128, "underUm", 84, "gauge", "BOTH")))));
    }

    @Test
    void whileTypingTheStackIsSaidAndWhyNotTheOthersComesWhenAsked() {
        Caller.Answer typed = tam.post("/api/preview", thinRun());
        Caller.Answer whole = tam.post("/api/preview/stack", thinRun());
        assertThat(whole.text("stack.taken")).isEqualTo(typed.text("workup.stack.taken"));
        assertThat(whole.at("stack.ranked.0.terms").size()).isPositive();
        assertThat(whole.at("stack.rejectedClasses").size()).isPositive();
        assertThat(typed.at("workup.stack.rejectedClasses").size()).isZero();
        assertThat(typed.at("workup.stack.lines")).isEqualTo(whole.at("stack.lines"));
    }

    @Test
    void marksAreReadAndRefusedWithTheCharacter() {
        Caller.Answer read = tam.post("/api/identify", Map.of("mark", ">PP+EPDM-TD20<"));
        assertThat(read.text("reading.mark.written")).isEqualTo(">PP+EPDM-TD20<");
        assertThat(read.at("identity.promoter").asBoolean()).isTrue();
        assertThat(read.at("identity.heatCapC").asDouble()).isEqualTo(55);
        Caller.Answer wrong = tam.post("/api/identify", Map.of("mark", ">PP-GQ20<"));
        assertThat(wrong.at("reading.from").asInt()).isEqualTo(6);
        assertThat(wrong.text("reading.says")).isEqualTo("unknown filler form letter Q");
        assertThat(wrong.at("identity").isMissingNode()).isTrue();
    }

    @Test
    void benchTestsShiftBeliefAndBadOnesAreNamed() {
        Caller.Answer a = tam.post(
                "/api/identify",
                Map.of(
                        "tests",
                        List.of(
                                Map.of("test", "float", "reading", "floats"),
                                Map.of("test", "acetone", "reading", "unchanged"),
                                Map.of("test", "sand", "reading", "fuzzy"))));
        assertThat(a.at("belief.known").asBoolean()).isTrue();
        assertThat(a.text("belief.families.0.family")).isEqualTo("POLYOLEFIN");
        Caller.Answer bad =
                tam.post("/api/identify", Map.of("tests", List.of(Map.of("test", "float", "reading", "flies"))));
        assertThat(bad.text("problems.0.message")).contains("flies");
    }

    @Test
    void onlyALeadSetsALimitOfCareAsideAndItIsSigned() {
        Caller.Answer made = tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", thinRun()));
        String path = "/api/repairs/" + made.text("id");
        assertThat(made.text("workup.verdict.outcome")).isEqualTo("REFER");
        Map<String, Object> sign = Map.of("ruleId", "film-thin", "reason", "customer told");
        assertThat(tam.post(path + "/overrules", 1, sign).status()).isEqualTo(403);
        Caller.Answer signed = isla.post(path + "/overrules", 1, sign);
        assertThat(signed.status()).isEqualTo(200);
        assertThat(signed.text("workup.verdict.outcome")).isEqualTo("LIMITS");
        assertThat(signed.text("draft.overrules.0.by")).isEqualTo("Isla Renwick");
        Map<String, Object> forged = thinRun();
        forged.put(
                "overrules",
                List.of(Map.of(
                        "ruleId", "film-odd", "reason", "mine", "by", "Isla Renwick", "at", "2026-01-01T00:00:00Z")));
        Caller.Answer put = tam.put(path, 2, forged);
        assertThat(put.status()).isEqualTo(200);
        assertThat(put.text("draft.overrules.0.ruleId"))
                .as("a draft cannot bring its own")
                .isEqualTo("film-thin");
        assertThat(isla.post(path + "/overrules", 3, Map.of("ruleId", "any-safety-part", "reason", "no"))
                        .status())
                .isEqualTo(422);
        assertThat(isla.post(path + "/overrules", 3, Map.of("ruleId", "film-thin", "reason", ""))
                        .text("workup.verdict.outcome"))
                .isEqualTo("REFER");
    }

    @Test
    void everyRepairOfTheDepotIsJudgedAndWhereItMendsMatched() {
        for (JsonNode line : tam.get("/api/repairs").body()) {
            Caller.Answer a = tam.get("/api/repairs/" + line.get("id").asLong());
            if (a.at("problems").size() > 0) {
                continue;
            }
            String name = a.text("draft.part.name");
            assertThat(a.at("workup.verdict.findings").size()).as(name).isPositive();
            String outcome = a.text("workup.verdict.outcome");
            if (outcome.equals("MEND") || outcome.equals("LIMITS")) {
                assertThat(a.text("workup.stack.taken")).as(name).isNotBlank();
                for (JsonNode l : a.at("workup.stack.lines")) {
                    assertThat(l.get("missing").asString()).as(name).isEmpty();
                }
            }
        }
    }

    @Test
    void rulesOfThumbSayWhatTheyReallyGive() {
        Caller.Answer grit = tam.get("/api/thumb/grit?fromGrading=P&from=80&toGrading=P&to=220");
        assertThat(grit.text("figures.1")).isEqualTo("⟦2.96 times⟧ finer");
        assertThat(grit.at("good").asBoolean()).isFalse();
        assertThat(tam.get("/api/thumb/grit?fromGrading=P&from=700&toGrading=P&to=800")
                        .status())
                .isEqualTo(422);
        assertThat(tam.get("/api/thumb/overlap?zoneMm=300&spreaderMm=120&overlapPercent=33")
                        .text("figures.0"))
                .isEqualTo("4 strokes");
        assertThat(tam.get("/api/thumb/flash?minutes=3").at("good").asBoolean()).isFalse();
        String equivalents = "/api/thumb/ratio?eew=190&ahew=42.58&resinDensity=1.15&hardenerDensity=0.97&toOne=";
        assertThat(tam.get(equivalents + "3.77").at("good").asBoolean()).isTrue();
        assertThat(tam.get(equivalents + "2").at("leadsTo").asString())
                .contains("too much hardener", "label's ratio stands");
        assertThat(tam.get(equivalents + "0").status()).isEqualTo(422);
        assertThat(tam.get("/api/thumb/flash?minutes=-3").status()).isEqualTo(422);
    }

    @Test
    void aSchoolThatIsToldButNeverPlannedCannotBeChosen() {
        Caller.Answer a = isla.put("/api/house-rules/tyre", Map.of("answer", "simple"));
        assertThat(a.status()).isEqualTo(422);
        assertThat(a.text("detail")).contains("never planned");
    }
}
