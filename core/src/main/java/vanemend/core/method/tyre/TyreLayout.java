package vanemend.core.method.tyre;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.cure.Flash;
import vanemend.core.damage.Injury;
import vanemend.core.damage.Oval;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Grown;
import vanemend.core.footprint.Piece;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.UnitSize;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.Portion;
import vanemend.core.mix.Portions;
import vanemend.core.part.Tyre;
import vanemend.core.sanding.Ladder;
import vanemend.core.sanding.SurfaceLadder;
import vanemend.core.section.Cut;
import vanemend.core.section.Layer;
import vanemend.core.section.Section;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Text;
import vanemend.core.verdict.Crown;

/** Tyre crown injury: channel at the injury's angle, template, cement, unit, sealer. */
final class TyreLayout extends Layout {
    private static final double ROUND = 1e4;

    private final Tyre tyre;
    private final Injury injury;

    TyreLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.tyre = (Tyre) job.part().substrate();
        this.injury = job.all(Injury.class).getFirst();
    }

    private Optional<UnitSize> size() {
        return item(Role.REINFORCE).flatMap(ShelfItem::unitSize);
    }

    /** Cut to the stem that fills it; as wide as the injury where no unit fits. */
    private double channelMm() {
        return size().map(UnitSize::stemMm).orElse(injury.diameterMm());
    }

    /** How far the patch reaches past the channel, all round. */
    private double unitPastMm() {
        return size().map(u -> (u.capMm() - u.stemMm()) / 2).orElse(0.0);
    }

    private boolean twoPiece() {
        return job.recipe().when().contains(Recipe.When.ANGLE_SLANT);
    }

    @Override
    public Laid laid() {
        double channel = channelMm();
        Geometry inside = new Oval(injury.innerXMm(), injury.yMm(), channel, channel, 0).polygon();
        Grown back = Grown.on(part(), inside);
        double unit = unitPastMm();
        double buff = unit + value("tyre.buff-past");
        double seal = buff + value("tyre.seal-past");
        Footprint laid = back.out(Zone.Kind.UNIT, unit)
                .out(Zone.Kind.BUFF, buff)
                .out(Zone.Kind.SEALED, seal)
                .footprint();
        Footprint f = Grown.on(part(), job.outline())
                .shape(Zone.Kind.CHANNEL, 0, new Oval(injury.xMm(), injury.yMm(), channel, channel, 0).polygon())
                .out(Zone.Kind.CLEAN, value("dent.clean-past"))
                .shape(Zone.Kind.UNIT, unit, laid.zone(Zone.Kind.UNIT).shape())
                .shape(Zone.Kind.BUFF, buff, laid.zone(Zone.Kind.BUFF).shape())
                .shape(Zone.Kind.SEALED, seal, laid.zone(Zone.Kind.SEALED).shape())
                .footprint();
        Ladder ladder = byHand(SurfaceLadder.of(
                f,
                job.stack().papers(),
                List.of(),
                "none: buffed to an even fine texture, at most " + Text.book("tyre.buff-rpm")));
        if (blockers.isEmpty()) {
            amounts(f);
        }
        TyreInjury.Injury cut = new TyreInjury.Injury(
                injury.angleDeg(),
                injury.diameterMm(),
                channel,
                injury.innerRead()
                        ? Math.max(Crown.steepestDeg(tyre, injury.xMm()), injury.angleDeg())
                        : Crown.steepestDeg(tyre, injury.xMm()),
                twoPiece(),
                tyre.use() == Tyre.Use.TRUCK);
        String mark = tyre.size().isEmpty() ? tyre.word() : tyre.word() + ", " + tyre.size();
        return laid(mark, f, () -> section(), ladder, () -> TyreInjury.lay(kit(f, ladder), tyre, cut));
    }

    private void amounts(Footprint f) {
        ShelfItem unit = need(Role.REINFORCE);
        amounts.portion(Portions.pieces(
                "unit",
                twoPiece() ? "Stem and patch" : "Combination unit",
                unit,
                1,
                "stem for a channel of " + Text.of(channelMm(), "mm")));
        ShelfItem cement = need(Role.CEMENT);
        amounts.portion(Portions.coats(
                "cement",
                "Cement",
                Portion.Form.BRUSHED,
                cement,
                f.areaMm2(Zone.Kind.BUFF) * value("tyre.cement-coats")
                        + Math.PI * channelMm() * tyre.crownMm() * value("tyre.cement-channel-most"),
                1,
                "coat.cement"));
        double dry = cement.materialClass().figure("dry").orElse(value("tyre.cement-dry"))
                * Math.max(1, Flash.factor(job.shop().air()));
        waits.still(
                "cement",
                "Cement: touch from",
                cement.name(),
                dry,
                "Tacky, not wet?",
                "label " + Text.book("tyre.cement-dry-from") + " to " + Text.book("tyre.cement-dry-to")
                        + ", stretched by today's air; recalled, verify");
        waits.still(
                "rest",
                "Rest: inflate from",
                unit.name(),
                Math.max(value("tyre.rest"), unit.flashMin().orElse(0.0)),
                "Sealer dry, every edge still down?",
                "the label's rest where it is longer; " + Text.book("tyre.rest") + " where there is none");
        ShelfItem sealer = need(Role.SEAL);
        amounts.portion(Portions.coats(
                "sealer",
                "Liner sealer",
                Portion.Form.BRUSHED,
                sealer,
                f.areaMm2(Zone.Kind.SEALED) - f.areaMm2(Zone.Kind.UNIT),
                1,
                "coat.cement"));
        amounts.coats(
                "clean",
                "Rubber cleaner, three rounds",
                Portion.Form.WIPED,
                Role.CLEAN,
                Zone.Kind.SEALED,
                f,
                3,
                "coat.wipe");
        pieces.add(Piece.of(
                "template",
                "Buff template",
                "mark on the liner",
                1,
                Zone.Side.BACK,
                f.zone(Zone.Kind.BUFF).shape()));
    }

    /** Drawn with the channel upright, then leaned by the injury's angle about the tread's face. */
    private Section section() {
        double r = channelMm() / 2;
        double crown = tyre.crownMm();
        double liner = value("tyre.liner");
        double patch = value("tyre.unit-thickness");
        double past = unitPastMm();
        double tread = Math.min(tyre.treadDepthMm(), crown * 0.6);
        double x0 = injury.xMm();
        double lean = (injury.innerXMm() - injury.xMm()) / -(crown);
        double from = x0 - past - 20;
        double to = x0 + past + 20;
        double step = (to - from) / 140;
        DoublePredicate in = x -> Math.abs(x - x0) < r + step / 2;
        DoublePredicate under = x -> Math.abs(x - x0) < past + r;
        double base = -crown - liner;
        double wet = value("tyre.cement-thickness");
        double sealed = past + r + value("tyre.buff-past") + value("tyre.seal-past");
        DoublePredicate round = x -> !under.test(x) && Math.abs(x - x0) < sealed;
        Section upright = new Cut(cutY(), from, to, x -> base - (under.test(x) ? patch : round.test(x) ? wet : 0))
                .layer("sealer", "Liner sealer", "coat", x -> round.test(x) ? base : -1e3)
                .layer("unit", twoPiece() ? "Patch" : "Unit, patch", "rubber", x -> under.test(x) ? base - wet : -1e3)
                .layer("cement", "Cushion and cement", "promoter", x -> under.test(x) ? base : -1e3)
                .layer("liner", "Liner", "coat", x -> in.test(x) ? -1e3 : -crown)
                .layer("plies", "Plies and belts", "cloth", x -> in.test(x) ? -1e3 : -tread)
                .layer("tread", "Tread", "part", x -> in.test(x) ? -1e3 : 0)
                .layer("stem", "Stem", "rubber", x -> in.test(x) ? value("tyre.stem-proud") : -1e3)
                .section();
        List<Layer> leaned = new ArrayList<>();
        for (Layer l : upright.layers()) {
            List<Double> bent = bentAt(bentAt(l.xz(), -crown), 0);
            List<Double> xz = new ArrayList<>();
            for (int i = 0; i < bent.size(); i += 2) {
                double z = bent.get(i + 1);
                xz.add(Math.round((bent.get(i) + Math.clamp(z, -crown, 0) * lean) * ROUND) / ROUND);
                xz.add(z);
            }
            leaned.add(new Layer(l.id(), l.word(), l.kind(), l.hatch(), l.thickestMm(), l.areaMm2(), xz));
        }
        return new Section(
                upright.cutYMm(),
                upright.fromXMm(),
                upright.toXMm(),
                upright.lowestMm(),
                upright.highestMm(),
                leaned,
                upright.proud(),
                upright.proudMm());
    }

    /** {@code xz} with a corner wherever its line passes height {@code at}: where the leaning begins and ends. */
    private static List<Double> bentAt(List<Double> xz, double at) {
        List<Double> out = new ArrayList<>();
        int n = xz.size();
        for (int i = 0; i < n; i += 2) {
            double x = xz.get(i);
            double z = xz.get(i + 1);
            double nextX = xz.get((i + 2) % n);
            double nextZ = xz.get((i + 3) % n);
            out.add(x);
            out.add(z);
            if ((z - at) * (nextZ - at) < 0) {
                out.add(x + (nextX - x) * (at - z) / (nextZ - z));
                out.add(at);
            }
        }
        return out;
    }

    @Override
    protected double cutY() {
        return job.wishes().cutYMm().orElseGet(() -> injury.yMm());
    }
}
