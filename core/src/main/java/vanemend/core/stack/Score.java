package vanemend.core.stack;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import vanemend.core.damage.Damage;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.SchoolFollowed;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Scores whole stacks: eight terms from 0 to 1, weighted as the rule book says. Recalled, never shown as a measurement. */
final class Score {
    /**
     * A stack to score.
     *
     * @param byChoice comes after all that are not, whatever it scores: a way that is only taken by who wants it
     */
    record Entry(
            Recipe recipe,
            List<StackLine> lines,
            List<String> missing,
            int pinsUsed,
            boolean byChoice,
            Optional<Effort> effort) {}

    private static final Set<Role> STRUCTURE = EnumSet.of(Role.BACK, Role.REINFORCE, Role.FILL, Role.SEAL);
    private static final Set<Role> SANDED = EnumSet.of(Role.BACK, Role.FILL, Role.FINISH, Role.SHIELD);

    /** A difference that is worth telling. */
    private static final double TOLD = 0.05;

    private Score() {}

    /** Best first: those that use what was pinned, then complete ones, then by score. */
    static List<RankedStack> rank(Need need, List<Entry> entries) {
        List<List<RankedStack.ScoreTerm>> terms =
                entries.stream().map(e -> terms(need, e)).toList();
        List<RankedStack> out = new ArrayList<>();
        List<Integer> pins = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            Entry e = entries.get(i);
            double score = sum(terms.get(i));
            out.add(new RankedStack(
                    e.recipe().id(),
                    e.recipe().method(),
                    e.recipe().title(),
                    e.recipe().name(),
                    e.lines(),
                    e.missing(),
                    score,
                    terms.get(i),
                    told(terms, i, true),
                    told(terms, i, false),
                    schools(e.recipe(), need.house())));
            pins.add(e.pinsUsed());
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < out.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingInt((Integer i) -> -pins.get(i))
                .thenComparing(i -> !out.get(i).complete())
                .thenComparing(i -> entries.get(i).byChoice())
                .thenComparing(i -> -out.get(i).score())
                .thenComparing(i -> out.get(i).recipe()));
        return order.stream().map(out::get).toList();
    }

    /** What {@code e} scores, 0 to 1. */
    static double of(Need need, Entry e) {
        return sum(terms(need, e));
    }

    /** The most that {@code e} could score, whatever its plan takes, 0 to 1. */
    static double most(Need need, Entry e) {
        return of(
                need,
                new Entry(e.recipe(), e.lines(), List.of(), e.pinsUsed(), e.byChoice(), Optional.of(new Effort(0, 0))));
    }

    private static double sum(List<RankedStack.ScoreTerm> terms) {
        return terms.stream().mapToDouble(t -> t.weight() * t.value()).sum();
    }

    private static RankedStack.Followed followed(HouseRules.School s, String option, HouseRules house) {
        return new RankedStack.Followed(
                new SchoolFollowed(
                        s.id(), option, s.question(), s.option(option).label()),
                house.is(s.id(), option));
    }

    private static List<RankedStack.Followed> schools(Recipe recipe, HouseRules house) {
        return HouseRules.schools().stream()
                .filter(s -> recipe.schools().containsKey(s.id()))
                .map(s -> followed(s, recipe.schools().get(s.id()), house))
                .toList();
    }

    private static List<String> told(List<List<RankedStack.ScoreTerm>> all, int me, boolean better) {
        List<String> out = new ArrayList<>();
        for (int t = 0; t < all.get(me).size(); t++) {
            int term = t;
            double mine = all.get(me).get(t).value();
            boolean alone = all.size() > 1;
            for (int o = 0; o < all.size(); o++) {
                double theirs = all.get(o).get(term).value();
                alone &= o == me || (better ? mine > theirs + TOLD : mine < theirs - TOLD);
            }
            if (alone) {
                out.add(all.get(me).get(t).word() + ": " + all.get(me).get(t).said());
            }
        }
        return List.copyOf(out);
    }

    private static List<RankedStack.ScoreTerm> terms(Need need, Entry e) {
        double asked = strengthAsked(need);
        double strong = most(e, STRUCTURE, c -> c.rated("strength"));
        double bends = bends(need);
        double flexes = mean(e, SANDED, c -> c.rated("flexibility"));
        double ease = mean(e, SANDED, c -> c.rated("ease"));
        double cheap = mean(e, EnumSet.allOf(Role.class), c -> c.rated("cheap"));
        long chosen = e.lines().stream().filter(l -> l.chosen().isPresent()).count();
        long low = e.lines().stream()
                .flatMap(l -> l.chosen().stream())
                .filter(c -> c.item().low())
                .count();
        double follows = Matcher.followed(e.recipe(), need.house());
        return List.of(
                term(
                        "strength",
                        "Strength",
                        Math.min(1, strong / asked),
                        percent(strong) + " of " + percent(asked) + " asked"),
                term(
                        "flexibility",
                        "Bends with the part",
                        1 - Math.abs(bends - flexes),
                        percent(flexes) + ", the part " + percent(bends)),
                term("sanding", "Sanding", ease, percent(ease) + " easy"),
                time(e, "elapsed", "Waiting", Effort::freeMin, 60, " with hands free"),
                time(e, "hands-on", "Hands on", Effort::handsMin, 45, ""),
                term("cost", "Cost", cheap, percent(cheap) + " cheap"),
                term("stock", "Stock", chosen == 0 ? 0 : 1 - (double) low / chosen, low == 0 ? "ample" : low + " low"),
                term("house", "House rule", follows, follows == 1 ? "the house's own" : "another school"));
    }

    private static RankedStack.ScoreTerm term(String id, String word, double value, String said) {
        return new RankedStack.ScoreTerm(id, word, TradeBook.value("score." + id), value, said);
    }

    /** A time of the way's own plan, worth a half at {@code half} minutes; nothing where it cannot be planned yet. */
    private static RankedStack.ScoreTerm time(
            Entry e, String id, String word, ToDoubleFunction<Effort> of, double half, String more) {
        if (e.effort().isEmpty()) {
            return term(id, word, 0, "not known: it cannot be planned yet");
        }
        double min = of.applyAsDouble(e.effort().get());
        return term(id, word, half / (half + min), Text.of(Math.round(Math.ceil(min - 1e-9)), "min") + more);
    }

    private static String percent(double share) {
        return Text.of(Math.round(share * 100), "%");
    }

    private static double mean(Entry e, Set<Role> roles, ToDoubleFunction<MaterialClass> rated) {
        return e.lines().stream()
                .filter(l -> roles.contains(l.role()))
                .flatMap(l -> l.chosen().stream())
                .mapToDouble(c -> rated.applyAsDouble(c.item().materialClass()))
                .average()
                .orElse(0.5);
    }

    private static double most(Entry e, Set<Role> roles, ToDoubleFunction<MaterialClass> rated) {
        return e.lines().stream()
                .filter(l -> roles.contains(l.role()))
                .flatMap(l -> l.chosen().stream())
                .mapToDouble(c -> rated.applyAsDouble(c.item().materialClass()))
                .max()
                .orElse(0.1);
    }

    /** What the damage asks of the structure, 0 to 1. */
    private static double strengthAsked(Need need) {
        return need.damages().stream()
                .map(Damage::kind)
                .mapToDouble(k -> TradeBook.value("asks.strength." + k.name().toLowerCase(Locale.ROOT)))
                .max()
                .orElse(1);
    }

    /** How much the part bends, 0 to 1; a hairline shows that a rigid one bends too. */
    private static double bends(Need need) {
        boolean hairline = need.damages().stream().anyMatch(d -> d.kind() == Damage.Kind.HAIRLINE);
        return TradeBook.value(
                hairline ? "bends.hairline" : "bends." + need.family().name().toLowerCase(Locale.ROOT));
    }
}
