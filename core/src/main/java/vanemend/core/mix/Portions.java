package vanemend.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import vanemend.core.material.ShelfItem;
import vanemend.core.mix.Portion.Figure;
import vanemend.core.mix.Portion.Form;
import vanemend.core.trade.Check;
import vanemend.core.trade.Text;
import vanemend.core.trade.TradeBook;

/** From areas and volumes to what is squeezed, dropped, sprayed, brushed or cut. Areas mm², lengths mm, volumes mL. */
public final class Portions {
    private static final double MM2_A_M2 = 1e6;

    private Portions() {}

    /**
     * A two-part adhesive from a cartridge through a static mixer. Each go must be on the part within its share of the work time; a
     * mixer left standing longer sets, so each go takes a mixer of its own and purges it.
     *
     * @param volume where it goes
     */
    public static Portion cartridge(String id, String title, ShelfItem item, FillVolume volume, Pace pace) {
        double total = volume.totalMl();
        int goes = pace.goes(total, 0);
        double bead = TradeBook.value("cartridge.bead");
        double perMixer = perMixerMl();
        double drawn = total + goes * perMixer;
        double pack = item.packQuantity().orElse(TradeBook.value("cartridge.pack"));
        double usable = pack * TradeBook.value("cartridge.usable");
        int cartridges = (int) Math.ceil(drawn / usable - 1e-9);
        List<String> notes = new ArrayList<>();
        notes.add("Equalise first: both sides level. Then fit the mixer, then purge "
                + Text.of(TradeBook.value("cartridge.purge"), "mm") + " into the waste. "
                + item.ratioByVolume()
                        .map(r -> "Gun and mixer for " + TwoPart.said(r) + ".")
                        .orElse("Gun ratio as the label says."));
        goes(goes, pace.windowMin(0), notes);
        return new Portion(
                id,
                title,
                Form.CARTRIDGE,
                item.name(),
                item.id(),
                item.lot(),
                up(drawn, 1),
                "mL",
                List.of(
                        figure("On the part", volume.onPartMl(), "mL", ""),
                        figure("Bead to lay", beadMm(volume.onPartMl(), bead), "mm", Text.of(bead, "mm") + " bead"),
                        figure("Mixers", goes, "mixers", goes == 1 ? "one go" : "one for each go"),
                        figure("Waste in purge and mixer", goes * perMixer, "mL", source("cartridge.mixer")),
                        figure(
                                "Cartridges",
                                cartridges,
                                "cartridges",
                                Text.of(pack, "mL") + " each, "
                                        + Text.of(Math.round(TradeBook.value("cartridge.usable") * 100), "%")
                                        + " comes out")),
                goes,
                pace.workMin(),
                pace.onPartByMin(),
                pace.spreadMin(total, goes),
                List.copyOf(notes),
                Optional.empty());
    }

    /** What stays in a mixer and in its purge, mL. */
    static double perMixerMl() {
        double bead = TradeBook.value("cartridge.bead");
        double purge = Math.PI * bead * bead / 4 * TradeBook.value("cartridge.purge") / 1000;
        return purge + TradeBook.value("cartridge.mixer");
    }

    /** A two-part cream mixed by hand on a palette, equal or as its label says; never through a mixer. */
    public static Portion handMixed(String id, String title, ShelfItem item, FillVolume volume, Pace pace) {
        return byHand(
                id,
                title,
                item,
                volume,
                volume.totalMl(),
                pace,
                "Ratio by its label, both parts by weight or both by volume, never one of each. Palette and spreader, no"
                        + " static mixer.",
                TwoPart.sides(item, volume.totalMl() / pace.goes(volume.totalMl(), mixMin()), "Part A", "Part B"),
                List.of());
    }

    /** A paste with liquid peroxide, mixed by hand: in no go less than a scale can dose the peroxide for. */
    public static Portion withPeroxide(String id, String title, ShelfItem item, FillVolume volume, Pace pace) {
        double least = leastWithPeroxideMl(item);
        double goes = pace.goes(volume.totalMl(), mixMin());
        double each = Math.max(volume.totalMl() / goes, least);
        List<Figure> dose = new ArrayList<>(TwoPart.sides(item, each, "Paste", "Liquid peroxide"));
        item.ratioByWeight()
                .ifPresent(r -> dose.add(figure(
                        "Peroxide",
                        100 / r,
                        "%",
                        "of the paste, label; usual " + Text.book("gelcoat.peroxide-least") + " to "
                                + Text.book("gelcoat.peroxide-most"))));
        List<String> left = each > volume.totalMl() / goes
                ? List.of("A scale of " + Text.book("mix.scale-step") + " doses the peroxide of no less than "
                        + Text.book("mix.min-filler")
                        + " well: what is over is waste, left to cure in the open.")
                : List.of();
        return byHand(
                id,
                title,
                item,
                volume,
                each * goes,
                pace,
                "Peroxide by its label, by weight, into the paste, never the other way round; away from acetone. What is over"
                        + " never goes back into the tin.",
                dose,
                left);
    }

    /** Least of a paste that a scale doses its peroxide well for, mL. */
    public static double leastWithPeroxideMl(ShelfItem item) {
        return TradeBook.value("mix.min-filler") / item.density();
    }

    private static double mixMin() {
        return TradeBook.value("mix.minutes");
    }

    private static Portion byHand(
            String id,
            String title,
            ShelfItem item,
            FillVolume volume,
            double mixedMl,
            Pace pace,
            String how,
            List<Figure> sides,
            List<String> more) {
        int goes = pace.goes(volume.totalMl(), mixMin());
        List<String> notes = new ArrayList<>();
        notes.add(how);
        notes.addAll(more);
        goes(goes, pace.windowMin(mixMin()), notes);
        List<Figure> figures = new ArrayList<>();
        figures.add(
                figure("Both parts together", up(mixedMl * item.density() / goes, 0.5), "g", "for each of " + goes));
        figures.addAll(sides);
        figures.add(figure("On the part", volume.onPartMl(), "mL", ""));
        return new Portion(
                id,
                title,
                Form.HAND_MIXED,
                item.name(),
                item.id(),
                item.lot(),
                up(mixedMl, 0.5),
                "mL",
                List.copyOf(figures),
                goes,
                pace.workMin(),
                pace.onPartByMin(),
                pace.spreadMin(volume.totalMl(), goes),
                List.copyOf(notes),
                Optional.empty());
    }

    /**
     * Laminating resin for cloth wetted by hand: resin = cloth·(1 − ψ)/ψ with ψ the share of glass by weight, plus what fills the rest
     * of the dish.
     *
     * @param clothMm2 all plies together
     * @param arealGPerM2 cloth
     * @param extraMl fills what the plies leave
     */
    public static Portion laminate(
            String id, String title, ShelfItem item, double clothMm2, double arealGPerM2, double extraMl, Pace pace) {
        double psi = TradeBook.value("laminate.glass-share");
        double cloth = clothMm2 / MM2_A_M2 * arealGPerM2;
        double grams = (cloth * (1 - psi) / psi + extraMl * item.density()) * (1 + TradeBook.value("mix.board-loss"));
        double mixMin = TradeBook.value("mix.minutes");
        double ml = grams / item.density();
        int goes = pace.goes(ml, mixMin);
        List<String> notes = new ArrayList<>();
        notes.add("Resin and hardener by weight, by the label. A thick mass in a pot heats up: mix flat, use it.");
        goes(goes, pace.windowMin(mixMin), notes);
        List<Figure> figures = new ArrayList<>();
        figures.add(figure("Resin with hardener", up(grams / goes, 1), "g", "for each of " + goes));
        figures.addAll(TwoPart.sides(item, ml / goes, "Resin", "Hardener"));
        figures.add(figure(
                "Cloth", cloth, "g", "glass to resin " + Text.ratio(1, tenth((1 - psi) / psi)) + " by weight"));
        figures.add(figure("Glass", psi * 100, "%", "by weight, hand lay-up; " + source("laminate.glass-share")));
        return new Portion(
                id,
                title,
                Form.LAMINATE,
                item.name(),
                item.id(),
                item.lot(),
                up(ml, 1),
                "mL",
                List.copyOf(figures),
                goes,
                pace.workMin(),
                pace.onPartByMin(),
                pace.spreadMin(ml, goes),
                List.copyOf(notes),
                Optional.empty());
    }

    /** A bead along a line: π·d²/4·L. */
    public static Portion bead(String id, String title, ShelfItem item, double lengthMm, double diameterMm) {
        double ml = Math.PI * diameterMm * diameterMm / 4 * lengthMm / 1000;
        return new Portion(
                id,
                title,
                Form.BEAD,
                item.name(),
                item.id(),
                item.lot(),
                up(ml * (1 + TradeBook.value("mix.board-loss")), 0.5),
                "mL",
                List.of(
                        figure("Bead", lengthMm, "mm", Text.of(diameterMm, "mm") + " across"),
                        figure("On the part", ml, "mL", "")),
                1,
                0,
                0,
                0,
                List.of(),
                Optional.empty());
    }

    /**
     * Resin in drops.
     *
     * @param drops whole drops
     * @param figures what else to know of them
     */
    public static Portion drops(
            String id, String title, ShelfItem item, double drops, List<Figure> figures, List<String> notes) {
        double each = TradeBook.value("glass.drop");
        List<Figure> all = new ArrayList<>();
        all.add(figure("Drops", drops, "drops", Text.of(each, "mL") + " each; " + source("glass.drop")));
        all.addAll(figures);
        return new Portion(
                id,
                title,
                Form.DROPS,
                item.name(),
                item.id(),
                item.lot(),
                up(drops * each, 0.01),
                "mL",
                List.copyOf(all),
                1,
                0,
                0,
                0,
                notes,
                Optional.empty());
    }

    /** Gel for a small divot, a little over full. */
    public static Portion gel(String id, String title, ShelfItem item, double ml) {
        return new Portion(
                id,
                title,
                Form.GEL,
                item.name(),
                item.id(),
                item.lot(),
                up(ml * item.density(), 0.1),
                "g",
                List.of(figure(
                        "In the divot",
                        Math.max(0.01, Math.ceil(ml * 100) / 100),
                        "mL",
                        "a drop is about " + Text.book("glass.drop"))),
                1,
                0,
                0,
                0,
                List.of("Level with a card before the activator: after it, nothing moves."),
                Optional.empty());
    }

    /** Something brushed or wiped or sprayed over an area in coats; {@code perM2Id} names the trade value with the mL/m² of one. */
    public static Portion coats(
            String id, String title, Form form, ShelfItem item, double areaMm2, double coats, String perM2Id) {
        double perM2 = TradeBook.value(perM2Id);
        return coats(id, title, form, item, areaMm2, coats, perM2, source(perM2Id), List.of());
    }

    /**
     * Sprayed in coats to a film: a coat wet by 1 µm is 1 mL/m².
     *
     * @param wetUm one coat as sprayed, µm
     * @param dryUm all of them, dry, µm
     * @param wetFrom the trade value that the wet coat comes from
     */
    public static Portion film(
            String id,
            String title,
            ShelfItem item,
            double areaMm2,
            double coats,
            double wetUm,
            double dryUm,
            String wetFrom) {
        List<Figure> more = new ArrayList<>();
        more.add(figure("One coat, wet", Math.round(wetUm), "µm", source(wetFrom) + "; its label decides"));
        more.add(figure("All coats, dry", Math.round(dryUm), "µm", "before it is blocked"));
        // What is mixed is what goes into the gun, which sprays no less than its least.
        double ml = Math.max(
                areaMm2 / MM2_A_M2 * coats * wetUm / TradeBook.value("coat.transfer.gun"),
                TradeBook.value("coat.least.gun"));
        more.addAll(TwoPart.sides(item, ml, "Part A", "Part B"));
        return coats(id, title, Form.SPRAYED, item, areaMm2, coats, wetUm, "from the wet coat", more);
    }

    private static Portion coats(
            String id,
            String title,
            Form form,
            ShelfItem item,
            double areaMm2,
            double coats,
            double perM2,
            String source,
            List<Figure> more) {
        boolean wiped = form == Form.WIPED;
        String time = wiped ? "round" : "coat";
        double on = areaMm2 / MM2_A_M2 * coats * perM2;
        List<Figure> figures = new ArrayList<>(List.of(
                figure("Area", areaMm2 / 100, "cm²", ""),
                figure(
                        wiped ? "Rounds" : "Coats",
                        coats,
                        coats == 1 ? time : time + "s",
                        Text.of(Math.round(perM2), "mL/m²") + " each; " + source),
                figure("On the part", on, "mL", "")));
        figures.addAll(more);
        List<String> notes = new ArrayList<>();
        double ml = on;
        if (form == Form.SPRAYED) {
            boolean gun = byGun(item);
            String transfer = gun ? "coat.transfer.gun" : "coat.transfer.can";
            double share = TradeBook.value(transfer);
            double sprayed = on / share;
            figures.add(figure(
                    "To spray",
                    sprayed,
                    "mL",
                    Text.of(Math.round(share * 100), "%") + " arrives; " + source(transfer)));
            ml = gun ? Math.max(sprayed, TradeBook.value("coat.least.gun")) : sprayed;
            if (ml > sprayed) {
                figures.add(figure("In the gun", ml, "mL", "at least; " + source("coat.least.gun")));
                notes.add(Text.of(Math.floor(ml - sprayed), "mL") + " of it is left over: waste, unless another part is"
                        + " sprayed in its pot life.");
            }
            if (!gun) {
                notes.add("What clears the nozzle before and after a coat is not counted: the can's own label.");
            }
        }
        return new Portion(
                id,
                title,
                form,
                item.name(),
                item.id(),
                item.lot(),
                needed(item, ml, coats),
                item.unit(),
                List.copyOf(figures),
                1,
                0,
                0,
                0,
                List.copyOf(notes),
                Optional.empty());
    }

    /** Whether {@code item} is mixed and sprayed by a gun, not out of a can. */
    public static boolean byGun(ShelfItem item) {
        return item.materialClass().chemistry().isMixed();
    }

    /** What {@code ml} is in the unit that the shelf counts the item in; by the piece, one each coat. */
    private static double needed(ShelfItem item, double ml, double coats) {
        return switch (item.unit()) {
            case "pieces" -> coats;
            case "g" -> up(ml * item.density(), 1);
            default -> up(ml, 1);
        };
    }

    /** Something cut from a sheet or off a roll; {@code shapes} is every piece, mm. */
    public static Portion cut(String id, String title, ShelfItem item, List<Geometry> shapes, String note) {
        int pieces = shapes.size();
        List<Figure> figures = new ArrayList<>(List.of(
                figure("Cut", pieces, pieces == 1 ? "piece" : "pieces", note),
                figure("Sheet", shapes.stream().mapToDouble(Geometry::getArea).sum() / 100, "cm²", "without offcuts")));
        List<String> notes = new ArrayList<>(List.of("Cut it before anything is mixed."));
        double needed = pieces;
        if (item.rollMm().isPresent()) {
            double roll = item.rollMm().get();
            Optional<RollCut.Block> block = RollCut.of(shapes, roll, TradeBook.value("roll.cut-gap"));
            block.ifPresentOrElse(
                    cut -> figures.add(figure(
                            "Off the roll",
                            cut.alongMm(),
                            "mm",
                            Text.of(Math.ceil(cut.acrossMm()), "mm") + " of its " + Text.of(roll, "mm") + " across")),
                    () -> notes.add("Wider than its roll of " + Text.of(roll, "mm")
                            + ": a wider one, or two pieces that overlap as its label says."));
            needed = up(
                    block.map(cut -> cut.alongMm() * cut.acrossMm() / 100)
                            .orElse(figures.get(1).value()),
                    1);
        }
        return new Portion(
                id,
                title,
                Form.CUT,
                item.name(),
                item.id(),
                item.lot(),
                needed,
                item.rollMm().isPresent() ? item.unit() : "pieces",
                List.copyOf(figures),
                1,
                0,
                0,
                0,
                List.copyOf(notes),
                Optional.empty());
    }

    /** Something taken by the piece. */
    public static Portion pieces(String id, String title, ShelfItem item, int pieces, String note) {
        return new Portion(
                id,
                title,
                Form.PIECES,
                item.name(),
                item.id(),
                item.lot(),
                pieces,
                "pieces",
                List.of(figure("Take", pieces, pieces == 1 ? "piece" : "pieces", note)),
                1,
                0,
                0,
                0,
                List.of(),
                Optional.empty());
    }

    private static void goes(int goes, double window, List<String> notes) {
        if (goes >= Pace.MOST_GOES) {
            notes.add(
                    "Even small goes cannot be spread in time: take a slower class, cool the shop, or mend part of it first.");
        } else if (goes > 1) {
            notes.add("One go cannot be spread in " + Text.of(Math.floor(window * 10) / 10, "min") + ": " + goes
                    + " equal goes, each with its own clock.");
        }
    }

    /** Whether even small goes cannot be spread in time. */
    public static boolean hopeless(Portion p) {
        return p.batches() >= Pace.MOST_GOES;
    }

    private static String source(String valueId) {
        return TradeBook.shipped().entry(valueId).shown();
    }

    private static Figure figure(String word, double value, String unit, String note) {
        return new Figure(word, unit.equals("mm") ? Math.ceil(value) : tenth(value), unit, note);
    }

    /** How long a bead {@code acrossMm} thick is, mm; a hand on a gun holds its thickness no finer than to ten of them. */
    private static double beadMm(double ml, double acrossMm) {
        double mm = ml * 1000 / (Math.PI * acrossMm * acrossMm / 4);
        return up(mm, mm < 20 ? 1 : 10);
    }

    private static double up(double v, double step) {
        return Math.round(Math.ceil(v / step - 1e-9) * step * 1000) / 1000.0;
    }

    private static double tenth(double v) {
        return v < 0.1 ? Math.round(v * 100) / 100.0 : Math.round(v * 10) / 10.0;
    }

    private static String shown(double v) {
        return Check.shown(v);
    }
}
