package vanemend.core.method.dent;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.damage.Dent;
import vanemend.core.damage.DepthField;
import vanemend.core.damage.Scratch;
import vanemend.core.footprint.Footprint;
import vanemend.core.footprint.Zone;
import vanemend.core.material.MaterialClass.Role;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.method.Job;
import vanemend.core.method.Laid;
import vanemend.core.method.Layout;
import vanemend.core.mix.Again;
import vanemend.core.mix.FillVolume;
import vanemend.core.mix.Portion;
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

    DentLayout(Job job, List<String> blockers) {
        super(job, blockers);
        this.metal = (Metal) job.part().substrate();
        List<Dent> hollows = new ArrayList<>(job.all(Dent.class));
        job.all(Scratch.class).forEach(s -> hollows.addAll(s.hollows()));
        this.field = new DepthField(hollows);
    }

    @Override
    public Laid laid() {
        StackChoice stack = job.stack();
        Footprint footprint = DentFootprint.of(part(), field);
        Ladder ladder = byHand(DentLadder.of(footprint, job.house(), stack.papers(), !stack.puttyAlone()));
        ladderHolds(ladder);
        Optional<Double> primer = stack.item(Role.PRIME)
                .map(i -> job.times().law(i).sandMinAt(airC(), 1).orElse(-1));
        if (blockers.isEmpty()) {
            stack.item(Role.FILL).ifPresent(i -> fillerMix(i, footprint));
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
                section(footprint),
                ladder,
                () -> DentFill.lay(
                        kit(footprint, ladder), new DentFill.Found(hollows(), whole(), primer, sealerDryMin(stack))));
    }

    /** Each dent or scratch with its share of what a mm more of all takes: volume over depth, of their sum. */
    private List<DentFill.Hollow> hollows() {
        List<DentFill.Hollow> out = new ArrayList<>();
        double all = field.volumeMm3() / field.deepest().depthMm();
        for (int i = 0; i < job.damages().size(); i++) {
            List<Dent> own = switch (job.damages().get(i)) {
                case Dent d -> List.of(d);
                case Scratch s -> s.hollows();
                default -> List.of();
            };
            if (!own.isEmpty()) {
                DepthField one = new DepthField(own);
                double deep = one.deepest().depthMm();
                out.add(new DentFill.Hollow(i, deep, one.volumeMm3() / deep / all));
            }
        }
        return List.copyOf(out);
    }

    private boolean whole() {
        return job.house().is("filler-base", "whole-paint");
    }

    private Optional<Double> sealerDryMin(StackChoice stack) {
        OptionalDouble today =
                stack.item(Role.PINHOLE).map(i -> job.times().sandMin(i)).orElse(OptionalDouble.empty());
        return today.isPresent() ? Optional.of(today.getAsDouble()) : Optional.empty();
    }

    private void fillerMix(ShelfItem item, Footprint f) {
        FillVolume volume = FillVolume.of(
                field.volumeMm3(),
                f.areaMm2(Zone.Kind.DAMAGE),
                f.areaMm2(Zone.Kind.FILLER),
                offMm(),
                value("dent.proud"),
                value("dent.tight-coat"),
                value("mix.board-loss"));
        Again again = again(volume, f, Zone.Kind.FILLER);
        amounts.tin("filler", "Filler", item, volume, field.deepest().depthMm(), f.zone(Zone.Kind.FILLER), again);
    }

    private void puttyMix(ShelfItem item, Footprint f, boolean alone) {
        FillVolume volume = FillVolume.of(
                alone ? field.volumeMm3() : 0,
                f.areaMm2(Zone.Kind.FEATHER),
                f.areaMm2(Zone.Kind.PUTTY),
                alone ? offMm() : 0,
                value("dent.putty-spread"),
                0,
                value("mix.board-loss"));
        double deep = value("dent.putty-spread") + (alone ? field.deepest().depthMm() : 0);
        Again again = again(volume, f, Zone.Kind.PUTTY);
        amounts.tin("putty", "Putty", item, volume, deep, f.zone(Zone.Kind.PUTTY), again);
    }

    /** A low spot lies in the dent; where the house corrects the spot only, the coat is no wider than the dent. */
    private Again again(FillVolume volume, Footprint f, Zone.Kind whole) {
        boolean spot = job.house().is("local-correction", "spot");
        double share = spot ? f.areaMm2(Zone.Kind.DAMAGE) / f.areaMm2(whole) : 1;
        return volume.again(field.volumeMm3() / 1000 / field.deepest().depthMm(), share);
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
