package vanemend.core.stack;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vanemend.core.damage.Damage;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.UnitSize;
import vanemend.core.part.MadeOf;
import vanemend.core.part.SurfaceState;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.Limits;

/**
 * Matches the shelf to a repair: every way to mend that fits the part and its damage, each as a whole stack of roles. Hard filters
 * first, each with its reason; each layer must hold on what lies under it; then a weighted score, best first.
 */
public final class Matcher {
    /** Roles whose classes are told why they are not used; cleaners and helpers are left out. */
    private static final Set<Role> TOLD = EnumSet.of(
            Role.PROMOTE_PATCH,
            Role.PROMOTE,
            Role.CEMENT,
            Role.BACK,
            Role.REINFORCE,
            Role.SHIELD,
            Role.FILL,
            Role.FINISH,
            Role.PINHOLE,
            Role.SURFACE,
            Role.CONVERT);

    private final Need need;
    private final ItemFilter filter;
    private final Map<String, List<ShelfItem>> byClass;
    private final List<ShelfItem> shelf;
    private final Map<Role, String> pins;
    private final Effort.Planned planned;

    /** The ways that fit, each built, by recipe. */
    private final Map<String, Built> built = new LinkedHashMap<>();

    private Matcher(Need need, List<ShelfItem> shelf, Map<Role, String> pins, Effort.Planned planned) {
        this.need = need;
        this.planned = planned;
        this.filter = new ItemFilter(need);
        this.shelf = shelf;
        this.pins = pins;
        this.byClass = shelf.stream().collect(Collectors.groupingBy(ShelfItem::classId));
    }

    /**
     * The stacks for {@code need}; {@code pins} holds item ids the technician chose, by role, {@code taken} the recipe the
     * technician took, empty for the best; {@code planned} tells what each way takes.
     */
    public static StackChoice choose(
            Need need, List<ShelfItem> shelf, Map<Role, String> pins, Optional<String> taken, Effort.Planned planned) {
        Matcher m = new Matcher(need, shelf, pins, planned);
        StackChoice chosen = m.chosen(taken, m::everyWay);
        return chosen.explained(m.ruledOut(m.built.values()), m.rejectedClasses(m.built.values()));
    }

    /**
     * The match as it is shown while typing: the same way is taken, without why the rest of the shelf was not chosen; of the other ways only
     * those that might have been better are ranked.
     */
    public static StackChoice brief(
            Need need, List<ShelfItem> shelf, Map<Role, String> pins, Optional<String> taken, Effort.Planned planned) {
        Matcher m = new Matcher(need, shelf, pins, planned);
        return m.chosen(taken, papers -> m.inQuestion(taken, papers)).sketch();
    }

    /** A recipe with its lines; what it lacks is in them. */
    private record Built(Recipe recipe, List<StackLine> lines) {
        boolean alone() {
            return recipe.when().contains(Recipe.When.PUTTY_ALONE);
        }

        List<String> missing() {
            return lines.stream()
                    .map(StackLine::missing)
                    .filter(m -> !m.isEmpty())
                    .toList();
        }

        Optional<ShelfItem> item(Role role) {
            return lines.stream()
                    .filter(l -> l.role() == role)
                    .findFirst()
                    .flatMap(StackLine::chosen)
                    .map(Candidate::item);
        }
    }

    private StackChoice chosen(Optional<String> taken, Function<List<ShelfItem>, List<Score.Entry>> weighed) {
        List<RuledOutWay> rejected = new ArrayList<>();
        List<Recipe> fits = new ArrayList<>();
        Set<Damage.Kind> kinds = need.damages().stream()
                .map(Damage::kind)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Damage.Kind.class)));
        for (Recipe named : Recipe.all()) {
            if (named.materials().contains(need.material())) {
                Recipe r = FreeChoice.of(named, need.own());
                Optional<RuledOutWay> no = unfit(r, kinds).or(() -> twin(named)).or(() -> otherwise(r));
                no.ifPresentOrElse(rejected::add, () -> fits.add(r));
            }
        }
        for (Recipe r : fits) {
            Built b = build(r);
            Optional<String> no = puttyRule(b);
            no.ifPresentOrElse(
                    why -> rejected.add(new RuledOutWay(r.id(), named(r), "metal-shallow", why)),
                    () -> built.put(r.id(), b));
        }
        List<ShelfItem> papers = shelf.stream()
                .filter(i -> i.materialClass().role() == Role.PAPER)
                .filter(i -> filter.anywhere(i).isEmpty())
                .toList();
        List<RankedStack> ranked = Score.rank(need, weighed.apply(papers));
        String first = taken.map(id -> Recipe.find(id)
                        .flatMap(r -> FreeChoice.named(r, need.own()))
                        .map(Recipe::id)
                        .orElse(id))
                .filter(built::containsKey)
                .orElse(ranked.isEmpty() ? "" : ranked.getFirst().recipe());
        Built chosen = built.get(first);
        return new StackChoice(
                chosen == null ? List.of() : chosen.lines(),
                papers,
                List.of(),
                chosen != null && chosen.alone(),
                chosen == null ? nothing(kinds, rejected) : note(chosen),
                first,
                ranked,
                List.copyOf(rejected),
                List.of());
    }

    private List<Score.Entry> everyWay(List<ShelfItem> papers) {
        return built.values().stream().map(b -> entry(b, effort(b, papers))).toList();
    }

    /**
     * The ways that the best is among. A plan is the dear part of a score, and it only ever takes away from what the rest allows: once a way
     * scores what no other can reach even if it took no time at all, the others are left unplanned.
     */
    private List<Score.Entry> inQuestion(Optional<String> taken, List<ShelfItem> papers) {
        Optional<Built> settled = taken.map(built::get);
        if (settled.isPresent()) {
            return List.of(entry(settled.get(), effort(settled.get(), papers)));
        }
        List<Score.Entry> open = built.values().stream()
                .map(b -> entry(b, Optional.empty()))
                .sorted(Comparator.comparingInt((Score.Entry e) -> -e.pinsUsed())
                        .thenComparing(e -> !e.missing().isEmpty())
                        .thenComparing(Score.Entry::byChoice)
                        .thenComparing(e -> -Score.most(need, e)))
                .toList();
        List<Score.Entry> out = new ArrayList<>();
        double best = Double.NEGATIVE_INFINITY;
        for (Score.Entry e : open) {
            boolean another = !out.isEmpty()
                    && (e.pinsUsed() < out.getFirst().pinsUsed()
                            || e.missing().isEmpty() != out.getFirst().missing().isEmpty()
                            || e.byChoice() != out.getFirst().byChoice());
            if (another || Score.most(need, e) < best) {
                break;
            }
            Score.Entry planned = entry(
                    built.get(e.recipe().id()), effort(built.get(e.recipe().id()), papers));
            out.add(planned);
            best = Math.max(best, Score.of(need, planned));
        }
        return out;
    }

    private Score.Entry entry(Built b, Optional<Effort> effort) {
        return new Score.Entry(b.recipe(), b.lines(), b.missing(), pinsUsed(b), byChoice(b), effort);
    }

    private Optional<Effort> effort(Built b, List<ShelfItem> papers) {
        return b.missing().isEmpty()
                ? planned.of(
                        b.recipe(),
                        new StackChoice(
                                b.lines(),
                                papers,
                                List.of(),
                                b.alone(),
                                "",
                                b.recipe().id(),
                                List.of(),
                                List.of(),
                                List.of()))
                : Optional.empty();
    }

    private static String named(Recipe r) {
        return r.title() + ": " + r.name();
    }

    private Optional<RuledOutWay> unfit(Recipe r, Set<Damage.Kind> kinds) {
        if (!r.damages().containsAll(kinds)) {
            boolean some = kinds.stream().anyMatch(r.damages()::contains);
            String damage =
                    kinds.stream().map(k -> k.word().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "));
            return Optional.of(new RuledOutWay(
                    r.id(),
                    named(r),
                    "damage",
                    some
                            ? "does not cover all of it: " + damage + ". Plan them as two repairs."
                            : "not for this damage: " + damage));
        }
        if (!r.families().isEmpty() && !r.families().contains(need.family())) {
            return Optional.of(new RuledOutWay(
                    r.id(), named(r), "family", "not for " + need.family().word()));
        }
        for (Recipe.When w : Recipe.When.values()) {
            if (r.when().contains(w) && !need.holds(w)) {
                return Optional.of(new RuledOutWay(r.id(), named(r), w.name().toLowerCase(Locale.ROOT), w.otherwise()));
            }
        }
        return Optional.empty();
    }

    /** By what was chosen on this repair it is the same as another that has a name. */
    private Optional<RuledOutWay> twin(Recipe r) {
        return FreeChoice.named(r, need.own())
                .map(n -> new RuledOutWay(r.id(), named(r), "twin", "by what was chosen here it is: " + n.name()));
    }

    /** A part of it was chosen otherwise on this repair. */
    private Optional<RuledOutWay> otherwise(Recipe r) {
        return Together.not(r, need.own()).map(why -> new RuledOutWay(r.id(), named(r), "chosen-otherwise", why));
    }

    /** Putty alone is settled once the putty is known. */
    private Optional<String> puttyRule(Built b) {
        if (b.recipe().method() != MethodId.METAL_DENT) {
            return Optional.empty();
        }
        boolean alone = need.puttyAlone(b.item(Role.FINISH));
        if (b.alone() && !alone) {
            return Optional.of(Recipe.When.PUTTY_ALONE.otherwise());
        }
        if (b.recipe().when().contains(Recipe.When.NOT_PUTTY_ALONE) && alone && !overPaint()) {
            return Optional.of(Recipe.When.NOT_PUTTY_ALONE.otherwise());
        }
        return Optional.empty();
    }

    /** Over whole paint hands choose between putty alone and filler below it; elsewhere putty alone settles it. */
    private boolean overPaint() {
        return need.house().is("filler-base", "whole-paint");
    }

    private boolean byChoice(Built b) {
        return b.recipe().when().contains(Recipe.When.NOT_PUTTY_ALONE) && need.puttyAlone(b.item(Role.FINISH));
    }

    private boolean asked(Recipe recipe, Recipe.Slot slot) {
        return (slot.only().isEmpty() || slot.only().contains(need.family()))
                && (slot.damages().isEmpty()
                        || need.damages().stream().anyMatch(d -> slot.damages().contains(d.kind())))
                && slot.house().entrySet().stream()
                        .allMatch(e -> recipe.schools().containsKey(e.getKey())
                                ? e.getValue().equals(recipe.schools().get(e.getKey()))
                                : need.house().is(e.getKey(), e.getValue()));
    }

    private Built build(Recipe recipe) {
        List<StackLine> lines = new ArrayList<>();
        Map<Role, ShelfItem> chosen = new EnumMap<>(Role.class);
        Optional<Surface> below = Optional.empty();
        for (Recipe.Slot slot : recipe.slots()) {
            if (!asked(recipe, slot)) {
                continue;
            }
            Optional<Surface> surface = surface(slot, below);
            List<Candidate> fit = candidates(slot, surface, chosen);
            Optional<Candidate> best = fit.stream()
                    .filter(c -> c.item().id().equals(pins.get(slot.role())))
                    .findFirst()
                    .or(() -> fit.stream().findFirst());
            boolean pinned = best.isPresent() && best.get().item().id().equals(pins.get(slot.role()));
            best.ifPresent(c -> chosen.put(slot.role(), c.item()));
            lines.add(new StackLine(
                    slot.role(),
                    best,
                    pinned,
                    fit,
                    best.isPresent() || slot.optional() ? "" : missing(slot, surface),
                    slot.note()));
            MaterialClass c = best.map(x -> x.item().materialClass())
                    .orElseGet(() -> MaterialClass.of(slot.classes().getFirst()));
            below = c.becomes().isPresent() ? c.becomes() : below;
        }
        return new Built(recipe, List.copyOf(lines));
    }

    private Optional<Surface> surface(Recipe.Slot slot, Optional<Surface> below) {
        return switch (slot.on()) {
            case ANY -> Optional.empty();
            case PART -> Optional.of(need.ground());
            case BARE -> Optional.of(need.bare());
            case OUTER ->
                Optional.of(need.part().face().contains(SurfaceState.GELCOAT) ? Surface.GELCOAT : need.bare());
            case BELOW -> below;
        };
    }

    private List<Candidate> candidates(Recipe.Slot slot, Optional<Surface> surface, Map<Role, ShelfItem> chosen) {
        List<Candidate> out = new ArrayList<>();
        for (String classId : slot.classes()) {
            for (ShelfItem item : byClass.getOrDefault(classId, List.of())) {
                boolean sameAsked = slot.same().isEmpty() || item.equals(chosen.get(Role.valueOf(slot.same())));
                if (sameAsked && filter.inRole(item, slot.role(), surface).isEmpty()) {
                    out.add(new Candidate(item, waitMin(item), why(item, slot.role())));
                }
            }
        }
        // Of units that fill the injury, the smallest: no more is cut out than has to be.
        // What can be laid in its work time comes before what has to be hurried.
        out.sort(Comparator.comparing((Candidate c) -> hurried(c.item(), slot.role()))
                .thenComparingDouble(
                        c -> c.item().unitSize().map(UnitSize::stemMm).orElse(0.0))
                .thenComparingDouble(Candidate::waitMin)
                .thenComparing(c -> c.item().expires().orElse(LocalDate.MAX))
                .thenComparing(c -> c.item().id()));
        return List.copyOf(out);
    }

    /** Whether cloth cannot be bedded in it before it goes off: tight coat, cloth, and more over it. */
    private boolean hurried(ShelfItem item, Role role) {
        if (role != Role.BACK || item.materialClass().chemistry() != MaterialClass.Chemistry.AMINE_EPOXY) {
            return false;
        }
        OptionalDouble work = need.times().workMin(item);
        return work.isPresent()
                && work.getAsDouble() * TradeBook.value("mix.work-share") < TradeBook.value("mix.cloth-least");
    }

    /** Wait it costs, min: today's where the label gives a time, else what is typical for the class; 0 where it has none. */
    private double waitMin(ShelfItem item) {
        OptionalDouble today = need.times().sandMin(item);
        if (today.isPresent()) {
            return today.getAsDouble();
        }
        MaterialClass c = item.materialClass();
        return c.figure("full")
                .or(() -> c.figure("flash"))
                .or(() -> c.figure("dry"))
                .orElse(0.0);
    }

    private String why(ShelfItem item, Role role) {
        OptionalDouble wait = need.times().sandMin(item);
        String expiry = item.expires()
                .map(e -> "use by " + ItemFilter.DAY.format(e.minusDays(1)))
                .orElse("no expiry");
        if (wait.isPresent()) {
            boolean dries =
                    role == Role.PINHOLE && item.materialClass().chemistry() == MaterialClass.Chemistry.ONE_PART;
            return Text.of(Math.round(Math.ceil(wait.getAsDouble())), "min") + " to " + (dries ? "dry" : "sand")
                    + " today, " + expiry;
        }
        if (!item.sand().isEmpty() && need.airC() < item.minC()) {
            return "does not cure at " + Text.of(need.airC(), "°C") + ", warm to " + Text.of(item.minC(), "°C") + "; "
                    + expiry;
        }
        MaterialClass c = item.materialClass();
        return c.figure("full")
                .map(f -> "full after " + Text.of(f / 60, "h") + ", typical: read the label; " + expiry)
                .or(() -> c.figure("flash")
                        .map(f -> "flash " + Text.of(f, "min") + ", typical: read the label; " + expiry))
                .orElse(expiry);
    }

    private String missing(Recipe.Slot slot, Optional<Surface> surface) {
        String classes = slot.classes().stream()
                .map(MaterialClass::of)
                .filter(c -> surface.isEmpty() || filter.bond(c, surface.get()).isEmpty())
                .map(c -> c.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(" or "));
        if (need.material() == MadeOf.TYRE && slot.role() == Role.REINFORCE) {
            return "Nothing on the shelf for reinforce that fills " + Text.of(need.injuryMm(), "mm")
                    + " in this class of tyre: put " + classes
                    + " on it, with the sizes of its label. None is planned that is too small.";
        }
        return byAir(slot, surface)
                .orElseGet(() -> "Nothing on the shelf for "
                        + slot.role().word().toLowerCase(Locale.ROOT) + ": put " + classes + " on it.");
    }

    /** Where only today's air rules out what is on the shelf, that is the reason, with what helps. */
    private Optional<String> byAir(Recipe.Slot slot, Optional<Surface> surface) {
        for (String classId : slot.classes()) {
            for (ShelfItem item : byClass.getOrDefault(classId, List.of())) {
                Optional<ItemFilter.Reason> out = filter.inRole(item, slot.role(), surface);
                Optional<String> helps = out.flatMap(r -> helps(r, item));
                if (helps.isPresent()) {
                    return Optional.of(item.name() + ": " + out.get().words().get() + ". " + helps.get());
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<String> helps(ItemFilter.Reason why, ShelfItem item) {
        boolean cream = item.materialClass().chemistry() == MaterialClass.Chemistry.POLYESTER;
        return switch (why.rule()) {
            case ItemFilter.TOO_QUICK ->
                Optional.of((cream ? "What helps: less cream inside its window, " : "What helps: ")
                        + "a slower grade, smaller batches, part and material kept cool, an earlier hour.");
            case ItemFilter.TOO_SLOW ->
                Optional.of("What helps: part and material warmed, a warmer hour, "
                        + (cream ? "more cream inside its window, " : "") + "a quicker grade.");
            default -> Optional.empty();
        };
    }

    private int pinsUsed(Built b) {
        return (int) b.lines().stream().filter(StackLine::pinned).count();
    }

    private String note(Built b) {
        if (b.recipe().method() != MethodId.METAL_DENT) {
            return b.recipe().title() + ": "
                    + b.recipe().name().substring(0, 1).toLowerCase(Locale.ROOT)
                    + b.recipe().name().substring(1) + ".";
        }
        double shallow = Limits.rule("metal-shallow").upTo().orElseThrow();
        String depth = Text.of(need.deepestMm(), "mm");
        Optional<ShelfItem> putty = b.item(Role.FINISH);
        if (b.recipe().when().contains(Recipe.When.COATS_DEEP)) {
            return depth + " deep, at most " + Text.book("scratch.putty-from")
                    + ": its edges are feathered, nothing is filled.";
        }
        if (b.alone()) {
            return depth + " deep: under " + Text.of(shallow, "mm") + ", putty alone.";
        }
        if (need.deepestMm() < shallow && putty.isPresent() && need.tooWideForPutty()) {
            return depth + " deep, wider than " + Text.book("stack.putty-alone-across")
                    + ": too wide for putty alone, so filler first.";
        }
        if (byChoice(b)) {
            return depth + " deep: putty alone would do, filler below it by choice.";
        }
        if (need.deepestMm() < shallow && putty.isPresent()) {
            return depth + " deep: the putty's label holds it to "
                    + Text.of(putty.get().typical("maxFinishedMm"), "mm") + " finished, so filler first.";
        }
        return depth + " deep: body filler, then putty.";
    }

    private String nothing(Set<Damage.Kind> kinds, List<RuledOutWay> rejected) {
        if (rejected.stream().anyMatch(r -> r.rule().equals("chosen-otherwise"))) {
            return Together.clash(need.own())
                    .orElse(
                            "No way to mend this has what was chosen on this repair: choose otherwise at Stack, under Schools. Below stands what each has instead.");
        }
        return kinds.size() > 1
                ? "No one way mends all of this damage: plan it as two repairs."
                : "No way to mend this is known; below stands why each is not for it.";
    }

    private List<RuledOut> ruledOut(Collection<Built> built) {
        Map<String, ItemFilter.Reason> out = new HashMap<>();
        Set<String> fit = built.stream()
                .flatMap(b -> b.lines().stream())
                .flatMap(l -> l.candidates().stream())
                .map(c -> c.item().id())
                .collect(Collectors.toSet());
        List<Laid> asked = built.stream().flatMap(this::asked).toList();
        Map<String, ItemFilter.Reason> notAsked = new HashMap<>();
        for (ShelfItem item : shelf) {
            if (!fit.contains(item.id())) {
                why(item, asked)
                        .or(() -> TOLD.contains(item.materialClass().role())
                                ? Optional.of(
                                        notAsked.computeIfAbsent(item.classId(), id -> whyNot(item.materialClass())))
                                : Optional.empty())
                        .ifPresent(r -> out.put(item.id(), r));
            }
        }
        return shelf.stream()
                .filter(i -> out.containsKey(i.id()))
                .map(i -> new RuledOut(
                        i.id(),
                        i.name(),
                        i.lot(),
                        i.materialClass().role(),
                        out.get(i.id()).says(),
                        out.get(i.id()).rule()))
                .toList();
    }

    /** A slot that a way to mend asks for, and what its item would lie on. */
    private record Laid(Recipe.Slot slot, Optional<Surface> on) {}

    /** What is asked of the shelf by the way to mend {@code b}, in working order. */
    private Stream<Laid> asked(Built b) {
        List<Laid> out = new ArrayList<>();
        Optional<Surface> below = Optional.empty();
        for (Recipe.Slot slot : b.recipe().slots()) {
            if (asked(b.recipe(), slot)) {
                out.add(new Laid(slot, surface(slot, below)));
            }
            Optional<Surface> becomes =
                    MaterialClass.of(slot.classes().getFirst()).becomes();
            below = becomes.isPresent() ? becomes : below;
        }
        return out.stream();
    }

    /** Why an item that fits nowhere does not, where something of its class is asked for; nothing for papers. */
    private Optional<ItemFilter.Reason> why(ShelfItem item, List<Laid> asked) {
        Optional<ItemFilter.Reason> general = filter.anywhere(item);
        if (general.isPresent()) {
            return general;
        }
        for (Laid l : asked) {
            if (l.slot().classes().contains(item.classId())) {
                Optional<ItemFilter.Reason> no = filter.inRole(item, l.slot().role(), l.on());
                if (no.isPresent()) {
                    return no;
                }
            }
        }
        return Optional.empty();
    }

    /** Why no way to mend this asks for {@code c}. */
    private ItemFilter.Reason whyNot(MaterialClass c) {
        Optional<ItemFilter.Reason> bond = c.bondsTo().isEmpty() ? Optional.empty() : filter.bond(c, need.ground());
        if (bond.isPresent() && filter.bond(c, need.bare()).isPresent()) {
            return bond.get();
        }
        for (Recipe.Forbidden f : Recipe.forbidden()) {
            if (f.classes().contains(c.id())
                    && (!f.without().isEmpty() || !f.with().isEmpty())) {
                return new ItemFilter.Reason(f.id(), f::why);
            }
        }
        return bond.orElse(new ItemFilter.Reason("no-role", () -> "no way to mend this asks for it"));
    }

    private List<RuledOutWay> rejectedClasses(Collection<Built> built) {
        Set<String> used = built.stream()
                .flatMap(b -> b.recipe().slots().stream().filter(s -> asked(b.recipe(), s)))
                .flatMap(s -> s.classes().stream())
                .collect(Collectors.toSet());
        List<RuledOutWay> out = new ArrayList<>();
        for (MaterialClass c : MaterialClass.all()) {
            if (TOLD.contains(c.role()) && !used.contains(c.id())) {
                ItemFilter.Reason r = whyNot(c);
                out.add(new RuledOutWay(c.id(), c.name(), r.rule(), r.says()));
            }
        }
        return List.copyOf(out);
    }

    /** Whether the house follows every school of {@code recipe}. */
    static double followed(Recipe recipe, HouseRules house) {
        if (recipe.schools().isEmpty()) {
            return 1;
        }
        long own = recipe.schools().entrySet().stream()
                .filter(e -> house.is(e.getKey(), e.getValue()))
                .count();
        return (double) own / recipe.schools().size();
    }
}
