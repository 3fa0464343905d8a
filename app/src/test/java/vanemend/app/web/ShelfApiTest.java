package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.PublishedSchema;
import vanemend.app.TestServer;

class ShelfApiTest {
    private final Caller tam = TestServer.as("tam");

    private static Map<String, Object> tin(String id) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "classId",
                "body-filler",
                "name",
                "Test tin",
                "lot",
                "T-1",
                "quantity",
                800,
                "unit",
                "g",
                "workMin",
                5,
                "packQuantity",
                1000,
                "sand",
                List.of(Map.of("atC", 21, "minutes", 18))));
    }

    private static JsonNode line(Caller.Answer shelf, String id) {
        for (JsonNode l : shelf.body()) {
            if (l.at("/item/id").asString().equals(id)) {
                return l;
            }
        }
        throw new AssertionError(id + " is not on the shelf: " + shelf.body());
    }

    @Test
    void anItemIsAddedReceivedOpenedUsedAndThrownAwayAndEveryActIsWrittenDown() {
        Caller.Answer added = tam.post("/api/shelf", tin("life"));
        assertThat(added.status()).isEqualTo(200);
        assertThat(line(added, "life").at("/low").asBoolean()).isFalse();
        assertThat(line(added, "life").at("/serves/0").asString()).isEqualTo("METAL");
        tam.post("/api/shelf/life/acts", Map.of("act", "RECEIVE", "quantity", 200));
        tam.post("/api/shelf/life/acts", Map.of("act", "OPEN"));
        Caller.Answer used = tam.post("/api/shelf/life/acts", Map.of("act", "USE", "quantity", 850.5));
        assertThat(line(used, "life").at("/item/quantity").asDouble()).isEqualTo(149.5);
        assertThat(line(used, "life").at("/item/opened").asString()).isNotBlank();
        assertThat(line(used, "life").at("/low").asBoolean()).isTrue();
        Caller.Answer more = tam.post("/api/shelf/life/acts", Map.of("act", "USE", "quantity", 150));
        assertThat(more.status()).isEqualTo(422);
        assertThat(more.text("detail")).contains("149.5");
        Caller.Answer gone = tam.post("/api/shelf/life/acts", Map.of("act", "DISCARD", "said", "skinned over"));
        assertThat(gone.body().toString()).doesNotContain("\"life\"");
        Caller.Answer acts = tam.get("/api/shelf/life/acts");
        assertThat(acts.body().findValuesAsString("act")).containsExactly("ADD", "RECEIVE", "OPEN", "USE", "DISCARD");
        assertThat(acts.body().findValuesAsString("by")).containsOnly("Tam Okafor");
        assertThat(tam.post("/api/shelf", tin("life")).status())
                .as("its id stays taken")
                .isEqualTo(409);
    }

    @Test
    @DisplayName(
            "an edit stands on the version that was read: one crossed by the bench or a colleague is refused and loses nothing of theirs")
    void editsCarryAVersion() {
        Map<String, Object> tin = tin("crossed");
        int version =
                line(tam.post("/api/shelf", tin), "crossed").get("version").asInt();
        tam.post("/api/shelf/crossed/acts", Map.of("act", "USE", "quantity", 100));
        tin.put("lot", "T-2");
        Caller.Answer crossed = tam.put("/api/shelf/crossed", version, tin);
        assertThat(crossed.status()).isEqualTo(412);
        assertThat(crossed.text("detail")).contains("Test tin was changed or used meanwhile");
        JsonNode now = line(tam.get("/api/shelf"), "crossed");
        assertThat(now.at("/item/quantity").asDouble()).isEqualTo(700);
        assertThat(now.at("/item/lot").asString()).isEqualTo("T-1");
        assertThat(tam.put("/api/shelf/crossed", tin).status())
                .as("no version at all")
                .isBetween(400, 428);
        tin.put("quantity", 700);
        Caller.Answer kept = tam.put("/api/shelf/crossed", now.get("version").asInt(), tin);
        assertThat(line(kept, "crossed").at("/item/lot").asString()).isEqualTo("T-2");
        assertThat(line(kept, "crossed").get("version").asInt())
                .isGreaterThan(now.get("version").asInt());
    }

    @Test
    @DisplayName(
            "a date of expiry is moved later by a lead alone, by hand and by file; sooner is stricter and anybody's")
    void expiryMovesLaterByALead() {
        Map<String, Object> tin = tin("dated");
        tin.put("expires", "2031-05-01");
        int version = line(tam.post("/api/shelf", tin), "dated").get("version").asInt();
        tin.put("expires", "2031-06-01");
        assertThat(tam.put("/api/shelf/dated", version, tin).status()).isEqualTo(403);
        tin.remove("expires");
        assertThat(tam.put("/api/shelf/dated", version, tin).status())
                .as("no date at all")
                .isEqualTo(403);
        String csv = "id,classId,name,lot,expires,quantity,unit,workMin,sand,packQuantity\n"
                + "dated,body-filler,Test tin,T-1,2032-01-01,800,g,5,18@21,1000\n";
        assertThat(tam.post("/api/shelf/file", Map.of("text", csv)).status()).isEqualTo(403);
        tin.put("expires", "2031-04-01");
        Caller.Answer sooner = tam.put("/api/shelf/dated", version, tin);
        assertThat(sooner.status()).isEqualTo(200);
        tin.put("expires", "2031-06-01");
        assertThat(TestServer.as("isla")
                        .put(
                                "/api/shelf/dated",
                                line(sooner, "dated").get("version").asInt(),
                                tin)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void badItemsAreRefusedFieldByField() {
        Map<String, Object> bad = tin("bad one");
        bad.put("classId", "moon-dust");
        bad.put("quantity", -1);
        Caller.Answer a = tam.post("/api/shelf", bad);
        assertThat(a.status()).isEqualTo(422);
        assertThat(a.at("problems").findValuesAsString("field")).contains("id", "classId", "quantity");
        assertThat(tam.post("/api/shelf/nothing/acts", Map.of("act", "OPEN")).status())
                .isEqualTo(404);
    }

    @Test
    void aFileIsLookedAtFirstThenTakenInOneGo() {
        tam.post("/api/shelf", tin("there"));
        String csv = "id,classId,name,lot,quantity,unit,workMin,sand,packQuantity\n"
                + "there,body-filler,Test tin,T-1,700,g,5,18@21,1000\n"
                + "from-file,finishing-putty,Putty,P-9,300,g,4,16@21,\n"
                + "wrong,moon-dust,Dust,D-1,1,g,,,\n";
        Caller.Answer look = tam.post("/api/shelf/file/preview", Map.of("text", csv));
        assertThat(look.at("lines").findValuesAsString("outcome")).containsExactly("CHANGED", "TAKEN", "REFUSED");
        assertThat(tam.get("/api/shelf").body().toString()).doesNotContain("from-file");
        Caller.Answer taken = tam.post("/api/shelf/file", Map.of("text", csv));
        assertThat(taken.at("kept").asBoolean()).isTrue();
        Caller.Answer shelf = tam.get("/api/shelf");
        assertThat(line(shelf, "there").at("/item/quantity").asDouble()).isEqualTo(700);
        assertThat(line(shelf, "from-file").at("/item/sand/0/minutes").asDouble())
                .isEqualTo(16);
        Caller.Answer json = tam.get("/api/shelf/file?format=json");
        assertThat(tam.post(
                                "/api/shelf/file/preview",
                                Map.of("text", json.body().toString()))
                        .at("lines")
                        .findValuesAsString("outcome"))
                .containsOnly("SAME");
    }

    @Test
    @DisplayName("what the shelf is written out as holds by the schema that is published: tyre units and rolls too")
    void theFileIsAsPublished() {
        Map<String, Object> unit = new HashMap<>(tin("unit-a"));
        unit.putAll(Map.of("classId", "tyre-unit", "unit", "pieces", "stemMm", 6, "capMm", 45, "tyre", "CAR"));
        unit.keySet().removeAll(List.of("workMin", "sand"));
        Map<String, Object> cloth = new HashMap<>(tin("cloth-a"));
        cloth.putAll(Map.of("classId", "glass-cloth", "unit", "cm²", "rollMm", 1000));
        cloth.keySet().removeAll(List.of("workMin", "sand"));
        assertThat(tam.post("/api/shelf", unit).status()).isEqualTo(200);
        assertThat(tam.post("/api/shelf", cloth).status()).isEqualTo(200);
        String file = tam.get("/api/shelf/file?format=json").body().toString();
        assertThat(file).contains("\"rollMm\":1000", "\"stemMm\":6");
        assertThat(PublishedSchema.against("shelf", file)).isEmpty();
        assertThat(PublishedSchema.against("shelf", file.replace("\"rollMm\":1000", "\"rollMm\":1")))
                .isNotEmpty();
        Map<String, Object> narrow = new HashMap<>(cloth);
        narrow.put("id", "cloth-b");
        narrow.remove("rollMm");
        assertThat(tam.post("/api/shelf", narrow).text("problems.0.field")).isEqualTo("rollMm");
    }

    @Test
    @DisplayName("forty hands that each take a gramme at once take forty grammes, and every act is written down")
    void manyHandsAtOnce() throws Exception {
        tam.post("/api/shelf", tin("shared"));
        double before =
                line(tam.get("/api/shelf"), "shared").at("/item/quantity").asDouble();
        List<Callable<Integer>> takes = new ArrayList<>();
        for (int n = 0; n < 40; n++) {
            takes.add(() -> tam.post("/api/shelf/shared/acts", Map.of("act", "USE", "quantity", 1))
                    .status());
        }
        try (ExecutorService hands = Executors.newFixedThreadPool(8)) {
            for (Future<Integer> f : hands.invokeAll(takes)) {
                assertThat(f.get()).isEqualTo(200);
            }
        }
        assertThat(line(tam.get("/api/shelf"), "shared").at("/item/quantity").asDouble())
                .isEqualTo(before - 40);
        assertThat(tam.get("/api/shelf/shared/acts").body().findValuesAsString("act"))
                .filteredOn("USE"::equals)
                .hasSize(40);
    }
}
