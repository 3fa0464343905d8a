package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vanemend.app.Caller;
import vanemend.app.Drafts;
import vanemend.app.TestServer;
import vanemend.app.store.Shop;
import vanemend.core.cure.Lag;
import vanemend.core.run.MeasuredWarmUp;

class RepairApiTest {
    private final Caller tam = TestServer.as("tam");

    private Caller.Answer add(Map<String, Object> draft) {
        return tam.post("/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", draft));
    }

    @Test
    void aNewRepairComesBackAsItWasTypedWithItsPlan() {
        Caller.Answer a = add(Drafts.door("Test door"));
        assertThat(a.status()).isEqualTo(201);
        assertThat(a.headers().firstValue("ETag")).contains("\"1\"");
        assertThat(a.text("workup.verdict.outcome")).isEqualTo("MEND");
        assertThat(a.at("workup.plan.steps").size()).isGreaterThan(15);
        Caller.Answer again = tam.get("/api/repairs/" + a.text("id"));
        assertThat(again.at("draft")).isEqualTo(a.at("draft"));
        assertThat(again.at("draft.damages.0.depthMm").asDouble()).isEqualTo(2.8);
    }

    @Test
    void theSameNewRepairSentTwiceIsOne() {
        Map<String, Object> body = Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Twice"));
        assertThat(tam.post("/api/repairs", body).text("id"))
                .isEqualTo(tam.post("/api/repairs", body).text("id"));
    }

    @Test
    void anUnfinishedDraftIsKeptAndSaysWhatIsMissing() {
        Caller.Answer a = add(Map.of("part", Map.of("name", "Half a part")));
        assertThat(a.status()).isEqualTo(201);
        assertThat(a.at("workup").isMissingNode()).isTrue();
        assertThat(a.at("problems").size()).isGreaterThan(4);
        assertThat(tam.get("/api/repairs/" + a.text("id")).text("draft.part.name"))
                .isEqualTo("Half a part");
    }

    @Test
    void previewAnswersWithoutSavingAndNamesEachProblem() {
        int before = tam.get("/api/repairs").body().size();
        Map<String, Object> draft = Drafts.door("Preview");
        assertThat(tam.post("/api/preview", draft).text("workup.plan.method")).isEqualTo("METAL_DENT");
        draft.put("damages", List.of(Drafts.dent(340, 240, 120, -3)));
        Caller.Answer bad = tam.post("/api/preview", draft);
        assertThat(bad.status()).isEqualTo(200);
        assertThat(bad.text("problems.0.field")).isEqualTo("damages[0].depthMm");
        assertThat(bad.text("problems.0.given")).isEqualTo("-3");
        assertThat(bad.text("problems.0.expected")).isEqualTo("from ⟦0.1 to 25 mm⟧");
        assertThat(tam.get("/api/repairs").body().size()).isEqualTo(before);
    }

    @Test
    void aVehicleThatComesBackIsThereWithWhatWasDoneOnIt() {
        for (String name : List.of("Left door", "Rear corner")) {
            Map<String, Object> draft = Drafts.door(name);
            Map<String, Object> part = new HashMap<>(Drafts.part(name));
            part.put("vehicle", "Kestrel 9, no. 4711");
            draft.put("part", part);
            add(draft);
        }
        Caller.Answer found = tam.get("/api/vehicles?find=4711");
        assertThat(found.body().size()).isEqualTo(1);
        assertThat(found.text("0.name")).isEqualTo("Kestrel 9, no. 4711");
        assertThat(found.at("0.repairs").findValuesAsString("name").stream().filter(n -> !n.isEmpty()))
                .startsWith("Rear corner");
        assertThat(found.text("0.repairs.1.part.name")).isEqualTo("Left door");
        assertThat(found.text("0.repairs.0.damaged.0")).isEqualTo("Dent");
        assertThat(found.at("0.repairs.0.open").asBoolean()).isTrue();
        assertThat(tam.get("/api/vehicles").text("0.name")).as("the last first").isEqualTo("Kestrel 9, no. 4711");
        assertThat(tam.get("/api/vehicles?find=%25").body().size())
                .as("% is a letter")
                .isZero();
        assertThat(tam.get("/api/vehicles?find=" + "x".repeat(81)).status()).isEqualTo(422);
    }

    @Test
    void whatSuchAPartIsAsARuleComesWithTheCatalogueMarkedAsNotMeasured() {
        JsonNode door = tam.get("/api/catalogue").at("typicalParts.0");
        assertThat(door.get("id").asString()).isEqualTo("door");
        Map<String, Object> draft = new HashMap<>();
        draft.put("part", door.get("draft"));
        Caller.Answer a = add(draft);
        assertThat(a.status()).isEqualTo(201);
        assertThat(a.at("draft.part.assumed").size()).isEqualTo(5);
        assertThat(a.at("problems").findValuesAsString("field"))
                .contains("part.metal", "part.reach")
                .doesNotContain("part.widthMm", "part.gaugeMm");
    }

    @Test
    void twoPeopleAtOneRepairNeitherLosesAWord() {
        Caller priya = TestServer.as("priya");
        String path = "/api/repairs/" + add(Drafts.door("Shared")).text("id");
        assertThat(tam.put(path, 1, Drafts.door("Tam's name")).status()).isEqualTo(200);
        Caller.Answer crossed = priya.put(path, 1, Drafts.door("Priya's name"));
        assertThat(crossed.status()).isEqualTo(412);
        assertThat(crossed.headers().firstValue("Content-Type").orElseThrow()).startsWith("application/problem+json");
        assertThat(crossed.text("changedBy")).isEqualTo("Tam Okafor");
        assertThat(crossed.at("version").asInt()).isEqualTo(2);
        assertThat(priya.get(path).text("draft.part.name")).isEqualTo("Tam's name");
        assertThat(priya.put(path, 2, Drafts.door("Priya's name")).at("version").asInt())
                .isEqualTo(3);
    }

    @Test
    void aChangeSaysWhichVersionItChanges() {
        String path = "/api/repairs/" + add(Drafts.door("Unversioned")).text("id");
        assertThat(tam.put(path, Drafts.door("x")).status()).isEqualTo(428);
        assertThat(tam.get("/api/repairs/999999").status()).isEqualTo(404);
        assertThat(tam.get("/api/repairs/999999").text("detail")).isEqualTo("There is no repair 999999.");
    }

    @Test
    void whatIsNotJsonOrNotAChoiceIsSaidWithItsField() {
        assertThat(tam.raw("/api/preview", "{\"part\": ").status()).isEqualTo(400);
        Caller.Answer slip = tam.raw("/api/preview", "{\"part\": {\"widhtMm\": 300}}");
        assertThat(slip.status()).isEqualTo(400);
        assertThat(slip.text("detail")).contains("“widhtMm” is no field here", "widthMm");
        assertThat(slip.text("field")).isEqualTo("part.widhtMm");
        assertThat(tam.raw("/api/preview", "{\"part\": {\"widthMm\": \"wide\"}}")
                        .text("detail"))
                .contains("expected a number")
                .doesNotContain("Double");
        Map<String, Object> draft = Drafts.door("Odd");
        Map<String, Object> part = new HashMap<>(Drafts.part("Odd"));
        part.put("metal", "CHEESE");
        draft.put("part", part);
        Caller.Answer a = tam.post("/api/preview", draft);
        assertThat(a.status()).isEqualTo(400);
        assertThat(a.text("field")).isEqualTo("part.metal");
        assertThat(a.text("given")).isEqualTo("CHEESE");
        assertThat(a.text("expected")).contains("MILD_STEEL");
    }

    @Test
    void theListShowsEveryStandingOfTheDemoDepot() {
        JsonNode list = tam.get("/api/repairs").body();
        assertThat(list.findValuesAsString("standing"))
                .contains("DRAFT", "REFERRED", "PLANNED", "RUNNING")
                .doesNotContain("DONE");
        assertThat(tam.get("/api/repairs/closed").body().findValuesAsString("standing"))
                .contains("DONE");
        list.forEach(r -> assertThat(r.get("name").asString()).isNotBlank());
    }

    @Test
    void airIsTakenOrRefusedWithItsRange() {
        assertThat(tam.put("/api/shop/air", Map.of("tempC", 60, "rhPercent", 50))
                        .status())
                .isEqualTo(422);
        Caller.Answer bad = tam.put("/api/shop/air", Map.of("tempC", -11, "rhPercent", 0));
        assertThat(bad.at("problems").size()).isEqualTo(2);
        assertThat(bad.text("problems.0.expected")).isEqualTo("from ⟦-10 to 50 °C⟧");
        Caller.Answer good = tam.put("/api/shop/air", Map.of("tempC", 17, "rhPercent", 58));
        assertThat(good.at("dewPointC").asDouble()).isBetween(8.6, 8.8);
    }

    @Test
    @DisplayName("warm-ups that were measured stand in the shop and in its plans until a lead goes by the book again")
    void heatOfTheShop() {
        Caller isla = TestServer.as("isla");
        Shop shop = TestServer.bean(Shop.class);
        long repair = add(Drafts.door("Lamp on a door")).body().path("id").asLong();
        shop.warmedUp(repair, List.of(new MeasuredWarmUp("filler-wait", Lag.Build.STEEL, 1.5)));
        shop.warmedUp(repair, List.of(new MeasuredWarmUp("filler-wait", Lag.Build.STEEL, 9.9)));
        shop.warmedUp(repair, List.of(new MeasuredWarmUp("putty-wait", Lag.Build.STEEL, 1.7)));
        JsonNode heat = tam.get("/api/shop").body().path("heat").path(0);
        assertThat(heat.path("build").asString()).isEqualTo("STEEL");
        assertThat(heat.path("factor").asDouble()).isCloseTo(1.6, within(1e-9));
        assertThat(heat.path("warmUps").asInt()).isEqualTo(2);
        assertThat(shop.conditions(false).heat().lag(Lag.Build.STEEL, 2).tauMin())
                .isCloseTo(3.2, within(1e-9));
        assertThat(tam.delete("/api/shop/heat/STEEL").status()).isEqualTo(403);
        assertThat(isla.delete("/api/shop/heat/BRASS").status()).isEqualTo(400);
        assertThat(isla.delete("/api/shop/heat/STEEL").status()).isEqualTo(200);
        assertThat(shop.heat().by()).isEmpty();
        shop.warmedUp(repair, List.of(new MeasuredWarmUp("filler-wait", Lag.Build.STEEL, 1.5)));
        assertThat(shop.heat().by()).as("what was dropped stays dropped").isEmpty();
    }

    @Test
    void aLeadSaysWhereTheShopLies() {
        Map<String, Object> depot = Map.of("latitudeDeg", 48.5, "longitudeDeg", 9.1);
        assertThat(tam.put("/api/shop/place", depot).status()).isEqualTo(403);
        Caller isla = TestServer.as("isla");
        JsonNode before = isla.get("/api/shop").at("place");
        Caller.Answer bad = isla.put("/api/shop/place", Map.of("latitudeDeg", 95));
        assertThat(bad.status()).isEqualTo(422);
        assertThat(bad.text("problems.0.expected")).isEqualTo("from ⟦-90 to 90 °⟧");
        assertThat(bad.at("problems").size()).isEqualTo(2);
        try {
            assertThat(isla.put("/api/shop/place", depot)
                            .at("place")
                            .get("latitudeDeg")
                            .asDouble())
                    .isEqualTo(48.5);
            assertThat(tam.get("/api/shop").at("place").get("longitudeDeg").asDouble())
                    .isEqualTo(9.1);
        } finally {
            isla.put(
                    "/api/shop/place",
                    Map.of(
                            "latitudeDeg", before.get("latitudeDeg").asDouble(),
                            "longitudeDeg", before.get("longitudeDeg").asDouble()));
        }
    }

    @Test
    void aBeadIsToldWhatItReallyGives() {
        Caller.Answer a = tam.get("/api/bead?puddleMm=80&beadMm=40");
        assertThat(a.at("percent").asDouble()).isCloseTo(1.25, within(1e-9));
        assertThat(a.text("said")).contains("low");
        assertThat(tam.get("/api/bead?puddleMm=0&beadMm=40").status()).isEqualTo(422);
        assertThat(tam.get("/api/bead?puddleMm=wide&beadMm=40").status()).isEqualTo(400);
    }

    @Test
    void houseRulesAreTurnedByALeadOnlyAndKeepTheirHistory() {
        Caller isla = TestServer.as("isla");
        assertThat(tam.put("/api/house-rules/first-grade", Map.of("answer", "file-cheese"))
                        .status())
                .isEqualTo(403);
        assertThat(isla.put("/api/house-rules/first-grade", Map.of("answer", "sideways"))
                        .status())
                .isEqualTo(422);
        try {
            JsonNode schools = isla.put("/api/house-rules/first-grade", Map.of("answer", "file-cheese"))
                    .at("schools");
            assertThat(schools.findValuesAsString("chosen")).contains("file-cheese");
            assertThat(tam.post("/api/preview", Drafts.door("House"))
                            .at("workup.plan.steps")
                            .toString())
                    .contains("Grating file");
        } finally {
            isla.put("/api/house-rules/first-grade", Map.of("answer", "board-80"));
        }
        assertThat(isla.get("/api/rules").at("schools").toString()).contains("Isla Renwick");
    }

    @Test
    void theBookListsEveryValueWithItsSource() {
        Caller.Answer rules = tam.get("/api/rules");
        rules.at("values")
                .forEach(v -> assertThat(v.get("shown").asString())
                        .as(v.get("id").asString())
                        .isNotBlank());
        assertThat(rules.at("limits").size()).isGreaterThan(15);
        assertThat(rules.at("mayTurn").asBoolean()).isFalse();
    }

    @Test
    @DisplayName("a draft is thrown away by who added it or a lead, never once the work has begun")
    void thrownAway() {
        Caller tam = TestServer.as("tam");
        Caller priya = TestServer.as("priya");
        Caller isla = TestServer.as("isla");
        String mine = tam.post(
                        "/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Away with it")))
                .text("id");
        assertThat(priya.delete("/api/repairs/" + mine).status()).isEqualTo(403);
        assertThat(tam.delete("/api/repairs/" + mine).status()).isEqualTo(204);
        assertThat(tam.get("/api/repairs/" + mine).status()).isEqualTo(404);
        assertThat(tam.delete("/api/repairs/" + mine).status()).isEqualTo(404);
        assertThat(tam.get("/api/repairs").body().toString()).doesNotContain("Away with it");
        assertThat(isla.get("/api/audit").body().toString()).contains("Thrown away: repair " + mine);
        String begun = tam.post(
                        "/api/repairs", Map.of("clientId", UUID.randomUUID(), "draft", Drafts.door("Begun and kept")))
                .text("id");
        tam.post("/api/repairs/" + begun + "/start", 1, Map.of("eventId", UUID.randomUUID()));
        assertThat(isla.delete("/api/repairs/" + begun).status()).isEqualTo(409);
        assertThat(tam.get("/api/repairs/" + begun).status()).isEqualTo(200);
    }
}
