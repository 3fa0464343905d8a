package vanemend.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import vanemend.core.cure.Wait;
import vanemend.core.damage.Damage;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Ring;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Conditions;
import vanemend.core.method.Interlock;
import vanemend.core.method.Loop;
import vanemend.core.method.MixPlan;
import vanemend.core.method.Step;
import vanemend.core.stack.StackChoice;
import vanemend.core.stack.StackLine;
import vanemend.core.verdict.Verdict;

/**
 * Several sites of one part as one repair: what all of them begin and end with is done once for all, and what cures at one leaves hands free
 * for the next. Each keeps its own way, its own cut and its own stops.
 *
 * @param lots places of the damage of each site in the draft
 * @param each the sites, each planned alone
 */
record Sites(RepairDraft draft, Conditions shop, List<Damage> damages, List<List<Integer>> lots, List<Workup> each) {

    /** All of them as one; {@code all} is the verdict on all damage together. */
    Workup joined(Verdict all) {
        List<Site> sites = IntStream.range(0, each.size()).mapToObj(this::site).toList();
        Verdict verdict = verdict(all);
        List<String> blockers = once(each, Workup::blockers);
        Workup first = each.getFirst();
        boolean whole =
                blockers.isEmpty() && each.stream().allMatch(w -> w.plan().isPresent());
        Drawing drawing = drawing();
        return new Workup(
                first.ruleBook(),
                first.name(),
                first.vehicle(),
                first.mark(),
                first.identity(),
                verdict,
                stack(),
                drawing,
                whole ? Optional.of(plan(drawing)) : Optional.empty(),
                blockers,
                sites);
    }

    private Site site(int k) {
        Workup w = each.get(k);
        return new Site(
                String.valueOf(k + 1),
                said(k),
                List.copyOf(lots.get(k)),
                w.plan().map(Plan::method),
                w.stack(),
                numbered(w.drawing(), lots.get(k)),
                w.blockers());
    }

    private String said(int k) {
        return lots.get(k).stream()
                .map(i -> damages.get(i).kind().word() + " " + (i + 1))
                .collect(Collectors.joining(", "));
    }

    /** {@code d} with its damage numbered as on the whole part. */
    private Drawing numbered(Drawing d, List<Integer> lot) {
        return new Drawing(
                d.widthMm(),
                d.heightMm(),
                d.outline(),
                d.bodyLines(),
                lot.stream().map(i -> DrawnDamage.of(i, damages.get(i))).toList(),
                d.zones(),
                d.flags(),
                d.section());
    }

    /** The worst that any rule says of all damage or of a site alone. */
    private Verdict verdict(Verdict all) {
        Map<String, Verdict.Finding> worst = new LinkedHashMap<>();
        List<Verdict> verdicts = new ArrayList<>(List.of(all));
        each.forEach(w -> verdicts.add(w.verdict()));
        Comparator<Verdict.Finding> by =
                Comparator.comparing(Verdict.Finding::bears).thenComparing(Verdict.Finding::outcome);
        verdicts.stream()
                .flatMap(v -> v.findings().stream())
                .forEach(f -> worst.merge(f.ruleId(), f, (a, b) -> by.compare(b, a) > 0 ? b : a));
        List<Verdict.Finding> findings =
                worst.values().stream().sorted(by.reversed()).toList();
        Verdict.Outcome outcome = findings.stream()
                .filter(Verdict.Finding::bears)
                .map(Verdict.Finding::outcome)
                .max(Comparator.naturalOrder())
                .orElse(Verdict.Outcome.MEND);
        return new Verdict(
                outcome,
                findings,
                verdicts.stream().flatMap(v -> v.beside().stream()).distinct().toList());
    }

    /** What all sites take, each item once; ways are ranked site by site. */
    private StackChoice stack() {
        StackChoice first = each.getFirst().stack();
        Map<String, StackLine> lines = new LinkedHashMap<>();
        each.stream()
                .flatMap(w -> w.stack().lines().stream())
                .forEach(l -> lines.putIfAbsent(
                        l.role() + l.chosen().map(c -> c.item().id()).orElse(""), l));
        return new StackChoice(
                List.copyOf(lines.values()),
                first.papers(),
                first.ruledOut(),
                first.puttyAlone(),
                each.stream()
                        .map(w -> w.stack().fillNote())
                        .filter(n -> !n.isEmpty())
                        .distinct()
                        .collect(Collectors.joining(" ")),
                first.taken(),
                first.ranked(),
                first.rejectedWays(),
                first.rejectedClasses());
    }

    /** The whole part: zones of one kind as one, no cut of its own. */
    private Drawing drawing() {
        Map<Zone.Kind, DrawnZone> zones = new LinkedHashMap<>();
        each.stream().flatMap(w -> w.drawing().zones().stream()).forEach(z -> zones.merge(z.kind(), z, Sites::both));
        Drawing first = each.getFirst().drawing();
        return new Drawing(
                first.widthMm(),
                first.heightMm(),
                first.outline(),
                first.bodyLines(),
                IntStream.range(0, damages.size())
                        .mapToObj(i -> DrawnDamage.of(i, damages.get(i)))
                        .toList(),
                zones.values().stream()
                        .sorted(Comparator.comparingDouble(DrawnZone::areaMm2))
                        .toList(),
                once(each, w -> w.drawing().flags()),
                Optional.empty());
    }

    private static DrawnZone both(DrawnZone a, DrawnZone b) {
        double pastMm = Math.max(a.pastMm(), b.pastMm());
        // Boxes apart, as sites mostly lie, need no exact geometry: it took a fifth of the time of a key typed.
        if (!Ring.box(a.rings()).intersects(Ring.box(b.rings()))) {
            List<Ring> rings =
                    Stream.concat(a.rings().stream(), b.rings().stream()).toList();
            return new DrawnZone(a.kind(), a.word(), a.note(), pastMm, a.areaMm2() + b.areaMm2(), rings, a.side());
        }
        Geometry both = OverlayNGRobust.union(List.of(Ring.shape(a.rings()), Ring.shape(b.rings())));
        return new DrawnZone(a.kind(), a.word(), a.note(), pastMm, Math.round(both.getArea()), Ring.of(both), a.side());
    }

    private Plan plan(Drawing whole) {
        List<Plan> plans = each.stream().map(w -> w.plan().orElseThrow()).toList();
        List<Plan> own = IntStream.range(0, plans.size())
                .mapToObj(k -> named(k, plans.get(k)))
                .toList();
        return new SitePlans(draft, shop, each.stream().map(Workup::drawing).toList(), whole, own).joined();
    }

    /** {@code p} with every name its own among the sites. */
    private Plan named(int k, Plan p) {
        UnaryOperator<String> n = Site.named(k);
        String site = String.valueOf(k + 1);
        List<Integer> lot = lots.get(k);
        UnaryOperator<Step> at = s -> s.at(site, n.apply(s.id()), n, lot::get);
        return new Plan(
                p.method(),
                p.recipe(),
                p.title(),
                p.steps().stream()
                        .map(s -> new PlannedStep(at.apply(s.step()), s.earliestMin(), s.latestMin()))
                        .toList(),
                p.loops().stream()
                        .map(l -> new Loop(
                                n.apply(l.id()),
                                l.title(),
                                l.steps().stream().map(at).toList()))
                        .toList(),
                p.mixes().stream().map(m -> named(n, m)).toList(),
                p.ladder().with(r -> r.named(n.apply(r.id()))),
                p.schools(),
                p.air(),
                p.activeMin(),
                p.totalMin(),
                p.spareMin(),
                p.closing(),
                p.portions().stream().map(x -> x.named(n.apply(x.id()))).toList(),
                p.waits().stream().map(w -> named(n, w)).toList(),
                p.budget(),
                p.pieces().stream().map(x -> named(n, said(k), x)).toList(),
                p.shopping(),
                p.broken().stream()
                        .map(b -> new Interlock.Broken(
                                b.interlock(), n.apply(b.step()), b.title(), b.said(), b.missing(), b.follows()))
                        .toList(),
                p.edits(),
                p.house(),
                p.binds());
    }

    private static MixPlan named(UnaryOperator<String> n, MixPlan m) {
        return new MixPlan(
                n.apply(m.id()), m.title(), m.pour(), m.law(), m.labelWorkMin(), m.routes(), m.route(), m.doseSaid());
    }

    private static Wait named(UnaryOperator<String> n, Wait w) {
        return new Wait(
                n.apply(w.id()),
                w.title(),
                w.material(),
                w.routes(),
                w.route(),
                w.sign(),
                w.source(),
                w.law(),
                w.sun());
    }

    /** What is cut says for which site: it leaves the screen on paper. */
    private static Piece named(UnaryOperator<String> n, String site, Piece p) {
        return new Piece(
                n.apply(p.id()),
                p.label() + ", " + site,
                p.material(),
                p.count(),
                p.side(),
                p.widthMm(),
                p.heightMm(),
                p.rings());
    }

    /** What {@code each} of {@code all} has, the same thing once. */
    static <A, T> List<T> once(List<A> all, Function<A, List<T>> each) {
        Set<T> out = new LinkedHashSet<>();
        all.forEach(a -> out.addAll(each.apply(a)));
        return List.copyOf(out);
    }
}
