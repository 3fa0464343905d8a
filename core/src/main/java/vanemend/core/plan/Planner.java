package vanemend.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.Damage;
import vanemend.core.damage.DamageDraft;
import vanemend.core.damage.Dent;
import vanemend.core.damage.Scratch;
import vanemend.core.part.Composite;
import vanemend.core.part.Glass;
import vanemend.core.part.Metal;
import vanemend.core.part.PaintFilm;
import vanemend.core.part.Part;
import vanemend.core.part.Plastic;
import vanemend.core.part.Tyre;
import vanemend.core.stack.Matcher;
import vanemend.core.stack.Need;
import vanemend.core.stack.Recipe;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Check;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.RuleBook;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Case;
import vanemend.core.verdict.Identity;
import vanemend.core.verdict.Judge;
import vanemend.core.verdict.Limits;
import vanemend.core.verdict.Verdict;

/** Walks a draft through the stations in working order. Pure: same draft, same conditions, same workup. */
public final class Planner {
    private final Conditions shop;
    private final RepairDraft draft;
    private final HouseRules house;
    private final Part part;
    private final List<Damage> damages;

    private Planner(RepairDraft draft, Conditions shop, HouseRules house, Part part, List<Damage> damages) {
        this.draft = draft;
        this.shop = shop;
        this.house = house;
        this.part = part;
        this.damages = damages;
    }

    /** The workup of {@code draft}, or nothing where {@code check} then holds problems. */
    public static Optional<Workup> plan(RepairDraft draft, Conditions shop, Check check) {
        return checked(draft, shop, check).map(p -> p.workup(Extent.WHOLE));
    }

    /** The same as shown while typing, with what that leaves out not worked out at all. */
    public static Optional<Workup> sketch(RepairDraft draft, Conditions shop, Check check) {
        return checked(draft, shop, check).map(p -> p.workup(Extent.SKETCH));
    }

    private static Optional<Planner> checked(RepairDraft draft, Conditions shop, Check check) {
        if (draft.part() == null) {
            check.refuse("part", null, "a part", "No part yet: say what it is.");
            return Optional.empty();
        }
        Part part = draft.part().check(check);
        List<Damage> damages = DamageDraft.checkAll(draft.damages(), draft.part(), part, check);
        HouseRules house = shop.house();
        for (Map.Entry<String, String> e : draft.houseRules().entrySet()) {
            try {
                house = house.with(e.getKey(), e.getValue());
            } catch (IllegalArgumentException x) {
                check.refuse("houseRules." + e.getKey(), e.getValue(), "one of the schools", x.getMessage());
            }
        }
        PlanEdits.check(draft.edits(), check);
        if (draft.cutYMm() != null) {
            check.range("cutYMm", "Height of the cut", draft.cutYMm(), 0, part.heightMm(), "mm");
        }
        if (!check.clean()) {
            return Optional.empty();
        }
        return Optional.of(new Planner(draft, shop, house, part, damages));
    }

    private Workup workup(Extent extent) {
        double lampC = TradeBook.value("heat.lamp-plateau");
        Case judged = new Case(
                part,
                damages,
                shop.air(),
                draft.drying() == DryingRoute.Kind.LAMP ? lampC : shop.air().tempC(),
                shop.today(),
                house,
                draft.overrules());
        Verdict verdict = Judge.of(judged);
        Identity identity = Identity.of(part.substrate());
        TimesToday times = new TimesToday(shop.air().tempC());
        Need need = new Need(
                part,
                judged.material(),
                damages,
                shop.air().tempC(),
                shop.today(),
                house,
                identity.heatCapC().map(OptionalDouble::of).orElse(OptionalDouble.empty()),
                times);
        StackChoice stack = choose(need, extent);
        List<String> blockers = new ArrayList<>();
        if (!verdict.mends()) {
            verdict.findings().stream()
                    .filter(f -> f.bears() && f.outcome().compareTo(Verdict.Outcome.LIMITS) > 0)
                    .forEach(f ->
                            blockers.add(f.outcome().word() + ": " + f.title().toLowerCase(Locale.ROOT) + ". "
                                    + (f.change().isEmpty() ? f.reason() : f.change())));
        }
        blockers.addAll(stack.missing());
        if (stack.taken().isEmpty()) {
            blockers.add(stack.fillNote());
        }
        Worked worked = worked(
                new Job(
                        draft,
                        shop,
                        house,
                        part,
                        judged.material(),
                        damages,
                        stack,
                        identity.heatCapC(),
                        times,
                        extent),
                blockers);
        return new Workup(
                RuleBook.version(),
                part.name(),
                part.vehicle(),
                worked.mark(),
                identity,
                verdict,
                stack,
                worked.drawing(),
                worked.plan(),
                List.copyOf(blockers));
    }

    private StackChoice choose(Need need, Extent extent) {
        Optional<String> taken = Optional.ofNullable(draft.recipe());
        return switch (extent) {
            case WHOLE -> Matcher.choose(need, shop.shelf(), draft.pins(), taken);
            case SKETCH -> Matcher.brief(need, shop.shelf(), draft.pins(), taken);
        };
    }

    /** What a method makes of a repair. */
    record Worked(String mark, Drawing drawing, Optional<Plan> plan) {}

    /** What the method that is taken makes of it; where none is taken yet, the part and its damage drawn. */
    private Worked worked(Job job, List<String> blockers) {
        List<Dent> hollows = new ArrayList<>(job.all(Dent.class));
        job.all(Scratch.class).forEach(s -> hollows.addAll(s.hollows()));
        boolean onlyHollows = damages.stream().allMatch(d -> d instanceof Dent || d instanceof Scratch);
        if (part.substrate() instanceof Metal m && onlyHollows && !hollows.isEmpty()) {
            return new DentPlan(job, m, hollows, blockers).work();
        }
        String letter = job.recipe().map(Recipe::letter).orElse("");
        Optional<MethodPlan> method =
                letter.isEmpty() || damages.isEmpty() ? Optional.empty() : method(job, letter, blockers);
        return method.map(MethodPlan::work).orElseGet(() -> outlined(blockers));
    }

    private Optional<MethodPlan> method(Job job, String letter, List<String> blockers) {
        return switch (part.substrate()) {
            case Metal m when letter.equals("B") -> Optional.of(new RustPlan(job, m, blockers));
            case PaintFilm p -> Optional.of(new RunPlan(job, blockers));
            case Glass g -> Optional.of(new ChipPlan(job, blockers));
            case Tyre t -> Optional.of(new TyrePlan(job, t, blockers));
            case Composite c -> Optional.of(composite(job, c.thicknessMm(), letter, blockers));
            case Plastic p
            when letter.equals("D") || letter.equals("E") ->
                Optional.of(composite(job, p.thicknessMm(), letter, blockers));
            case Plastic p when letter.equals("J") -> Optional.of(new AbsPlan(job, p, blockers));
            case Plastic p when letter.equals("K") -> Optional.of(new TrimPlan(job, p, blockers));
            case Plastic p -> Optional.of(new PlasticPlan(job, p, blockers));
            default -> Optional.empty();
        };
    }

    private MethodPlan composite(Job job, double wallMm, String letter, List<String> blockers) {
        String word = part.substrate().word();
        return letter.equals("E")
                ? new HairlinePlan(job, wallMm, word, blockers)
                : new CompositePlan(job, wallMm, word, blockers);
    }

    private Worked outlined(List<String> blockers) {
        if (blockers.isEmpty()) {
            blockers.add("Nothing to plan yet: say what the damage is.");
        }
        Drawing drawing = new Drawing(
                part.widthMm(),
                part.heightMm(),
                corners(part),
                lines(part),
                drawn(damages),
                List.of(),
                List.of(),
                Optional.empty());
        return new Worked(part.substrate().word(), drawing, Optional.empty());
    }

    /** Lines on the part, and the limits that a verdict measures from. */
    static List<Part.BodyLine> lines(Part part) {
        List<Part.BodyLine> out = new ArrayList<>(part.bodyLines());
        double top = part.heightMm();
        if (part.substrate() instanceof Glass g) {
            double half = TradeBook.value("glass.view-us");
            double left = Math.max(0, g.wheelXMm() - half);
            double right = Math.min(part.widthMm(), g.wheelXMm() + half);
            out.add(new Part.BodyLine("driver's view", left, 0, left, top));
            out.add(new Part.BodyLine("", right, 0, right, top));
        }
        if (part.substrate() instanceof Tyre t && t.use() == Tyre.Use.CAR) {
            double share = Limits.rule("tyre-crown").upTo().orElseThrow();
            double half = Math.min(
                    share * part.widthMm(),
                    part.widthMm() / 2 - Limits.rule("tyre-crown").from().orElseThrow());
            out.add(new Part.BodyLine("crown", part.widthMm() / 2 - half, 0, part.widthMm() / 2 - half, top));
            out.add(new Part.BodyLine("", part.widthMm() / 2 + half, 0, part.widthMm() / 2 + half, top));
        }
        return List.copyOf(out);
    }

    /** Corners of the part's edge, x and y in turn, mm. */
    static List<Double> corners(Part part) {
        return part.outline().xy().isEmpty()
                ? List.of()
                : IntStream.range(0, part.outline().xy().size())
                        .mapToObj(i -> Math.round(part.outline().xy().get(i)
                                        * (i % 2 == 0 ? part.widthMm() : part.heightMm())
                                        * 10)
                                / 10.0)
                        .toList();
    }

    /** {@code damages} as drawn. */
    static List<DrawnDamage> drawn(List<? extends Damage> damages) {
        return IntStream.range(0, damages.size())
                .mapToObj(i -> DrawnDamage.of(i, damages.get(i)))
                .toList();
    }
}
