package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.TestServer;

@DisplayName(
        "a shop says once what it is: lamps, units, what stands on its shelf; what cannot be right is refused at its field")
class SetUpApiTest {
    private final Caller isla = TestServer.as("isla");

    @Test
    void lampsAndOvensAreCounted() {
        JsonNode was = isla.get("/api/shop").body();
        try {
            JsonNode now =
                    isla.put("/api/shop/heat", Map.of("lamps", 3, "ovens", 0)).body();
            assertThat(now.get("lamps").asInt()).isEqualTo(3);
            assertThat(now.get("ovens").asInt()).isZero();
            Caller.Answer refused = isla.put("/api/shop/heat", Map.of("lamps", 1.5, "ovens", 51));
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.body()
                            .get("problems")
                            .valueStream()
                            .map(p -> p.get("field").asString()))
                    .containsExactly("heat.lamps", "heat.ovens");
            assertThat(isla.get("/api/shop").body().get("lamps").asInt())
                    .as("what was refused changes nothing")
                    .isEqualTo(3);
        } finally {
            isla.put(
                    "/api/shop/heat",
                    Map.of(
                            "lamps",
                            was.get("lamps").asInt(),
                            "ovens",
                            was.get("ovens").asInt()));
        }
    }

    @Test
    void unitsAreOneOfTwo() {
        try {
            assertThat(isla.put("/api/shop/units", Map.of("units", "INCH"))
                            .body()
                            .get("units")
                            .asString())
                    .isEqualTo("INCH");
            assertThat(isla.put("/api/shop/units", Map.of()).status()).isEqualTo(422);
            assertThat(isla.put("/api/shop/units", Map.of("units", "CUBIT")).status())
                    .isBetween(400, 422);
        } finally {
            isla.put("/api/shop/units", Map.of("units", "METRIC"));
        }
    }

    @Test
    void theDemoIsSetUpAndAStepMayBeMarkedTwice() {
        assertThat(isla.get("/api/shop").body().get("toSetUp").size()).isZero();
        assertThat(isla.put("/api/shop/set-up/AIR", Map.of()).status()).isEqualTo(200);
        assertThat(isla.put("/api/shop/set-up/SOMETHING", Map.of()).status()).isBetween(400, 422);
    }

    @Test
    void whatIsTickedStandsOnTheShelfOnceAndWithoutALabelsFigures() {
        Map<String, Object> cloth = Map.of("id", "laminating-resin", "quantity", 750);
        JsonNode after =
                isla.post("/api/shelf/starter", Map.of("taken", List.of(cloth))).body();
        assertThat(line(after, "laminating-resin").get("here").asBoolean()).isTrue();
        isla.post("/api/shelf/starter", Map.of("taken", List.of(Map.of("id", "laminating-resin", "quantity", 5))));
        JsonNode item = isla.get("/api/shelf")
                .body()
                .valueStream()
                .map(l -> l.get("item"))
                .filter(i -> i.get("id").asString().equals("laminating-resin"))
                .findFirst()
                .orElseThrow();
        assertThat(item.get("quantity").asDouble())
                .as("what stands there stays")
                .isEqualTo(750);
        assertThat(item.path("workMin").isMissingNode() || item.get("workMin").isNull())
                .isTrue();
        assertThat(item.get("sand").size()).isZero();
        isla.post("/api/shelf/laminating-resin/acts", Map.of("act", "DISCARD"));
    }

    @Test
    void oneLineThatCannotBeRightLeavesAllOfThemOff() {
        Caller.Answer refused = isla.post(
                "/api/shelf/starter",
                Map.of(
                        "taken",
                        List.of(
                                Map.of("id", "pinhole-sealer", "quantity", 300),
                                Map.of("id", "nylon-mesh", "quantity", 900),
                                Map.of("id", "nothing"))));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body()
                        .get("problems")
                        .valueStream()
                        .map(p -> p.get("field").asString()))
                .containsExactly("nylon-mesh.rollMm", "nothing.id");
        assertThat(line(isla.get("/api/shelf/starter").body(), "pinhole-sealer")
                        .get("here")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void townsAreTold() {
        assertThat(isla.get("/api/towns").body().size()).isGreaterThan(250);
    }

    private static JsonNode line(JsonNode lines, String id) {
        return lines.valueStream()
                .filter(l -> l.at("/item/id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
