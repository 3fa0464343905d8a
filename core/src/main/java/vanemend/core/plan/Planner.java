package vanemend.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.Damage;
import vanemend.core.damage.DamageDraft;
import vanemend.core.damage.Dent;
import vanemend.core.method.Conditions;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.TimesToday;
import vanemend.core.method.Together;
import vanemend.core.part.Part;
import vanemend.core.sanding.FilmBudget;
import vanemend.core.stack.Effort;
import vanemend.core.stack.FreeChoice;
import vanemend.core.stack.Matcher;
import vanemend.core.stack.Need;
import vanemend.core.stack.Recipe;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Check;
import vanemend.core.trade.FollowedSchools;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Identity;
import vanemend.core.verdict.Judge;
import vanemend.core.verdict.JudgedRepair;
import vanemend.core.verdict.Verdict;

/** Walks a draft through the stations in working order. Pure: same draft, same conditions, same workup. */
public final class Planner {
    private final Conditions shop;
    private final RepairDraft draft;
    private final HouseRules house;
    private final Part part;
    private final List<Damage> damages;
    private final List<Integer> numbers;

    private Planner(
            RepairDraft draft,
            Conditions shop,
            HouseRules house,
            Part part,
            List<Damage> damages,
            List<Integer> numbers) {
        this.numbers = numbers;
        this.draft = draft;
        this.shop = shop;
        this.house = house;
        this.part = part;
        this.damages = damages;
    }

    /** The workup of {@code draft}, or nothing where {@code check} then holds problems. */
    public static Optional<Workup> plan(RepairDraft draft, Conditions shop, Check check) {
        return checked(draft, shop, check).map(p -> p.everySite(Extent.WHOLE, site -> site.workup(Extent.WHOLE)));
    }

    /** The workup as it is shown while typing: what that screen leaves out is not worked out at all. */
    public static Optional<Workup> sketch(RepairDraft draft, Conditions shop, Check check) {
        return sketch(draft, shop, new KeptSites(), check);
    }

    /** The same, where {@code kept} knows the sites that nothing was typed at since. */
    public static Optional<Workup> sketch(RepairDraft draft, Conditions shop, KeptSites kept, Check check) {
        return checked(draft, shop, check)
                .map(p -> p.everySite(Extent.SKETCH, site -> kept.of(site.key(), () -> site.workup(Extent.SKETCH))));
    }

    /** Of a site: a draft with no promise, so that the hour shifts nothing. */
    private KeptSites.Key key() {
        return KeptSites.Key.of(draft, shop, damages, numbers, part);
    }

    private static Optional<Planner> checked(RepairDraft draft, Conditions shop, Check check) {
        if (draft.part() == null) {
            check.refuse("part", null, "a part", "No part yet: say what it is.");
            return Optional.empty();
        }
        Part part = draft.part().check(check);
        List<Damage> damages = DamageDraft.checkAll(draft.damages(), draft.part(), part, check);
        HouseRules house = shop.house().schools();
        for (Map.Entry<String, String> e : draft.houseRules().entrySet()) {
            try {
                house = house.with(e.getKey(), e.getValue());
            } catch (IllegalArgumentException x) {
                check.refuse("houseRules." + e.getKey(), e.getValue(), "one of the schools", x.getMessage());
            }
        }
        PlanEdits.check(draft.edits(), check);
        if (draft.recipe() != null && Recipe.find(draft.recipe()).isEmpty()) {
            check.refuse(
                    "recipe",
                    draft.recipe(),
                    Recipe.all().stream().map(Recipe::id).collect(Collectors.joining(", ")),
                    "No way to mend is called " + draft.recipe() + ".");
        }
        if (draft.cutYMm() != null) {
            check.range("cutYMm", "Height of the cut", draft.cutYMm(), 0, part.heightMm(), "mm");
        }
        if (draft.spreaderMm() != null) {
            check.range("spreaderMm", "Width of the spreader", draft.spreaderMm(), 20, 600, "mm");
        }
        if (draft.pane() != null) {
            pane(draft.pane(), check);
        }
        if (!check.clean()) {
            return Optional.empty();
        }
        return Optional.of(new Planner(
                draft,
                shop,
                house,
                part,
                damages,
                IntStream.rangeClosed(1, damages.size()).boxed().toList()));
    }

    /** The house's rules, but for one that does not reach this damage: whole paint is kept under small dings alone. */
    private HouseRules fitting() {
        boolean small = !part.coats().isEmpty()
                && damages.stream()
                        .allMatch(d -> d instanceof Dent x
                                && (!x.filled()
                                        || x.raising() != Dent.Raising.PULLED
                                                && x.depthMm() <= TradeBook.value("stack.whole-paint-deep")
                                                && x.acrossMm() <= TradeBook.value("stack.putty-alone-across")));
        return house.is("filler-base", "whole-paint") && !small
                ? house.with("filler-base", HouseRules.school("filler-base").defaultOption())
                : house;
    }

    private static void pane(RepairDraft.PaneDraft pane, Check check) {
        if (pane.slopeDeg() != null) {
            check.range("pane.slopeDeg", "Slope of the pane from level", pane.slopeDeg(), 0, 90, "°");
        }
        if (pane.facesDeg() != null) {
            check.range("pane.facesDeg", "Way that the pane faces", pane.facesDeg(), 0, 360, "°");
        }
    }

    /** All damage by one way, or each lot of it that has a way of its own, in one plan. */
    private Workup everySite(Extent extent, Function<Planner, Workup> alone) {
        List<List<Integer>> lots = damages.size() < 2 ? List.of() : Site.of(damages, this::need);
        if (lots.size() < 2 || lots.size() > Site.MOST) {
            return workup(extent);
        }
        List<Workup> each = IntStream.range(0, lots.size())
                .mapToObj(k -> alone.apply(site(k, lots.get(k))))
                .toList();
        Verdict all = Judge.of(new JudgedRepair(
                part,
                damages,
                shop.air(),
                shop.air().tempC(),
                shop.today(),
                FollowedSchools.of(fitting()),
                draft.overrules(),
                0));
        return new Sites(draft, shop, damages, lots, each).joined(all);
    }

    /** What is planned for the lot {@code own} alone. */
    private Planner site(int k, List<Integer> own) {
        List<Damage> there = own.stream().map(damages::get).toList();
        Optional<String> way = draft.taken().stream()
                .filter(id -> Recipe.find(id)
                        .filter(r -> there.stream().allMatch(d -> r.damages().contains(d.kind())))
                        .isPresent())
                .findFirst();
        Optional<Double> cut = Optional.ofNullable(draft.cutYMm())
                .filter(y -> there.stream()
                        .map(d -> d.outline().getEnvelopeInternal())
                        .anyMatch(e -> y >= e.getMinY() && y <= e.getMaxY()));
        Map<String, DryingRoute.Kind> dried = new LinkedHashMap<>();
        draft.dryings().forEach((id, by) -> Site.own(k, id).ifPresent(bare -> dried.put(bare, by)));
        List<PlanEditDraft> papers = draft.edits().stream()
                .filter(e -> e.kind() == PlanEditDraft.Kind.PAPER)
                .flatMap(e -> Site.own(k, e.step()).map(e::of).stream())
                .toList();
        RepairDraft alone = draft.at(own.stream().map(draft.damages()::get).toList(), way, cut, papers, dried);
        return new Planner(
                alone, shop, house, part, there, own.stream().map(i -> i + 1).toList());
    }

    /** What is asked of the shelf where {@code some} is all the damage there is. */
    private Need need(List<Damage> some) {
        return new Need(
                part,
                JudgedRepair.material(part),
                some,
                shop.air().tempC(),
                shop.today(),
                fitting(),
                draft.houseRules(),
                Identity.of(part.substrate()).heatCapC().map(OptionalDouble::of).orElse(OptionalDouble.empty()),
                new TimesToday(shop.air().tempC()));
    }

    private Workup workup(Extent extent) {
        FollowedSchools schools = FollowedSchools.of(fitting());
        Identity identity = Identity.of(part.substrate());
        TimesToday times = new TimesToday(shop.air().tempC());
        Need need = need(damages);
        Together together = new Together(damages);
        Map<String, Way> ways = new HashMap<>();
        BiFunction<Recipe, StackChoice, Way> way = (r, s) -> ways.computeIfAbsent(
                r.id(),
                id -> Way.of(new Job(
                        shop,
                        schools.taking(r.schools()),
                        part,
                        damages,
                        numbers,
                        together,
                        s,
                        r,
                        identity.heatCapC(),
                        times,
                        draft.wishes())));
        StackChoice stack = choose(
                need,
                extent,
                (r, s) -> damages.isEmpty() ? Optional.empty() : way.apply(r, s).effort());
        // Laid out first: of a film the verdict judges what the plan's own papers take.
        Optional<Way> taken = Recipe.find(stack.taken())
                .filter(r -> !damages.isEmpty())
                .map(r -> way.apply(FreeChoice.of(r, draft.houseRules()), stack));
        Optional<Job> job = taken.map(Way::job);
        List<String> blockers = taken.map(w -> new ArrayList<>(w.blockers())).orElseGet(ArrayList::new);
        Verdict verdict = Judge.of(new JudgedRepair(
                part,
                damages,
                shop.air(),
                taken.map(Way::hottestC).orElse(shop.air().tempC()),
                shop.today(),
                job.map(Job::house).orElse(schools),
                draft.overrules(),
                taken.flatMap(Way::film).map(FilmBudget::takenUm).orElse(0.0)));
        if (!verdict.mends()) {
            verdict.findings().stream()
                    .filter(f -> f.bears() && f.outcome().compareTo(Verdict.Outcome.LIMITS) > 0)
                    .forEach(f ->
                            blockers.add(f.outcome().word() + ": " + f.title().toLowerCase(Locale.ROOT) + ". "
                                    + (f.change().isEmpty() ? f.reason() : f.change())));
        }
        if (taken.isEmpty()) {
            blockers.addAll(stack.missing());
        }
        if (stack.taken().isEmpty()) {
            blockers.add(stack.fillNote());
        }
        if (job.isEmpty() && blockers.isEmpty()) {
            blockers.add("Nothing to plan yet: say what the damage is.");
        }
        // What may not be mended is not drawn as if it were.
        if (job.isEmpty() || verdict.refusal().isPresent()) {
            return workup(
                    part.substrate().word(),
                    identity,
                    verdict,
                    stack,
                    Drawings.of(part, damages),
                    Optional.empty(),
                    blockers);
        }
        Laid laid = taken.orElseThrow().laid();
        Optional<Plan> plan = blockers.isEmpty()
                ? Optional.of(new PlanMaker(job.orElseThrow(), draft, extent)
                        .plan(taken.get().layout(), laid))
                : Optional.empty();
        return workup(laid.mark(), identity, verdict, stack, Drawings.of(part, damages, laid), plan, blockers);
    }

    private Workup workup(
            String mark,
            Identity identity,
            Verdict verdict,
            StackChoice stack,
            Drawing drawing,
            Optional<Plan> plan,
            List<String> blockers) {
        return new Workup(
                shop.house().pages().version(),
                part.name(),
                part.vehicle(),
                mark,
                identity,
                verdict,
                stack,
                drawing,
                plan,
                List.copyOf(blockers),
                List.of());
    }

    private StackChoice choose(Need need, Extent extent, Effort.Planned planned) {
        Optional<String> taken = Optional.ofNullable(draft.recipe());
        return switch (extent) {
            case WHOLE -> Matcher.choose(need, shop.shelf(), draft.pins(), taken, planned);
            case SKETCH -> Matcher.brief(need, shop.shelf(), draft.pins(), taken, planned);
        };
    }
}
