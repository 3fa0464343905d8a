package vanemend.core;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import tools.jackson.core.type.TypeReference;
import tools.jackson.dataformat.yaml.YAMLMapper;
import vanemend.core.cure.DryingRoute;
import vanemend.core.cure.MeasuredHeat;
import vanemend.core.damage.DamageDraft;
import vanemend.core.damage.Dent;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.material.UnitSize;
import vanemend.core.method.Conditions;
import vanemend.core.method.House;
import vanemend.core.part.Coat;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.part.PartDraft;
import vanemend.core.part.Tyre;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.plan.Planner;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.trade.Air;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.InputProblem;
import vanemend.core.verdict.Limits;

/** A made-up bench for tests: a steel door, a full shelf, a day at 21 °C. */
public final class TestShop {
    public static final Instant NOW = Instant.parse("2026-11-24T09:00:00Z");
    public static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
    public static final ZoneId ZONE = ZoneId.of("Europe/London");

    private static final YAMLMapper YAML = new YAMLMapper();

    private TestShop() {}

    public static ShelfItem mix(String id, String classId, double work, LabelTime... sand) {
        return item(
                id, classId, Optional.of(work), List.of(sand), Optional.empty(), Optional.empty(), TODAY.plusDays(90));
    }

    /** {@code i} with what its label prints of its two parts; null where it prints nothing. */
    public static ShelfItem printing(ShelfItem i, Double byVolume, Double byWeight) {
        return new ShelfItem(
                i.id(),
                i.classId(),
                i.name(),
                i.lot(),
                Optional.<LocalDate>empty(),
                1000,
                "mL",
                i.workMin(),
                i.sand(),
                Optional.empty(),
                Optional.of(1.1),
                Optional.empty(),
                Optional.empty(),
                ShelfItem.Sanding.DRY,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.ofNullable(byVolume),
                Optional.ofNullable(byWeight),
                Optional.empty(),
                Optional.empty());
    }

    public static ShelfItem paper(String grading, int grade) {
        return item(
                grading + grade, "paper", Optional.empty(), List.of(), Optional.of(grading), Optional.of(grade), null);
    }

    public static ShelfItem item(
            String id,
            String classId,
            Optional<Double> work,
            List<LabelTime> sand,
            Optional<String> grading,
            Optional<Integer> grade,
            LocalDate expires) {
        return new ShelfItem(
                id,
                classId,
                id,
                "L-" + id,
                Optional.ofNullable(expires),
                1000,
                "g",
                work,
                sand,
                work.map(w -> 2.0),
                Optional.empty(),
                grading,
                grade,
                ShelfItem.Sanding.DRY,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** A tyre unit with its sizes. */
    public static ShelfItem sized(ShelfItem i, String id, double stemMm, double capMm, Tyre.Use use) {
        return new ShelfItem(
                id,
                i.classId(),
                id,
                i.lot(),
                i.expires(),
                i.quantity(),
                "pieces",
                i.workMin(),
                i.sand(),
                i.dosePercent(),
                i.densityGPerMl(),
                i.grading(),
                i.grade(),
                i.wet(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new UnitSize(stemMm, capMm, use)),
                Optional.empty());
    }

    public static ShelfItem expiring(ShelfItem i, LocalDate expires) {
        return new ShelfItem(
                i.id(),
                i.classId(),
                i.name(),
                i.lot(),
                Optional.of(expires),
                i.quantity(),
                i.unit(),
                i.workMin(),
                i.sand(),
                i.dosePercent(),
                i.densityGPerMl(),
                i.grading(),
                i.grade(),
                i.wet(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    public static ShelfItem wet(ShelfItem i) {
        return new ShelfItem(
                i.id(),
                i.classId(),
                i.name(),
                i.lot(),
                i.expires(),
                i.quantity(),
                i.unit(),
                i.workMin(),
                i.sand(),
                i.dosePercent(),
                i.densityGPerMl(),
                i.grading(),
                i.grade(),
                ShelfItem.Sanding.WET_ONLY,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Everything method A can ask for. */
    public static List<ShelfItem> shelf() {
        return new ArrayList<>(List.of(
                mix("filler", "body-filler", 5, new LabelTime(21, 18)),
                mix("putty", "finishing-putty", 4, new LabelTime(21, 16)),
                item(
                        "sealer",
                        "pinhole-sealer",
                        Optional.empty(),
                        List.of(new LabelTime(21, 15)),
                        Optional.empty(),
                        Optional.empty(),
                        null),
                item(
                        "primer",
                        "epoxy-primer",
                        Optional.empty(),
                        List.of(new LabelTime(21, 120)),
                        Optional.empty(),
                        Optional.empty(),
                        null),
                item("guide", "guide-coat", Optional.empty(), List.of(), Optional.empty(), Optional.empty(), null),
                item("degreaser", "wax-remover", Optional.empty(), List.of(), Optional.empty(), Optional.empty(), null),
                item("alcohol", "alcohol-wipe", Optional.empty(), List.of(), Optional.empty(), Optional.empty(), null),
                paper("P", 80),
                paper("P", 120),
                paper("P", 180),
                paper("P", 240),
                paper("P", 320)));
    }

    public static Conditions shop(double airC, HouseRules house, List<ShelfItem> shelf) {
        return new Conditions(
                new Air(airC, 50),
                House.of(house),
                shelf,
                NOW,
                ZONE,
                20,
                new Conditions.Place(55.4, -3.1),
                MeasuredHeat.none());
    }

    public static Conditions shop() {
        return shop(21, HouseRules.defaults(), shelf());
    }

    public static Map<String, Part.Answer> allNo() {
        Map<String, Part.Answer> out = new HashMap<>();
        Limits.all().stream().filter(Limits.Rule::asks).forEach(r -> out.put(r.id(), Part.Answer.NO));
        return out;
    }

    public static PartDraft door(PartDraft.BodyLineDraft... lines) {
        return door(Metal.Kind.MILD_STEEL, allNo(), lines);
    }

    public static PartDraft door(Metal.Kind metal, Map<String, Part.Answer> answers, PartDraft.BodyLineDraft... lines) {
        return PartDraft.sheet(
                "Luggage door",
                "Kestrel 9, no. 4",
                metal,
                0.9,
                700.0,
                500.0,
                List.of(
                        new PartDraft.CoatDraft(Coat.Kind.E_COAT, null),
                        new PartDraft.CoatDraft(Coat.Kind.PRIMER_SURFACER, null),
                        new PartDraft.CoatDraft(Coat.Kind.BASE, null),
                        new PartDraft.CoatDraft(Coat.Kind.CLEAR, null)),
                Part.Reach.BOTH_SIDES,
                List.of(lines),
                answers);
    }

    public static DamageDraft dent(double x, double y, double length, double width, double depth) {
        return DamageDraft.dent(x, y, length, width, 0.0, depth, Dent.Profile.BOWL);
    }

    public static RepairDraft repair(PartDraft part, DamageDraft... dents) {
        return new RepairDraft(
                part,
                List.of(dents),
                Map.of(),
                DryingRoute.Kind.AIR,
                Map.of(),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    /**
     * A repair from short YAML: {@code part} holds what differs from a part of 800 by 500 mm, both sides reached, every question
     * answered no; each of {@code damages} is one damage.
     */
    public static RepairDraft job(String part, String... damages) {
        Map<String, Object> typed = new HashMap<>(Map.of(
                "name", "Part", "vehicle", "Ridge, no. 1", "widthMm", 800, "heightMm", 500, "reach", "BOTH_SIDES"));
        Map<String, Object> answers = new HashMap<>(allNo());
        Map<String, Object> given = YAML.readValue(part, new TypeReference<Map<String, Object>>() {});
        if (given.remove("answers") instanceof Map<?, ?> some) {
            some.forEach((k, v) -> answers.put(String.valueOf(k), v));
        }
        typed.putAll(given);
        typed.put("answers", answers);
        List<Object> list = new ArrayList<>();
        for (String d : damages) {
            list.add(YAML.readValue(d, new TypeReference<Map<String, Object>>() {}));
        }
        return YAML.convertValue(Map.of("part", typed, "damages", list), RepairDraft.class);
    }

    /** Every class of the handbook on the shelf, two lots of what is mixed, and all papers. */
    public static List<ShelfItem> fullShelf() {
        List<ShelfItem> out = new ArrayList<>();
        for (MaterialClass c : MaterialClass.all()) {
            if (c.role() != MaterialClass.Role.PAPER) {
                boolean mixed = c.chemistry().isMixed();
                Optional<Double> work = c.work().isEmpty() || !mixed
                        ? Optional.empty()
                        : Optional.of(c.work().getFirst());
                List<LabelTime> sand = c.sand().isEmpty()
                        ? List.of()
                        : List.of(new LabelTime(21, c.sand().getFirst()));
                ShelfItem one =
                        item(c.id(), c.id(), work, sand, Optional.empty(), Optional.empty(), TODAY.plusDays(90));
                boolean unit = c.id().equals("tyre-unit") || c.id().equals("tyre-two-piece");
                out.add(unit ? sized(one, c.id(), 6, 50, Tyre.Use.CAR) : one);
                if (unit) {
                    out.add(sized(one, c.id() + "-truck", 10, 75, Tyre.Use.TRUCK));
                }
            }
        }
        for (int grade : new int[] {36, 80, 120, 180, 240, 320, 400, 600, 800, 1000, 1200, 1500, 3000}) {
            out.add(paper("P", grade));
        }
        return out;
    }

    /** The usual job: one dent of 2.8 mm, filler then putty. */
    public static RepairDraft usual() {
        return repair(door(), dent(340, 240, 120, 100, 2.8));
    }

    public static Workup workup(RepairDraft draft, Conditions shop) {
        Check check = new Check();
        Optional<Workup> w = Planner.plan(draft, shop, check);
        return w.orElseThrow(() -> new AssertionError(check.problems().toString()));
    }

    /** What stands in the way of reading {@code draft}. */
    public static List<InputProblem> problems(RepairDraft draft) {
        Check check = new Check();
        Planner.plan(draft, shop(), check);
        return check.problems();
    }

    public static FrozenPlan frozen() {
        RepairDraft draft = usual();
        return new FrozenPlan(NOW, "Tam", draft, workup(draft, shop()));
    }

    /** One to five dents anywhere on the door, whole on it, never steeper than sheet allows. */
    public static List<Dent> dents(Random r) {
        List<Dent> out = new ArrayList<>();
        int n = 1 + r.nextInt(5);
        for (int i = 0; i < n; i++) {
            double length = Seeds.between(r, 15, 220);
            double width = Seeds.between(r, 12, length);
            double reach = length / 2 + 1;
            out.add(new Dent(
                    Seeds.between(r, reach, 700 - reach),
                    Seeds.between(r, reach, 500 - reach),
                    length,
                    width,
                    Seeds.between(r, -90, 90),
                    Seeds.between(r, 0.2, Math.min(6, width * 0.24)),
                    Dent.Profile.values()[r.nextInt(3)]));
        }
        return out;
    }

    public static Part part(PartDraft draft) {
        Check check = new Check();
        Part part = draft.check(check);
        if (!check.clean()) {
            throw new AssertionError(check.problems().toString());
        }
        return part;
    }
}
