package vanemend.core.any;

import static vanemend.core.Seeds.between;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.damage.Damage;
import vanemend.core.material.MaterialClass;
import vanemend.core.material.ShelfItem;
import vanemend.core.material.ShelfItem.LabelTime;
import vanemend.core.method.Conditions;
import vanemend.core.part.MadeOf;
import vanemend.core.plan.RepairDraft;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.HouseRules;

/**
 * Any repair that a bench may meet: of every family, with one to three damages that the part can have, by any school, in any air a shop
 * has, off a shelf with gaps. Made by chance alone, so that a seed makes it again.
 *
 * @param draft what was typed
 * @param shop where it is planned
 */
public record AnyRepair(RepairDraft draft, Conditions shop) {
    private static final String[] METALS = {"MILD_STEEL", "GALVANISED_STEEL", "ALUMINIUM"};
    private static final String[] PLASTICS = {
        ">PP+EPDM-TD20<",
        ">PP<",
        ">PE-HD<",
        ">ABS<",
        ">ASA<",
        ">PC+ABS<",
        ">PC<",
        ">PA66-GF30<",
        ">PBT<",
        ">PUR<",
        ">POM<"
    };
    private static final String[] COMPOSITES = {"SMC", "HAND_LAID", "CARBON"};

    /** The repair that {@code r} makes. */
    public static AnyRepair of(Random r) {
        MadeOf made = MadeOf.values()[r.nextInt(MadeOf.values().length)];
        Sheet sheet = new Sheet(between(r, 150, 1800), between(r, 150, 1200));
        List<Damage.Kind> kinds = java.util.Arrays.stream(Damage.Kind.values())
                .filter(k -> k.on(made))
                .toList();
        List<String> damages = new ArrayList<>();
        int n = r.nextInt(3) == 0 ? 2 + r.nextInt(2) : 1;
        for (int i = 0; i < n; i++) {
            damages.add(damage(r, kinds.get(r.nextInt(kinds.size())), sheet));
        }
        RepairDraft typed = TestShop.job(part(r, made, sheet), damages.toArray(String[]::new));
        Map<String, DryingRoute.Kind> dryings = new HashMap<>();
        DryingRoute.Kind[] routes = DryingRoute.Kind.values();
        if (r.nextInt(4) == 0) {
            dryings.put(r.nextBoolean() ? "filler" : "face", routes[r.nextInt(routes.length)]);
        }
        List<String> ways = Recipe.all().stream().map(Recipe::id).toList();
        RepairDraft draft = new RepairDraft(
                typed.part(),
                typed.damages(),
                Map.of(),
                r.nextInt(3) > 0 ? DryingRoute.Kind.AIR : routes[r.nextInt(routes.length)],
                Map.of(),
                r.nextInt(4) == 0 ? between(r, 1, sheet.heightMm - 1) : null,
                null,
                r.nextInt(10) == 0 ? ways.get(r.nextInt(ways.size())) : null,
                null,
                null,
                null,
                null,
                dryings,
                null);
        List<ShelfItem> shelf = r.nextInt(3) == 0 ? shelf(r) : TestShop.fullShelf();
        return new AnyRepair(draft, TestShop.shop(between(r, 4, 38), house(r), shelf));
    }

    /** Every question of the house answered by one of its schools. */
    public static HouseRules house(Random r) {
        HouseRules house = HouseRules.defaults();
        for (HouseRules.School s : HouseRules.schools()) {
            List<HouseRules.Option> offered =
                    s.options().stream().filter(HouseRules.Option::planned).toList();
            house = house.with(s.id(), offered.get(r.nextInt(offered.size())).id());
        }
        return house;
    }

    /** A shelf with gaps, lots about to expire, and second lots of what is mixed with times of their own. */
    public static List<ShelfItem> shelf(Random r) {
        List<ShelfItem> out = new ArrayList<>();
        for (ShelfItem item : TestShop.fullShelf()) {
            if (r.nextInt(5) == 0) {
                continue;
            }
            out.add(r.nextInt(4) == 0 ? TestShop.expiring(item, TestShop.TODAY.plusDays(r.nextInt(7) - 3)) : item);
            MaterialClass c = item.materialClass();
            if (c.chemistry().isMixed() && r.nextBoolean()) {
                out.add(TestShop.mix(
                        c.id() + "-2", c.id(), between(r, 0.5, 30), new LabelTime(21, between(r, 5, 200))));
            }
        }
        return out;
    }

    private record Sheet(double widthMm, double heightMm) {
        double x(Random r) {
            return between(r, 0.1, 0.9) * widthMm;
        }

        double y(Random r) {
            return between(r, 0.1, 0.9) * heightMm;
        }

        double across(Random r, double least, double most) {
            return between(r, least, Math.min(most, Math.min(widthMm, heightMm) / 3));
        }
    }

    private static String part(Random r, MadeOf made, Sheet sheet) {
        String size = String.format(Locale.ROOT, "widthMm: %.1f, heightMm: %.1f", sheet.widthMm, sheet.heightMm);
        String reach = r.nextInt(5) == 0 ? ", reach: FACE_ONLY" : "";
        String coats = r.nextInt(4) == 0
                ? ", coats: []"
                : ", coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]";
        String answers = r.nextInt(12) == 0 ? ", answers: {any-came-back: YES}" : "";
        return "{" + size
                + switch (made) {
                    case METAL ->
                        String.format(
                                        Locale.ROOT,
                                        ", gaugeMm: %.2f, metal: %s",
                                        between(r, 0.6, 2),
                                        METALS[r.nextInt(METALS.length)])
                                + coats
                                + reach;
                    case PLASTIC ->
                        String.format(
                                        Locale.ROOT,
                                        ", made: {material: PLASTIC, thicknessMm: %.2f, mark: '%s'}",
                                        between(r, 1.5, 5),
                                        PLASTICS[r.nextInt(PLASTICS.length)])
                                + reach;
                    case COMPOSITE ->
                        String.format(
                                        Locale.ROOT,
                                        ", made: {material: COMPOSITE, thicknessMm: %.2f, composite: %s}",
                                        between(r, 1.5, 8),
                                        COMPOSITES[r.nextInt(COMPOSITES.length)])
                                + (r.nextInt(4) == 0 ? ", face: [GELCOAT]" : "")
                                + reach;
                    case GLASS ->
                        ", made: {material: GLASS, stamp: II, heavy: " + r.nextBoolean()
                                + String.format(Locale.ROOT, ", wheelXMm: %.1f}", sheet.x(r));
                    case TYRE ->
                        String.format(
                                Locale.ROOT,
                                ", made: {material: TYRE, use: %s, treadDepthMm: %.1f, dateCode: '%02d2%d', speed: %s, position: %s}",
                                r.nextBoolean() ? "CAR" : "TRUCK",
                                between(r, 1, 9),
                                1 + r.nextInt(50),
                                r.nextInt(7),
                                r.nextBoolean() ? "R" : "V",
                                r.nextBoolean() ? "REAR" : "FRONT");
                    case FILM ->
                        ", made: {material: FILM, filmOver: " + (r.nextBoolean() ? "STEEL" : "PLASTIC")
                                + "}, coats: [{kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]";
                }
                + answers + "}";
    }

    /** One or two layings of a straightedge, some of whose places may lie past the hollow's end. */
    private static String lines(Random r) {
        String first = String.format(
                Locale.ROOT,
                "{places: [%.1f, %.1f], depths: [%.2f, %.2f]}",
                between(r, 0, 20),
                between(r, 20, 60),
                between(r, 0, 3),
                between(r, 0.1, 6));
        String second = String.format(
                Locale.ROOT,
                ", {offsetMm: %.1f, places: [%.1f], depths: [%.2f], beside: [%.2f]}",
                between(r, 0.5, 20),
                between(r, 1, 30),
                between(r, 0.5, 3),
                between(r, 0, 0.5));
        return ", lines: [" + first + (r.nextBoolean() ? second : "") + "]";
    }

    private static String damage(Random r, Damage.Kind kind, Sheet s) {
        String oval = String.format(
                Locale.ROOT,
                "kind: %s, xMm: %.1f, yMm: %.1f, lengthMm: %.1f, widthMm: %.1f, angleDeg: %.1f",
                kind,
                s.x(r),
                s.y(r),
                s.across(r, 4, 160),
                s.across(r, 4, 120),
                between(r, -90, 90));
        String trace = String.format(
                Locale.ROOT,
                "kind: %s, trace: [%.1f, %.1f, %.1f, %.1f%s]",
                kind,
                s.x(r),
                s.y(r),
                s.x(r),
                s.y(r),
                r.nextBoolean() ? "" : String.format(Locale.ROOT, ", %.1f, %.1f", s.x(r), s.y(r)));
        return "{"
                + switch (kind) {
                    case DENT ->
                        oval
                                + String.format(
                                        Locale.ROOT,
                                        ", depthMm: %.2f, profile: %s%s",
                                        between(r, 0.2, 7),
                                        new String[] {"BOWL", "SOFT", "POINT"}[r.nextInt(3)],
                                        r.nextInt(4) == 0 ? lines(r) : "");
                    case PAINT_CHIP -> oval + String.format(Locale.ROOT, ", depthMm: %.2f", between(r, 0.1, 0.6));
                    case RUST_PITS, DIVOT, RASH, GELCOAT_CHIP ->
                        oval + String.format(Locale.ROOT, ", depthMm: %.2f", between(r, 0.1, 3));
                    case RUST_HOLE -> oval + String.format(Locale.ROOT, ", rustPastMm: %.1f", between(r, 0, 20));
                    case MISSING ->
                        oval
                                + String.format(
                                        Locale.ROOT,
                                        ", soundMm: %.1f, pieceKept: %s",
                                        between(r, 0, 90),
                                        r.nextBoolean());
                    case TAB -> oval + ", pieceKept: " + r.nextBoolean();
                    case HOLE, RESIDUE -> oval;
                    case SCRATCH ->
                        trace
                                + String.format(
                                        Locale.ROOT,
                                        ", widthMm: %.1f, depthMm: %.2f",
                                        between(r, 0.3, 12),
                                        between(r, 0.1, 3));
                    case SEAM ->
                        trace
                                + String.format(
                                        Locale.ROOT,
                                        ", widthMm: %.1f, groundBelow: %s, depthMm: %.2f",
                                        between(r, 3, 20),
                                        r.nextBoolean(),
                                        between(r, 0.1, 7));
                    case CRACK ->
                        trace + ", through: " + (r.nextBoolean() ? "THROUGH" : "OUTER_LAYER") + ", ends: "
                                + new String[] {"BOTH", "ONE", "NONE"}[r.nextInt(3)];
                    case HAIRLINE -> trace;
                    case CHIP ->
                        oval
                                + String.format(
                                        Locale.ROOT,
                                        ", chip: {type: %s, spanMm: %.1f, pitMm: %.1f, inSweep: %s}",
                                        new String[] {"STAR", "BULLSEYE", "COMBINATION", "PIT"}[r.nextInt(4)],
                                        between(r, 4, 60),
                                        between(r, 0.5, 8),
                                        r.nextBoolean());
                    case INJURY ->
                        String.format(
                                Locale.ROOT,
                                "kind: INJURY, xMm: %.1f, yMm: %.1f, lengthMm: %.1f, angleDeg: %.1f, injury: {place: CROWN}",
                                s.x(r),
                                s.y(r),
                                between(r, 1, 12),
                                between(r, 0, 50));
                    case RUN ->
                        oval
                                + String.format(
                                        Locale.ROOT,
                                        ", film: {peakUm: %.0f, totalUm: %.0f, underUm: %.0f, gauge: ULTRASONIC}",
                                        between(r, 140, 320),
                                        between(r, 90, 150),
                                        between(r, 30, 90));
                }
                + "}";
    }
}
