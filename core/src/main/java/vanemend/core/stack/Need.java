package vanemend.core.stack;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import vanemend.core.damage.Blemish;
import vanemend.core.damage.Crack;
import vanemend.core.damage.Damage;
import vanemend.core.damage.Dent;
import vanemend.core.damage.Hairline;
import vanemend.core.damage.Injury;
import vanemend.core.damage.Missing;
import vanemend.core.damage.Scratch;
import vanemend.core.damage.Seam;
import vanemend.core.material.MaterialClass.Surface;
import vanemend.core.material.ShelfItem;
import vanemend.core.part.Family;
import vanemend.core.part.MadeOf;
import vanemend.core.part.Metal;
import vanemend.core.part.Part;
import vanemend.core.part.Plastic;
import vanemend.core.trade.HouseRules;
import vanemend.core.trade.Schools;
import vanemend.core.trade.TradeBook;
import vanemend.core.verdict.GelcoatDepth;
import vanemend.core.verdict.Limits;

/**
 * What is asked of the shelf.
 *
 * @param material what the part counts as
 * @param airC shop air, °C
 * @param today date for expiry
 * @param own what was chosen on this repair alone, option by question
 * @param heatCapC hottest the part may get, °C; empty where it has no cap of its own
 * @param times times of an item at today's temperature
 */
public record Need(
        Part part,
        MadeOf material,
        List<Damage> damages,
        double airC,
        LocalDate today,
        HouseRules house,
        Map<String, String> own,
        OptionalDouble heatCapC,
        Times times) {

    /** Times of an item at today's temperature; supplied from outside, since curing is a later station. */
    public interface Times {
        /** Minutes to sand, empty where it does not cure or has no label time. */
        OptionalDouble sandMin(ShelfItem item);

        /** Work time, min, at the dose that will be used; empty where the label gives none. */
        OptionalDouble workMin(ShelfItem item);
    }

    /** The family the part behaves as. */
    public Family family() {
        return material == MadeOf.COMPOSITE
                ? Family.COMPOSITE
                : part.substrate().family();
    }

    /** Deepest dent, scratch, chip or low along a seam, mm; 0 without any. */
    public double deepestMm() {
        double deep = 0;
        for (Damage d : damages) {
            deep = Math.max(
                    deep,
                    switch (d) {
                        case Dent x when x.filled() -> x.depthMm();
                        case Scratch s -> s.depthMm();
                        case Blemish b -> b.depthMm();
                        case Seam s -> s.depthMm();
                        default -> 0;
                    });
        }
        return deep;
    }

    /** The widest injury of a tyre, mm; 0 without any. */
    public double injuryMm() {
        return damages.stream()
                .filter(Injury.class::isInstance)
                .mapToDouble(d -> ((Injury) d).diameterMm())
                .max()
                .orElse(0);
    }

    /** The largest damage across, mm. */
    public double acrossMm() {
        return damages.stream()
                .mapToDouble(d -> {
                    org.locationtech.jts.geom.Envelope e = d.outline().getEnvelopeInternal();
                    return Math.hypot(e.getWidth(), e.getHeight());
                })
                .max()
                .orElse(0);
    }

    /** What filler or adhesive sits on once the part is prepared. */
    public Surface ground() {
        return part.substrate() instanceof Metal m ? metalGround(part, m, house) : bare();
    }

    /** What filler in sheet metal sits on, by house rule. */
    public static Surface metalGround(Part part, Metal metal, Schools house) {
        return switch (house.of("filler-base")) {
            case "epoxy-primer" -> Surface.EPOXY_PRIMER;
            case "bare-metal" -> bareMetal(metal);
            case "whole-paint" -> Surface.SANDED_COAT;
            default -> part.coatsMm(true) > 0 ? Surface.SANDED_COAT : bareMetal(metal);
        };
    }

    /** The part's own material. */
    public Surface bare() {
        return switch (family()) {
            case METAL -> bareMetal((Metal) part.substrate());
            case COMPOSITE -> Surface.COMPOSITE;
            case POLYOLEFIN -> Surface.POLYOLEFIN;
            case STYRENIC -> abs() ? Surface.ABS : Surface.STYRENIC;
            case ENGINEERING -> Surface.ENGINEERING;
            case POLYAMIDE -> Surface.POLYAMIDE;
            case FLEXIBLE_THERMOSET -> Surface.FLEXIBLE_THERMOSET;
            case GLASS -> Surface.GLASS;
            case RUBBER -> Surface.RUBBER;
            case FILM -> Surface.CLEAR;
        };
    }

    /** What a metal is where nothing is left on it. */
    public static Surface bareMetal(Metal metal) {
        return switch (metal.kind()) {
            case GALVANISED_STEEL -> Surface.GALVANISED;
            case ALUMINIUM -> Surface.ALUMINIUM;
            case MILD_STEEL, STAINLESS_STEEL, MAGNESIUM, ZINC, UNKNOWN -> Surface.STEEL;
        };
    }

    /** Whether {@code condition} holds; putty alone is settled by the shelf and not asked here. */
    boolean holds(Recipe.When condition) {
        return switch (condition) {
            case BOTH_SIDES ->
                part.reach() == Part.Reach.BOTH_SIDES
                        || damages.stream().allMatch(Scratch.class::isInstance) && material == MadeOf.COMPOSITE;
            case THROUGH -> through();
            case NOT_THROUGH -> !through();
            case OUTER_LAYER -> !through();
            case SHORT ->
                damages.stream()
                        .mapToDouble(Need::lengthMm)
                        .allMatch(l -> l <= TradeBook.value("stack.hairline-short"));
            case SMALL -> acrossMm() <= TradeBook.value("stack.polyester-small");
            case ROOM_38 ->
                damages.stream()
                        .allMatch(d -> !(d instanceof Missing m) || m.soundMm() >= TradeBook.value("stack.patch-past"));
            case ABS -> abs();
            case TRIM -> trim();
            case NOT_TRIM -> !trim();
            case GELCOAT -> GelcoatDepth.alone(part, damages);
            case NOT_GELCOAT -> !GelcoatDepth.alone(part, damages);
            case HOLLOW -> !coatsDeep();
            case COATS_DEEP -> coatsDeep();
            case PUTTY_ALONE, NOT_PUTTY_ALONE -> true;
            case ANGLE_SQUARE -> !slanted();
            case ANGLE_SLANT -> slanted();
        };
    }

    private static double lengthMm(Damage d) {
        return d instanceof Hairline h ? h.trace().lengthMm() : d instanceof Crack c ? c.lengthMm() : 0;
    }

    private boolean through() {
        return damages.stream().anyMatch(d -> switch (d) {
            case Crack c -> c.depth() == Crack.Depth.THROUGH;
            case vanemend.core.damage.Hole h -> true;
            case Missing m -> true;
            case Scratch s -> backed(s.depthMm());
            case Blemish b when b.kind() == Damage.Kind.RASH -> backed(b.depthMm());
            default -> false;
        });
    }

    /** Whether what is {@code deepMm} in a plastic wall leaves too little of it to do without a back. */
    private boolean backed(double deepMm) {
        return part.substrate() instanceof Plastic p
                && deepMm > TradeBook.value("gouge.backed-from") / 100 * p.thicknessMm();
    }

    /** Whether no scratch or chip is deeper than coats are thick, and there is no dent. */
    private boolean coatsDeep() {
        double most = TradeBook.value("scratch.putty-from");
        return damages.stream().allMatch(d -> switch (d) {
            case Scratch s -> s.depthMm() <= most;
            case Blemish b -> b.depthMm() <= most;
            default -> false;
        });
    }

    private boolean trim() {
        return damages.stream().allMatch(d -> d instanceof Blemish b && b.kind() != Damage.Kind.RASH);
    }

    private boolean abs() {
        return part.substrate() instanceof Plastic p
                && p.mark()
                        .map(m -> m.main().polymers())
                        .filter(s -> s.equals("ABS") || s.equals("ASA"))
                        .isPresent();
    }

    private boolean slanted() {
        double square = Limits.rule("tyre-angle").upTo().orElseThrow();
        return damages.stream().anyMatch(d -> d instanceof Injury i && i.angleDeg() > square);
    }

    /** Whether its last papers are used damp: on gelcoat, and on surfacer that is blocked here. */
    boolean sandsDamp() {
        return GelcoatDepth.alone(part, damages) || !house.is("surfacer", "paint-shop");
    }

    /** Whether a dent is wider than putty alone is used for. */
    boolean tooWideForPutty() {
        return widestDentMm() > TradeBook.value("stack.putty-alone-across");
    }

    private double widestDentMm() {
        return damages.stream()
                .filter(Dent.class::isInstance)
                .map(Dent.class::cast)
                .filter(Dent::filled)
                .mapToDouble(d -> Math.max(d.lengthMm(), d.widthMm()))
                .max()
                .orElse(0);
    }

    /** Whether putty alone fills it: shallow by the limits, no wider than it is used for, and within what {@code putty}'s label holds. */
    boolean puttyAlone(Optional<ShelfItem> putty) {
        double shallow = Limits.rule("metal-shallow").upTo().orElseThrow();
        return deepestMm() < shallow
                && !tooWideForPutty()
                && putty.isPresent()
                && deepestMm() <= putty.get().typical("maxFinishedMm");
    }
}
