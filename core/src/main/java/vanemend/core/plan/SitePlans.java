package vanemend.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import vanemend.core.footprint.DrawnZone;
import vanemend.core.footprint.Zone;
import vanemend.core.method.Act;
import vanemend.core.method.CleanUp;
import vanemend.core.method.Conditions;
import vanemend.core.method.Gate;
import vanemend.core.method.Interlock;
import vanemend.core.method.Loop;
import vanemend.core.method.Step;
import vanemend.core.method.StepOrder;
import vanemend.core.method.Watch;
import vanemend.core.mix.Shopping;
import vanemend.core.sanding.Ladder;
import vanemend.core.trade.Quantity;

/**
 * The plans of several sites as one. What all begin with and all end with is done once, over all of their zones. Between, hands go from one
 * site to the next where something cures by itself until it is sanded, and come back when that is over: never from what is live, from what
 * flashes or has a window that closes, or from under a lamp.
 *
 * @param drawings of the sites, in order
 * @param whole the part's, each zone that of all sites
 * @param plans theirs, every name its own
 */
record SitePlans(RepairDraft draft, Conditions shop, List<Drawing> drawings, Drawing whole, List<Plan> plans) {
    /** Waits that ask to be looked after, or that something shuts. */
    private static final Set<Act> STAYS =
            EnumSet.of(Act.FLASH, Act.FLASH_BACK, Act.FLASH_PATCH, Act.FLASH_SEAL, Act.CONVERTED, Act.SURFACE_DRY);

    /** What has to be done before what was laid is too far gone. */
    private static final Set<Act> SHUTS = EnumSet.of(Act.TAPE_WHILE_TACKY, Act.PATCH, Act.TACKY);

    private static final double LONG_MIN = 60;

    Plan joined() {
        Plan first = plans.getFirst();
        List<List<Step>> own = plans.stream()
                .map(p -> p.steps().stream().map(PlannedStep::step).toList())
                .toList();
        List<Step> common = common(own);
        List<Integer> ends = endAlike(own);
        int tail = tail(ends.stream().map(own::get).toList());
        List<Step> steps = new ArrayList<>();
        List<List<Step>> bodies = new ArrayList<>();
        for (int k = 0; k < own.size(); k++) {
            List<Step> site = own.get(k);
            int until = ends.contains(k) ? site.size() - tail : site.size();
            List<Step> rest = new ArrayList<>(site.subList(0, until));
            // What is asked before anything is washed is asked first.
            int asked = common.isEmpty() ? 0 : first(rest, common);
            steps.addAll(rest.subList(0, asked));
            bodies.add(rest.subList(asked, rest.size()).stream()
                    .filter(s -> common.stream().noneMatch(c -> alike(c, s)))
                    .toList());
        }
        for (Step c : common) {
            steps.add(shared(
                    List.of(),
                    own.stream().map(s -> s.get(first(s, List.of(c)))).toList()));
        }
        List<String> members = ends.size() == own.size()
                ? List.of()
                : ends.stream().map(k -> site(own.get(k))).toList();
        List<Step> end = new ArrayList<>();
        for (int i = tail; i > 0; i--) {
            int back = i;
            end.add(shared(
                    members,
                    ends.stream()
                            .map(k -> own.get(k).get(own.get(k).size() - back))
                            .toList()));
        }
        steps.addAll(inTurn(bodies, ends, end));
        List<Step> laid = StepOrder.chained(steps);
        List<PlanEditDraft> edits = draft.edits();
        List<Step> edited = edits.isEmpty() ? laid : PlanEdits.apply(laid, edits);
        double promised = draft.promisedAt() == null
                ? Double.NaN
                : Duration.between(shop.now(), draft.promisedAt()).toSeconds() / 60.0;
        List<PlannedStep> planned = Schedule.of(edited, promised);
        double total = Schedule.end(planned);
        return new Plan(
                first.method(),
                first.recipe(),
                String.join(", ", plans.stream().map(Plan::title).distinct().toList()),
                planned,
                loops(laid),
                all(Plan::mixes),
                ladder(),
                Sites.once(plans, Plan::schools),
                first.air(),
                edited.stream().mapToDouble(Step::activeMin).sum(),
                total,
                Double.isNaN(promised) ? Optional.empty() : Optional.of(promised - total),
                first.closing(),
                all(Plan::portions),
                all(Plan::waits),
                plans.stream().flatMap(p -> p.budget().stream()).findFirst(),
                all(Plan::pieces),
                shopping(),
                broken(laid, edited),
                PlanEdits.made(laid, edits),
                all(Plan::house),
                true);
    }

    /** The rework that a step leads into; of what is done for several sites at once, for all of those. */
    private List<Loop> loops(List<Step> steps) {
        Map<String, Step> asks = new LinkedHashMap<>();
        List<Loop> all = all(Plan::loops);
        List<Step> asked = new ArrayList<>(steps);
        for (int i = 0; i < asked.size(); i++) {
            Step s = asked.get(i);
            for (String loop : leadsInto(s)) {
                if (asks.putIfAbsent(loop, s) == null) {
                    all.stream().filter(l -> l.id().equals(loop)).forEach(l -> asked.addAll(l.steps()));
                }
            }
        }
        return all.stream()
                .filter(l -> asks.containsKey(l.id()))
                .map(l -> new Loop(
                        l.id(),
                        l.title(),
                        l.steps().stream()
                                .map(s -> s.forSites(asks.get(l.id()).sites()))
                                .toList()))
                .toList();
    }

    private static List<String> leadsInto(Step s) {
        return Stream.concat(
                        s.gate().stream().flatMap(g -> g.branches().stream()).map(Gate.Branch::loop),
                        s.watches().stream().map(Watch::loop))
                .filter(id -> !id.isEmpty())
                .toList();
    }

    private <T> List<T> all(Function<Plan, List<T>> each) {
        return plans.stream().flatMap(p -> each.apply(p).stream()).toList();
    }

    /** What every site begins with before it is sanded, as the first of them has it. */
    private static List<Step> common(List<List<Step>> own) {
        return head(own.getFirst()).stream()
                .filter(s -> own.stream().allMatch(o -> head(o).stream().anyMatch(x -> alike(s, x))))
                .toList();
    }

    private static List<Step> head(List<Step> steps) {
        return steps.stream()
                .takeWhile(s -> s.kind() == Step.Kind.DO || s.kind() == Step.Kind.GATE)
                .toList();
    }

    /** Place of the first of {@code steps} that is like one of {@code some}. */
    private static int first(List<Step> steps, List<Step> some) {
        for (int i = 0; i < steps.size(); i++) {
            Step s = steps.get(i);
            if (some.stream().anyMatch(x -> alike(x, s))) {
                return i;
            }
        }
        return steps.size();
    }

    /** The sites that end with the same, most of them; none where each ends its own way. */
    private static List<Integer> endAlike(List<List<Step>> own) {
        List<Integer> most = List.of();
        for (List<Step> a : own) {
            List<Integer> same = new ArrayList<>();
            for (int k = 0; k < own.size(); k++) {
                if (alike(a.getLast(), own.get(k).getLast())) {
                    same.add(k);
                }
            }
            most = same.size() > Math.max(1, most.size()) ? List.copyOf(same) : most;
        }
        return most;
    }

    /** How many steps from the end all of {@code own} have in common. */
    private static int tail(List<List<Step>> own) {
        int least = own.stream().mapToInt(List::size).min().orElse(0);
        for (int i = 0; i < least; i++) {
            int back = i + 1;
            Step a = own.getFirst().get(own.getFirst().size() - back);
            boolean ofItsSite = a.kind() == Step.Kind.SAND || a.asks().contains(Quantity.SPOT_MM);
            if (ofItsSite || !own.stream().allMatch(s -> alike(a, s.get(s.size() - back)))) {
                return i;
            }
        }
        return least;
    }

    /** The same step of the same name, word for word: two methods may call different steps alike. What it takes and how long is its site's. */
    private static boolean alike(Step a, Step b) {
        return a.kind() == b.kind()
                && a.acts().equals(b.acts())
                && Site.bare(a.id()).equals(Site.bare(b.id()))
                && a.title().equals(b.title())
                && a.mix().isEmpty()
                && b.mix().isEmpty()
                && a.watches().isEmpty()
                && b.watches().isEmpty();
    }

    /** {@code some} done once: its hands over all of their zones, which may lie on each other. */
    private Step shared(List<String> sites, List<Step> some) {
        Step a = some.getFirst();
        double most = some.stream().mapToDouble(Step::activeMin).max().orElse(0);
        double sum = some.stream().mapToDouble(Step::activeMin).sum();
        // What takes as long however large the place is, is about the whole part.
        boolean whole = some.stream().allMatch(s -> s.activeMin() == a.activeMin());
        return a.forSites(sites).lasting(whole ? most : Math.max(most, sum * overlap(a.zone())));
    }

    /** What of their areas together the zones of one kind cover; 1 where there is none to go by. */
    private double overlap(Optional<Zone.Kind> kind) {
        double sum = drawings.stream().mapToDouble(d -> areaMm2(d, kind)).sum();
        return sum == 0 ? 1 : Math.min(1, areaMm2(whole, kind) / sum);
    }

    private static double areaMm2(Drawing d, Optional<Zone.Kind> kind) {
        return d.zones().stream()
                .filter(z -> kind.filter(k -> k == z.kind()).isPresent())
                .mapToDouble(DrawnZone::areaMm2)
                .sum();
    }

    /** What one site has still to do. */
    private static final class Queue {
        private final List<Step> steps;
        private int next;
        private double readyAt;

        /** The wait that hands left at. */
        private Optional<Step> waits = Optional.empty();

        Queue(List<Step> steps) {
            this.steps = steps;
        }

        boolean done() {
            return next >= steps.size();
        }

        double rest() {
            return steps.subList(next, steps.size()).stream()
                    .mapToDouble(Step::lastsMin)
                    .sum();
        }
    }

    private static String site(List<Step> steps) {
        return steps.getFirst().sites().getFirst();
    }

    /**
     * The bodies one stretch after the other: of those whose cure is over the one with most still before it; none is left but where it cures.
     * What {@code ends} end with in common comes when the last of them is so far.
     */
    private static List<Step> inTurn(List<List<Step>> bodies, List<Integer> ends, List<Step> end) {
        List<Queue> all = bodies.stream().map(Queue::new).toList();
        List<Queue> open = new ArrayList<>(all);
        List<Queue> first = ends.stream().map(all::get).toList();
        boolean ended = end.isEmpty();
        List<Step> out = new ArrayList<>();
        double now = 0;
        while (!open.isEmpty() || !ended) {
            open.removeIf(x -> x.done() && x.waits.isEmpty());
            if (!ended && first.stream().noneMatch(open::contains)) {
                open.add(new Queue(end));
                ended = true;
            }
            if (open.isEmpty()) {
                continue;
            }
            double at = now;
            Queue q = open.stream()
                    .filter(x -> x.readyAt <= at)
                    .max(Comparator.comparingDouble(Queue::rest))
                    .orElseGet(() -> open.stream()
                            .min(Comparator.comparingDouble(x -> x.readyAt))
                            .orElseThrow());
            now = Math.max(now, q.readyAt);
            q.waits.ifPresent(out::add);
            q.waits = Optional.empty();
            while (!q.done() && !leaves(q, q.next)) {
                Step s = q.steps.get(q.next++);
                out.add(s);
                now += s.lastsMin();
            }
            if (!q.done()) {
                List<Step> wait = CleanUp.apart(q.steps.get(q.next++));
                out.addAll(wait.subList(0, wait.size() - 1));
                q.waits = Optional.of(wait.getLast());
                q.readyAt = now + wait.getLast().waitMin();
                now += wait.stream().mapToDouble(Step::activeMin).sum();
            }
        }
        return out;
    }

    /** Whether hands may leave at the wait {@code i}: what was laid cures by itself in the air, or rests long, and nothing shuts meanwhile. */
    private static boolean leaves(Queue q, int i) {
        if (i == 0 || i + 1 >= q.steps.size()) {
            return false;
        }
        Step s = q.steps.get(i);
        boolean cures = q.steps.get(i - 1).kind() == Step.Kind.SPREAD
                && s.clock().filter(c -> !c.waitId().isEmpty()).isPresent();
        boolean rests = s.waitMin() >= LONG_MIN && !q.steps.get(i - 1).goesLive();
        return s.kind() == Step.Kind.WAIT
                && (cures || rests)
                && s.waitMin() > 0
                && s.acts().stream().noneMatch(STAYS::contains)
                && q.steps.get(i + 1).acts().stream().noneMatch(SHUTS::contains)
                && !s.resources().contains(Step.Resource.LAMP)
                && !s.resources().contains(Step.Resource.OVEN);
    }

    private Ladder ladder() {
        Ladder a = plans.getFirst().ladder();
        return new Ladder(
                plans.stream().flatMap(p -> p.ladder().rungs().stream()).toList(),
                plans.stream().mapToDouble(p -> p.ladder().ratioLimit()).max().orElse(a.ratioLimit()),
                a.school(),
                plans.stream()
                        .mapToDouble(p -> p.ladder().scratchLeftUm())
                        .max()
                        .orElse(a.scratchLeftUm()),
                plans.stream().mapToDouble(p -> p.ladder().minutes()).sum(),
                "");
    }

    private List<Shopping> shopping() {
        Map<String, Double> needed = new LinkedHashMap<>();
        plans.stream()
                .flatMap(p -> p.shopping().stream())
                .forEach(s -> needed.merge(s.itemId(), s.needed(), Double::sum));
        return Shopping.of(needed, shop.shelf());
    }

    /** What the order of steps breaks at each site, and what its papers do. */
    private List<Interlock.Broken> broken(List<Step> laid, List<Step> edited) {
        List<Interlock.Broken> out = new ArrayList<>(all(Plan::broken));
        for (Plan p : plans) {
            String site = p.steps().getFirst().step().sites().getFirst();
            Interlock.broken(at(site, laid), at(site, edited)).stream()
                    .filter(b -> out.stream()
                            .noneMatch(o -> o.interlock().equals(b.interlock())
                                    && o.step().equals(b.step())))
                    .forEach(out::add);
        }
        return List.copyOf(out);
    }

    private static List<Step> at(String site, List<Step> steps) {
        return steps.stream()
                .filter(s -> s.sites().isEmpty() || s.sites().contains(site))
                .toList();
    }
}
