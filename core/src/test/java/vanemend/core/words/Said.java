package vanemend.core.words;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.TestShop;
import vanemend.core.method.Cases;
import vanemend.core.part.Metal;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.record.RepairRecord;
import vanemend.core.run.BenchEvent;
import vanemend.core.run.Readings;
import vanemend.core.run.Replay;
import vanemend.core.run.RunState;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Quantity;

/**
 * Every text of every plan, by every school of its method, and of a run and its record: where it stands, a tab, what it says. Made by name,
 * in a world of its own.
 */
public final class Said implements Callable<List<String>> {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Fields that hold no words: ids, and what a technician or the shelf brought. */
    private static final Set<String> NO_WORDS = Set.of(
            "acts",
            "asks",
            "at",
            "by",
            "draft",
            "id",
            "itemId",
            "key",
            "layer",
            "lot",
            "mark",
            "mix",
            "name",
            "paper",
            "portion",
            "ruleBook",
            "ruleId",
            "step",
            "vehicle",
            "waitId");

    private final List<String> out = new ArrayList<>();

    /** What the draft in hand came to by one school or another. */
    private final Set<JsonNode> said = new HashSet<>();

    @Override
    public List<String> call() {
        Cases.all().forEach((recipe, draft) -> {
            said.clear();
            plan(recipe, draft, HouseRules.defaults());
            for (HouseRules.School s : HouseRules.schools()) {
                for (HouseRules.Option o : s.options()) {
                    if (o.planned() && !o.id().equals(HouseRules.defaults().of(s.id()))) {
                        plan(
                                recipe + " " + s.id() + "=" + o.id(),
                                draft,
                                HouseRules.defaults().with(s.id(), o.id()));
                    }
                }
            }
        });
        said.clear();
        Cases.ways().forEach((way, w) -> plan(way, w.draft(), w.house()));
        ALSO.forEach((what, draft) -> plan(what, draft, HouseRules.defaults()));
        return out;
    }

    /** What neither the cases nor their ways have. */
    private static final Map<String, RepairDraft> ALSO = Map.of(
            "zinc coats",
            TestShop.repair(
                    TestShop.door(Metal.Kind.GALVANISED_STEEL, TestShop.allNo()),
                    TestShop.dent(200, 240, 120, 100, 2.8),
                    TestShop.dent(500, 240, 120, 100, 2.8)));

    private void plan(String at, RepairDraft draft, HouseRules house) {
        Workup w = TestShop.workup(draft, TestShop.shop(21, house, TestShop.fullShelf()));
        JsonNode all = JSON.valueToTree(w);
        // Most schools are not of this method: they change nothing, and so nothing that is said.
        if (!said.add(all)) {
            return;
        }
        words(at, all);
        if (w.plan().isPresent()) {
            run(at, new FrozenPlan(TestShop.NOW, "Tam", draft, w));
        }
    }

    private void run(String at, FrozenPlan frozen) {
        List<BenchEvent> events = new ArrayList<>();
        Instant now = TestShop.NOW;
        events.add(BenchEvent.start(new UUID(0, 1), now, "Tam"));
        Map<Quantity, Integer> times = new HashMap<>();
        for (int i = 0; i < 80; i++) {
            RunState s = Replay.of(frozen.plan(), events, now);
            if (s.now().isEmpty()) {
                break;
            }
            RunState.RunStep step = s.now().get();
            now = now.plusSeconds(95);
            for (Quantity q : step.step().asks()) {
                if (times.merge(q, 1, Integer::sum) == 1) {
                    events.add(BenchEvent.reading(
                            new UUID(0, events.size() + 1), now, "Tam", step.id(), q, q.max() * 0.9));
                    RunState high = Replay.of(frozen.plan(), events, now);
                    words(
                            at + " found " + q,
                            JSON.valueToTree(List.of(
                                    high.findings(),
                                    high.stops().stream().map(x -> x.said()).toList())));
                }
                double fine = Readings.passing(step.step(), q, frozen.plan().air());
                for (int n = 0; n < 5; n++) {
                    events.add(BenchEvent.reading(new UUID(0, events.size() + 1), now, "Tam", step.id(), q, fine));
                }
            }
            RunState read = Replay.of(frozen.plan(), events, now);
            words(
                    at + " run " + i,
                    JSON.valueToTree(List.of(read.findings(), read.before(), read.clocks(), read.mixes())));
            events.add(
                    step.step().gate().isEmpty()
                            ? BenchEvent.done(new UUID(0, events.size() + 1), now, "Tam", step.id())
                            : BenchEvent.gate(new UUID(0, events.size() + 1), now, "Tam", step.id(), "yes"));
        }
        RepairRecord record = RepairRecord.of(frozen, events, now);
        words(at + " record", JSON.valueToTree(List.of(record.deviations(), record.again())));
    }

    private void words(String at, JsonNode node) {
        if (node.isObject()) {
            node.properties().forEach(e -> {
                if (!NO_WORDS.contains(e.getKey()) || !e.getValue().isString()) {
                    words(at + "." + e.getKey(), e.getValue());
                }
            });
        } else if (node.isArray()) {
            int i = 0;
            for (JsonNode n : node) {
                words(at + "[" + i++ + "]", n);
            }
        } else if (node.isString()) {
            out.add(at + "\t" + node.asString());
        }
    }
}
