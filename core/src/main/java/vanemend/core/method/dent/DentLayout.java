package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.damage.Scratch;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Reach;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.method.MixPlan;
import vanemend.core.mix.Again;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Tin;
import vanemend.core.part.Metal;
import vanemend.core.sanding.Ladder;
import vanemend.core.section.Section;
import vanemend.core.stack.Need;
import vanemend.core.stack.StackChoice;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** Footprint, section, mixes, ladder and steps of dents in sheet metal. */
final class DentLayout extends Layout {
    private final Metal metal;
    private final DepthField field;
    private final List<Own> owns;
    private List<DentFill.Serving> servings = List.of();

    /**
     * A dent, scratch or chip of the draft.
     *
     * @param damage its place there
     * @param field its hollows
     * @param scratch whether it is a scratch or a chip
     */
    private record Own(int damage, DepthField field, boolean scratch) {
        /** What a mm more of it takes, mm³. */
        double perMm() {
            return field.volumeMm3() / field.deepest().depthMm();
        }
    }

    DentLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.metal = (Metal) job.part().substrate();
        List<Dent> hollows = new ArrayList<>(
                job.all(Dent.class).stream().filter(Dent::filled).toList());
        job.all(Scratch.class).forEach(s -> hollows.addAll(s.hollows()));
        job.all(Blemish.class).forEach(b -> hollows.add(b.hollow()));
        this.field = new DepthField(hollows);
        this.owns = owns();
    }

    @Override
    public Laid laid() {
        StackChoice stack = job.stack();
        Map<Zone.Kind, Double> past = whole() ? DentFootprint.distancesOverPaint() : DentFootprint.distances();
        Footprint footprint =
                DentFootprint.of(part(), field, stack.puttyAlone() ? DentFootprint.withoutFiller(past) : past);
        Ladder ladder = byHand(DentLadder.of(footprint, job.house(), stack.papers(), !stack.puttyAlone()));
        ladderHolds(ladder);
        Optional<Double> primer = stack.item(Role.PRIME)
                .map(i -> job.times().law(i).sandMinAt(airC(), 1).orElse(-1));
        if (blockers.isEmpty()) {
            stack.item(Role.FILL).ifPresent(i -> servings = fillerMixes(i, footprint));
            puttyMix(need(Role.FINISH), footprint, stack.puttyAlone());
            if (primer.isPresent() && primer.get() < 0) {
                blockers.add("Epoxy primer does not cure at " + Text.of(airC(), "°C") + ": warm the shop.");
            }
            amounts.coats(
                    "clean", "Cleaner", Portion.Form.WIPED, Role.CLEAN, Zone.Kind.CLEAN, footprint, 2, "coat.wipe");
            amounts.coats(
                    "primer",
                    "Primer",
                    Portion.Form.SPRAYED,
                    Role.PRIME,
                    Zone.Kind.OPENING,
                    footprint,
                    1,
                    "coat.primer");
        }
        return laid(
                mark(),
                footprint,
                () -> section(footprint),
                ladder,
                () -> DentFill.lay(
                        kit(footprint, ladder),
                        new DentFill.Found(hollows(), servings, whole(), puttyMostMm(), primer, sealerDryMin(stack))));
    }

    private List<Own> owns() {
        List<Own> out = new ArrayList<>();
        for (int i = 0; i < job.damages().size(); i++) {
            List<Dent> own = switch (job.damages().get(i)) {
                case Dent d when d.filled() -> List.of(d);
                case Scratch s -> s.hollows();
                case Blemish b -> List.of(b.hollow());
                default -> List.of();
            };
            if (!own.isEmpty()) {
                out.add(new Own(i, new DepthField(own), !(job.damages().get(i) instanceof Dent)));
            }
        }
        return List.copyOf(out);
    }

    /** Each dent or scratch with what a mm more of it takes, as a share of what a mm more of the largest takes. */
    private List<DentFill.Hollow> hollows() {
        return owns.stream()
                .map(o -> new DentFill.Hollow(
                        o.damage(), o.field().deepest().depthMm(), o.perMm() / largestPerMm(), o.scratch()))
                .toList();
    }

    private double largestPerMm() {
        return owns.stream().mapToDouble(Own::perMm).max().orElseThrow();
    }

    private DepthField together(List<Integer> hollows) {
        return new DepthField(hollows.stream()
                .flatMap(i -> owns.get(i).field().dents().stream())
                .toList());
    }

    /** The stricter of the aim for what is left after straightening and of what the putty holds finished. */
    private double puttyMostMm() {
        return Math.min(
                TradeBook.shipped().turn("limit.metal-shallow.upTo").value(),
                job.stack()
                        .item(Role.FINISH)
                        .map(i -> i.typical("maxFinishedMm"))
                        .orElse(Double.MAX_VALUE));
    }

    private boolean whole() {
        return job.house().is("filler-base", "whole-paint");
    }

    private Optional<Double> sealerDryMin(StackChoice stack) {
        OptionalDouble today =
                stack.item(Role.PINHOLE).map(i -> job.times().sandMin(i)).orElse(OptionalDouble.empty());
        return today.isPresent() ? Optional.of(today.getAsDouble()) : Optional.empty();
    }

    /**
     * One mix for all where hands lay it in time; else a mix for as many dents as they lay, the largest first. Dents whose filler meets stay
     * together.
     */
    private List<DentFill.Serving> fillerMixes(ShelfItem item, Footprint f) {
        List<Integer> all = IntStream.range(0, owns.size()).boxed().toList();
        Geometry over = f.zone(Zone.Kind.FILLER).shape();
        List<Island> islands = islands(over);
        Again again = again(islands);
        MixPlan lump = filler("filler", "Filler", item, field, over, again);
        if (lump.pour().batches() == 1 || islands.size() == 1 || !blockers.isEmpty()) {
            return List.of(new DentFill.Serving("filler", all));
        }
        double gramsPerMl = lump.pour().fillerG()
                * lump.pour().batches()
                / volume(field, over).totalMl();
        double most = lump.pour().again().orElseThrow().most() / gramsPerMl;
        List<List<Island>> mixes = new ArrayList<>();
        double room = 0;
        for (Island i : islands) {
            double ml = Math.max(
                    volume(together(i.hollows()), i.over()).totalMl(),
                    layMin(together(i.hollows())) * job.shop().spreadMlPerMin());
            if (mixes.isEmpty() || ml > room) {
                mixes.add(new ArrayList<>());
                room = most;
            }
            mixes.getLast().add(i);
            room -= ml;
        }
        List<DentFill.Serving> out = new ArrayList<>();
        for (List<Island> mix : mixes) {
            List<Integer> hollows =
                    mix.stream().flatMap(i -> i.hollows().stream()).sorted().toList();
            DepthField own = together(hollows);
            Geometry where = over.getFactory()
                    .buildGeometry(mix.stream().map(Island::over).toList());
            String id = out.isEmpty() ? "filler" : "filler-" + (out.size() + 1);
            filler(id, "Filler, " + DentFill.called(job, drawn(hollows)), item, own, where, again);
            out.add(new DentFill.Serving(id, hollows));
        }
        return List.copyOf(out);
    }

    private List<Integer> drawn(List<Integer> hollows) {
        return hollows.stream().map(i -> owns.get(i).damage()).toList();
    }

    /**
     * Dents that are filled together.
     *
     * @param hollows places among the dents and scratches
     * @param over where their filler lies
     */
    private record Island(List<Integer> hollows, Geometry over) {}

    /** The largest first. */
    private List<Island> islands(Geometry over) {
        List<Island> out = new ArrayList<>();
        for (int k = 0; k < over.getNumGeometries(); k++) {
            Geometry one = over.getGeometryN(k);
            List<Integer> in = IntStream.range(0, owns.size())
                    .filter(i -> meets(one, owns.get(i).field().outline()))
                    .boxed()
                    .toList();
            if (!in.isEmpty()) {
                out.add(new Island(in, one));
            }
        }
        out.sort(Comparator.comparingDouble((Island i) -> together(i.hollows()).volumeMm3())
                .reversed());
        return out;
    }

    /** Whether {@code hollow} lies on {@code island}: a corner of it that does is proof enough, and found far sooner than by all of it. */
    private static boolean meets(Geometry island, Geometry hollow) {
        return SimplePointInAreaLocator.locate(hollow.getCoordinate(), island) != Location.EXTERIOR
                || island.intersects(hollow);
    }

    private MixPlan filler(String id, String title, ShelfItem item, DepthField own, Geometry over, Again again) {
        double past = value(whole() ? "over-paint.filler-past" : "dent.filler-past");
        Zone zone = new Zone(Zone.Kind.FILLER, past, over);
        Tin tin = amounts.thinned(item, Need.metalGround(part(), metal, job.house()));
        return amounts.tin(id, title, tin, volume(own, over), own.deepest().depthMm(), zone, again, layMin(own));
    }

    /** Least that hands take for these hollows, min: each small ding is gone to, laid and drawn off, whatever goes into it. */
    private static double layMin(DepthField own) {
        return own.dents().stream().mapToDouble(DentLayout::laySeconds).sum() / 60;
    }

    private static double laySeconds(Dent d) {
        if (d.acrossMm() <= value("dings.small")) {
            return value("dings.small-lay");
        }
        return d.acrossMm() <= value("dings.middling") ? value("dings.middling-lay") : 0;
    }

    private FillVolume volume(DepthField own, Geometry over) {
        return FillVolume.of(
                own.volumeMm3(),
                damageMm2(own),
                over.getArea(),
                offMm(),
                value("dent.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
    }

    private void puttyMix(ShelfItem item, Footprint f, boolean alone) {
        FillVolume volume = FillVolume.of(
                alone ? field.volumeMm3() : 0,
                f.areaMm2(DentFootprint.full(f)),
                f.areaMm2(Zone.Kind.PUTTY),
                alone ? offMm() : 0,
                value("dent.putty-spread"),
                0,
                value("mix.board-loss"));
        double deep = value("dent.putty-spread") + (alone ? field.deepest().depthMm() : 0);
        Again again = puttyAgain(volume, f);
        amounts.tin(
                "putty",
                "Putty",
                Tin.of(item),
                volume,
                deep,
                f.zone(Zone.Kind.PUTTY),
                again,
                alone ? layMin(field) : 0);
    }

    /** A low spot lies in one dent: its coat is no wider than that dent's filler, or than the dent where the house corrects the spot only. */
    private Again again(List<Island> islands) {
        Island widest = islands.stream()
                .max(Comparator.comparingDouble(i -> i.over().getArea()))
                .orElseThrow();
        DepthField own = together(widest.hollows());
        return volume(own, widest.over())
                .again(
                        largestPerMm() / 1000,
                        round(
                                FillVolume.Round.overAll(value("dent.proud"), value("dent.tight-coat")),
                                damageMm2(own),
                                widest.over().getArea()));
    }

    private Again puttyAgain(FillVolume volume, Footprint f) {
        return volume.again(
                largestPerMm() / 1000,
                round(
                        FillVolume.Round.overAll(value("dent.putty-spread"), 0),
                        f.areaMm2(Zone.Kind.DAMAGE),
                        f.areaMm2(Zone.Kind.PUTTY)));
    }

    /** A round over all, or over the spot alone where the house corrects that. */
    private FillVolume.Round round(FillVolume.Round overAll, double damageMm2, double wholeMm2) {
        return job.house().is("local-correction", "spot") ? overAll.spot(damageMm2, wholeMm2) : overAll;
    }

    private double damageMm2(DepthField own) {
        return Reach.within(own.outline(), part().shape()).getArea();
    }

    private Section section(Footprint footprint) {
        return DentSection.of(
                footprint,
                field,
                new DentSection.Build(
                        metal.gaugeMm(), keptMm(), offMm(), !job.stack().puttyAlone()),
                cutY());
    }

    @Override
    protected double cutY() {
        return job.wishes().cutYMm().orElseGet(() -> field.deepest().yMm());
    }

    private boolean keepsGround() {
        return Need.metalGround(part(), metal, job.house()) == Surface.SANDED_COAT;
    }

    /** Coats that stay under the filler, mm. */
    private double keptMm() {
        if (whole()) {
            return part().coatsMm(true) + part().coatsMm(false);
        }
        return switch (Need.metalGround(part(), metal, job.house())) {
            case SANDED_COAT -> part().coatsMm(true);
            case EPOXY_PRIMER -> TradeBook.value("coat.epoxy-primer") / 1000;
            default -> 0;
        };
    }

    /** Coats that come off in the opening and are made up again, mm. */
    private double offMm() {
        return part().coatsMm(false) + part().coatsMm(true) - keptMm();
    }

    private String mark() {
        String coats = whole()
                ? "whole paint kept"
                : keepsGround()
                        ? part().coats().stream()
                                .filter(c -> c.kind().isGround())
                                .map(c -> c.kind().word())
                                .findFirst()
                                .map(w -> w + " kept")
                                .orElse("")
                        : job.house().is("filler-base", "epoxy-primer") ? "epoxy primed" : "bare";
        return metal.word() + " " + Text.of(metal.gaugeMm(), "mm") + (coats.isEmpty() ? "" : ", " + coats);
    }
}
