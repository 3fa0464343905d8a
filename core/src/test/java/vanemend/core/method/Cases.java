package vanemend.core.method;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import vanemend.core.TestShop;
import vanemend.core.cure.DryingRoute;
import vanemend.core.part.Metal;
import vanemend.core.plan.PlanEditDraft;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.HouseRules;

/** One made-up repair for every way to mend, by recipe. */
public final class Cases {
    private static final String TPO =
            "{name: Front skirt, widthMm: 1600, heightMm: 420, made: {material: PLASTIC, mark: '>PP+EPDM-TD20<', thicknessMm: 3.2}}";
    private static final String SPLIT =
            "{kind: CRACK, trace: [760, 180, 800, 205, 838, 244], through: THROUGH, ends: BOTH}";
    private static final String RASH =
            "{kind: RASH, xMm: 760, yMm: 160, lengthMm: 130, widthMm: 70, angleDeg: 8, depthMm: 0.7}";
    private static final String SMC =
            "{name: Battery lid, widthMm: 640, heightMm: 420, made: {material: COMPOSITE, composite: SMC, thicknessMm: 3.2}}";
    private static final String LID_CRACK =
            "{kind: CRACK, trace: [250, 190, 300, 205, 345, 230], through: THROUGH, ends: BOTH}";
    private static final String RUST =
            "{name: Wheel arch, widthMm: 1100, heightMm: 620, gaugeMm: 0.8, made: {material: METAL},"
                    + " metal: MILD_STEEL}";
    private static final String DOOR_SKIN =
            "{name: Lower door skin, widthMm: 900, heightMm: 640, gaugeMm: 0.8, made: {material: METAL}, metal: MILD_STEEL,"
                    + " coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]}";
    private static final String STEEL_SEAM =
            "{kind: SEAM, trace: [340, 300, 560, 306], widthMm: 9, groundBelow: true, depthMm: 1.35}";
    private static final String HOLE =
            "{kind: RUST_HOLE, xMm: 600, yMm: 330, lengthMm: 34, widthMm: 22, angleDeg: 70, rustPastMm: 12}";
    private static final String GLASS =
            "{name: Windscreen, widthMm: 2100, heightMm: 1150, made: {material: GLASS, stamp: II, wheelXMm: 1560, heavy: true}}";
    private static final String STAR =
            "{kind: CHIP, xMm: 640, yMm: 520, lengthMm: 6, chip: {type: STAR, spanMm: 13, pitMm: 2.5, inSweep: true}}";
    private static final String TYRE = "{name: Rear tyre, widthMm: 178, heightMm: 360, made: {material: TYRE, use: CAR,"
            + " treadDepthMm: 4.6, dateCode: '3523', speed: R, position: REAR}}";
    private static final String FILM =
            "{name: Arm cover, widthMm: 420, heightMm: 180, made: {material: FILM, filmOver: PLASTIC},"
                    + " coats: [{kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]}";
    private static final String RUN =
            "{kind: RUN, xMm: 210, yMm: 92, lengthMm: 64, widthMm: 9, angleDeg: 82, film: {peakUm: 176, totalUm: 128, underUm: 70, gauge: ULTRASONIC}}";
    private static final String TRIM =
            "{name: Console, widthMm: 480, heightMm: 210, made: {material: PLASTIC, mark: '>PC+ABS<', thicknessMm: 2.5}}";
    private static final String DIVOT =
            "{kind: DIVOT, xMm: 330, yMm: 96, lengthMm: 14, widthMm: 5, angleDeg: 25, depthMm: 0.8}";
    private static final String RESIDUE =
            "{kind: RESIDUE, xMm: 150, yMm: 110, lengthMm: 120, widthMm: 34, angleDeg: 0}";

    private Cases() {}

    /** Drafts by recipe id, each taking that recipe. */
    public static Map<String, RepairDraft> all() {
        Map<String, RepairDraft> out = new LinkedHashMap<>();
        out.put("dent-filler-putty", TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 120, 100, 4.2)));
        out.put("dent-putty-alone", TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 58, 50, 1.4)));
        put(
                out,
                "scratch-feathered",
                "{name: Engine flap, widthMm: 560, heightMm: 420, gaugeMm: 0.8, metal: MILD_STEEL, coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]}",
                "{kind: PAINT_CHIP, xMm: 220, yMm: 190, lengthMm: 6, widthMm: 4, angleDeg: 0, depthMm: 0.17}",
                "{kind: SCRATCH, trace: [240, 230, 300, 244], widthMm: 1.5, depthMm: 0.13}");
        put(out, "seam-filler", DOOR_SKIN, STEEL_SEAM);
        put(out, "seam-fibre", DOOR_SKIN, STEEL_SEAM);
        put(out, "rust-mesh", RUST, HOLE);
        put(out, "rust-converted", RUST, HOLE);
        put(
                out,
                "rust-pits",
                RUST,
                "{kind: RUST_PITS, xMm: 600, yMm: 330, lengthMm: 60, widthMm: 38, angleDeg: 15, depthMm: 0.4}");
        put(out, "run-machine", FILM, RUN);
        put(out, "run-block", FILM, RUN);
        put(out, "composite-epoxy", SMC, LID_CRACK);
        put(out, "composite-epoxy-film", SMC, LID_CRACK);
        put(out, "composite-one-material", SMC, LID_CRACK);
        put(out, "composite-lay-up", SMC, LID_CRACK);
        put(
                out,
                "hairline-sealant",
                "{name: Roof pod, widthMm: 1400, heightMm: 700, made: {material: COMPOSITE, composite: HAND_LAID, thicknessMm: 5},"
                        + " face: [GELCOAT]}",
                "{kind: HAIRLINE, trace: [610, 330, 660, 352, 714, 358]}");
        put(
                out,
                "gelcoat-paste",
                "{name: Roof pod, widthMm: 1400, heightMm: 700, made: {material: COMPOSITE, composite: HAND_LAID, thicknessMm: 5},"
                        + " face: [GELCOAT]}",
                "{kind: GELCOAT_CHIP, xMm: 420, yMm: 260, lengthMm: 11, widthMm: 8, angleDeg: 20, depthMm: 0.65}",
                "{kind: SCRATCH, trace: [520, 300, 590, 318], widthMm: 1.5, depthMm: 0.45}");
        put(out, "plastic-adhesive-cloth", TPO, SPLIT);
        put(
                out,
                "plastic-adhesive-polyester",
                TPO,
                "{kind: CRACK, trace: [760, 180, 800, 195], through: THROUGH, ends: BOTH}");
        put(
                out,
                "plastic-patch",
                TPO,
                "{kind: CRACK, trace: [1600, 150, 1550, 162, 1512, 170], through: THROUGH, ends: ONE}");
        put(out, "plastic-mesh", TPO, "{kind: HOLE, xMm: 760, yMm: 180, lengthMm: 38, widthMm: 26, angleDeg: 20}");
        put(
                out,
                "plastic-mesh-first",
                TPO,
                "{kind: HOLE, xMm: 760, yMm: 180, lengthMm: 38, widthMm: 26, angleDeg: 20}");
        put(
                out,
                "plastic-mesh-first-polyester",
                TPO,
                "{kind: HOLE, xMm: 760, yMm: 180, lengthMm: 34, widthMm: 22, angleDeg: 20}");
        put(out, "plastic-face", TPO, "{kind: SCRATCH, trace: [700, 200, 790, 214], widthMm: 4, depthMm: 1.2}");
        put(out, "plastic-filler", TPO, RASH, "{kind: SCRATCH, trace: [860, 150, 930, 158], widthMm: 4, depthMm: 1.2}");
        put(
                out,
                "weld-finish",
                TPO,
                "{kind: SEAM, trace: [700, 210, 780, 220, 840, 214], widthMm: 9, groundBelow: true}");
        put(
                out,
                "plastic-tab",
                TPO.replace("Front skirt", "Skirt end with its tab"),
                "{kind: TAB, xMm: 1588, yMm: 180, lengthMm: 34, widthMm: 22, angleDeg: 0, pieceKept: false}");
        put(
                out,
                "abs-solvent",
                "{name: Mirror shell, widthMm: 260, heightMm: 360, made: {material: PLASTIC, mark: '>ABS<', thicknessMm: 2.8}}",
                "{kind: MISSING, xMm: 232, yMm: 330, lengthMm: 60, widthMm: 44, angleDeg: 45, soundMm: 22, pieceKept: false}",
                "{kind: CRACK, trace: [205, 300, 168, 262], through: THROUGH, ends: BOTH}");
        put(out, "trim", TRIM, RESIDUE, DIVOT);
        put(
                out,
                "trim-flexible",
                "{name: Step trim, widthMm: 480, heightMm: 210, made: {material: PLASTIC, mark: '>PP<', thicknessMm: 2.5}}",
                DIVOT);
        put(out, "chip-vacuum", GLASS, STAR);
        put(out, "chip-pressure", GLASS, STAR);
        put(
                out,
                "tyre-one-piece",
                TYRE,
                "{kind: INJURY, xMm: 104, yMm: 190, lengthMm: 4.2, angleDeg: 12, injury: {place: CROWN}}");
        put(
                out,
                "tyre-two-piece",
                TYRE,
                "{kind: INJURY, xMm: 104, yMm: 190, lengthMm: 4.2, angleDeg: 32, injury: {place: CROWN}}");
        return out;
    }

    /**
     * A way that is more than its recipe.
     *
     * @param house rules that it follows
     */
    public record Way(RepairDraft draft, HouseRules house) {}

    /** Ways of one recipe that differ by the part, the damage or the house's rules, by a name of their own. */
    public static Map<String, Way> ways() {
        HouseRules house = HouseRules.defaults();
        HouseRules whole = house.with("filler-base", "whole-paint");
        RepairDraft ding = TestShop.repair(TestShop.door(), TestShop.dent(340, 240, 45, 40, 1.55));
        RepairDraft aluminium = TestShop.repair(
                TestShop.door(Metal.Kind.ALUMINIUM, TestShop.allNo()), TestShop.dent(340, 240, 120, 100, 2.8));
        Map<String, Way> out = new LinkedHashMap<>();
        out.put("over-paint-putty", new Way(ding, whole));
        out.put("over-paint-filler", new Way(taking("dent-filler-putty", ding), whole));
        out.put(
                "over-paint-filed",
                new Way(taking("dent-filler-putty", ding), whole.with("first-grade", "file-cheese")));
        out.put("aluminium", new Way(aluminium, house));
        out.put(
                "scratch",
                new Way(
                        TestShop.job(
                                "{name: Load door, widthMm: 640, heightMm: 900, gaugeMm: 0.8, made: {material: METAL},"
                                        + " metal: MILD_STEEL, coats: [{kind: E_COAT}, {kind: PRIMER_SURFACER}, {kind: BASE}, {kind: CLEAR}]}",
                                "{kind: SCRATCH, trace: [210, 300, 290, 322], widthMm: 3, depthMm: 0.35}"),
                        house));
        out.put(
                "pulled",
                new Way(
                        TestShop.job(
                                DOOR_SKIN.replace("MILD_STEEL", "GALVANISED_STEEL"),
                                "{kind: DENT, xMm: 420, yMm: 320, lengthMm: 190, widthMm: 130, angleDeg: 10, depthMm: 2.35,"
                                        + " raising: PULLED, studs: 9}"),
                        house));
        out.put("filling-primer", new Way(all().get("composite-epoxy"), house.with("surfacer", "filling-primer")));
        out.put("rust-blocked", new Way(all().get("rust-pits"), house.with("surfacer", "filling-primer")));
        out.put(
                "straightedge",
                new Way(
                        TestShop.job(
                                DOOR_SKIN,
                                "{kind: DENT, xMm: 420, yMm: 320, lengthMm: 190, widthMm: 90, angleDeg: 10, depthMm: 2.65, lines: ["
                                        + "{places: [30, 80, 130, 165], depths: [1.15, 2.95, 1.75, 0.55], beside: [0.15, 0.3, 0.25, 0.1]},"
                                        + "{offsetMm: 22, places: [50, 90, 140], depths: [0.75, 1.35, 0.95]}]}"),
                        house));
        out.put(
                "weld-read",
                new Way(
                        TestShop.job(
                                DOOR_SKIN,
                                "{kind: SEAM, trace: [340, 300, 560, 306], widthMm: 9, groundBelow: true, lines: ["
                                        + "{places: [0, 60, 140, 220], depths: [0.25, 1.35, 0.55, 0], beside: [0.15, 0.15, 0.05, 0]}]}"),
                        house.with("filler-thinned", "putty")));
        out.put(
                "lay-up-freely",
                new Way(
                        choosing(
                                all().get("composite-lay-up"),
                                "pyramid-order",
                                "on-film",
                                "composite-finish",
                                "one-material",
                                "composite-back",
                                "on-film"),
                        house));
        out.put("hail", new Way(TestShop.job(DOOR_SKIN, hail()), whole));
        return out;
    }

    /** Eleven dings on one skin, each its own size; the fourth is pushed out without paint. */
    private static String[] hail() {
        String[] out = new String[11];
        for (int i = 0; i < out.length; i++) {
            double across = i % 3 == 0 ? 34 : 17;
            out[i] = String.format(
                    Locale.ROOT,
                    "{kind: DENT, xMm: %d, yMm: %d, lengthMm: %.0f, widthMm: %.0f, angleDeg: 0, depthMm: %.2f%s}",
                    120 + 170 * (i % 4),
                    120 + 190 * (i / 4),
                    across,
                    across,
                    0.63 + 0.08 * i,
                    i == 3 ? ", raising: PUSHED_OUT" : "");
        }
        return out;
    }

    /** Damage of several kinds on one part. */
    public static final String SITES = "several-sites";

    /** The repair of the recipe called {@code name}, or of {@link #SITES}. */
    public static RepairDraft called(String name) {
        return name.equals(SITES)
                ? TestShop.job(
                        TPO,
                        SPLIT,
                        RASH.replace("760", "300"),
                        "{kind: TAB, xMm: 1588, yMm: 180, lengthMm: 34, widthMm: 22, angleDeg: 0, pieceKept: false}")
                : all().get(name);
    }

    private static void put(Map<String, RepairDraft> out, String recipe, String part, String... damages) {
        out.put(recipe, taking(recipe, TestShop.job(part, damages)));
    }

    /** {@code d} by the way to mend {@code recipe}. */
    public static RepairDraft taking(String recipe, RepairDraft d) {
        return new RepairDraft(
                d.part(), d.damages(), null, null, null, null, null, recipe, null, null, null, null, null, null);
    }

    /** {@code d} with {@code own} chosen on this repair alone, question and option in turn. */
    public static RepairDraft choosing(RepairDraft d, String... own) {
        Map<String, String> chosen = new LinkedHashMap<>(d.houseRules());
        for (int i = 0; i < own.length; i += 2) {
            chosen.put(own[i], own[i + 1]);
        }
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                d.drying(),
                chosen,
                d.cutYMm(),
                d.promisedAt(),
                d.recipe(),
                d.overrules(),
                d.edits(),
                d.lightAt(),
                d.pane(),
                d.dryings(),
                d.spreaderMm());
    }

    /** {@code d} with the way to mend left open. */
    public static RepairDraft open(RepairDraft d) {
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                d.drying(),
                d.houseRules(),
                null,
                null,
                null,
                null,
                null,
                null,
                d.pane(),
                d.dryings(),
                d.spreaderMm());
    }

    /** {@code d} dried {@code by}; {@code lightAt} is when light is to come on it, null for now. */
    public static RepairDraft dried(RepairDraft d, DryingRoute.Kind by, Instant lightAt) {
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                by,
                d.houseRules(),
                null,
                null,
                d.recipe(),
                null,
                null,
                lightAt,
                d.pane(),
                d.dryings(),
                d.spreaderMm());
    }

    /** {@code d} with its plan changed by hand. */
    public static RepairDraft edited(RepairDraft d, PlanEditDraft... edits) {
        return new RepairDraft(
                d.part(),
                d.damages(),
                d.pins(),
                d.drying(),
                d.houseRules(),
                d.cutYMm(),
                d.promisedAt(),
                d.recipe(),
                d.overrules(),
                List.of(edits),
                d.lightAt(),
                d.pane(),
                d.dryings(),
                d.spreaderMm());
    }
}
