package vanemend.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.TestShop;
import vanemend.core.damage.Oval;
import vanemend.core.method.Cases;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.run.BenchEvent;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;

@DisplayName(
        "what is stored has a shape of its own: a component renamed here is seen, and asks for a new format and an upgrade")
class StoredShapeTest {
    private static final Path SHAPE = Path.of("src/test/resources/kept/" + RecordFile.FORMAT + ".shape");

    /** Objects whose field names are data. */
    private static final Set<String> MAPS = Set.of("answers", "houseRules", "pins", "figures", "typical");

    private static RecordFile file(String recipe, RepairDraft d) {
        FrozenPlan frozen = new FrozenPlan(
                TestShop.NOW,
                "Tam Okafor",
                d,
                TestShop.workup(d, TestShop.shop(21, HouseRules.defaults(), TestShop.fullShelf())));
        UUID one = new UUID(1, 1);
        List<BenchEvent> events = new ArrayList<>(List.of(
                BenchEvent.start(one, TestShop.NOW, "Tam Okafor"),
                BenchEvent.read(new UUID(1, 2), TestShop.NOW, "Tam Okafor", "x", Quantity.SURFACE_C, 21, "Thermometer")
                        .byItself(),
                BenchEvent.spot(
                        new UUID(1, 4),
                        TestShop.NOW,
                        "Tam Okafor",
                        "x",
                        "low",
                        new Oval(300, 200, 40, 30, 0),
                        Optional.of(1.2)),
                BenchEvent.undo(new UUID(1, 3), TestShop.NOW, "Tam Okafor", one)));
        return new RecordFile(RecordFile.FORMAT, new UUID(2, recipe.hashCode()), frozen, List.of(), events);
    }

    private static void paths(JsonNode node, String at, Set<String> out) {
        if (node.isObject()) {
            node.properties().forEach(e -> {
                String name = MAPS.contains(at.substring(at.lastIndexOf('.') + 1)) ? "*" : e.getKey();
                paths(e.getValue(), at + "." + name, out);
            });
        } else if (node.isArray()) {
            node.forEach(n -> paths(n, at + "[]", out));
        } else {
            out.add(at + " " + node.getNodeType());
        }
    }

    @Test
    void theShapeOfARecordIsThatOfItsFormat() throws IOException {
        JsonMapper json = JsonMapper.builder()
                .changeDefaultPropertyInclusion(i ->
                        JsonInclude.Value.construct(JsonInclude.Include.NON_ABSENT, JsonInclude.Include.NON_ABSENT))
                .build();
        Set<String> now = new TreeSet<>();
        Map<String, RepairDraft> all = new LinkedHashMap<>(Cases.all());
        Cases.ways().forEach((way, x) -> all.put(way, x.draft()));
        all.put(Cases.SITES, Cases.called(Cases.SITES));
        for (Map.Entry<String, RepairDraft> c : all.entrySet()) {
            paths(json.valueToTree(file(c.getKey(), c.getValue())), "record", now);
        }
        if (Boolean.getBoolean("vanemend.write")) {
            Files.write(SHAPE, now);
        }
        assertThat(now)
                .as("what is stored has changed: raise the format, write an upgrade by name, keep an example, then"
                        + " write the shape with -Dvanemend.write=true")
                .containsExactlyInAnyOrderElementsOf(Files.readAllLines(SHAPE));
    }
}
