package vanemend.core.damage;

import java.util.ArrayList;
import java.util.List;
import vanemend.core.part.Part;
import vanemend.core.trade.Check;
import vanemend.core.trade.TradeBook;

/**
 * A dent as typed so far; any field may be absent. Lengths in mm, angle in degrees.
 */
public record DentDraft(
        Double xMm,
        Double yMm,
        Double lengthMm,
        Double widthMm,
        Double angleDeg,
        Double depthMm,
        Dent.Profile profile) {

    private static final int MOST = 40;

    /** All dents of a draft on {@code part}, problems left in {@code check}. */
    public static List<Dent> checkAll(List<DentDraft> drafts, Part part, Check check) {
        if (drafts.isEmpty()) {
            check.refuse("dents", null, "at least one dent", "No dent yet: add the first one.");
        }
        if (drafts.size() > MOST) {
            check.refuse(
                    "dents",
                    drafts.size(),
                    "at most " + MOST,
                    drafts.size() + " dents on one part: split the part into fields of at most " + MOST + ".");
            return List.of();
        }
        List<Dent> out = new ArrayList<>();
        for (int i = 0; i < drafts.size(); i++) {
            out.add(drafts.get(i).check("dents[" + i + "]", "Dent " + (i + 1), part, check));
        }
        return List.copyOf(out);
    }

    private Dent check(String at, String called, Part part, Check check) {
        int before = check.problems().size();
        double x = check.range(at + ".xMm", called + ": place across", xMm, 0, part.widthMm(), "mm");
        double y = check.range(at + ".yMm", called + ": place up", yMm, 0, part.heightMm(), "mm");
        double max = Math.max(part.widthMm(), part.heightMm());
        double length = check.range(at + ".lengthMm", called + ": length", lengthMm, 3, max, "mm");
        double width = check.range(at + ".widthMm", called + ": width", widthMm, 3, max, "mm");
        double depth = check.range(
                at + ".depthMm", called + ": depth", depthMm, 0.1, TradeBook.value("entry.depth.max"), "mm");
        double angle = check.range(
                at + ".angleDeg", called + ": turn", angleDeg == null ? Double.valueOf(0) : angleDeg, -180, 180, "°");
        Dent dent = new Dent(x, y, length, width, angle, depth, profile == null ? Dent.Profile.BOWL : profile);
        if (check.problems().size() == before) {
            inside(dent, at, called, part, check);
            steepness(dent, at, called, check);
        }
        return dent;
    }

    private static void inside(Dent d, String at, String called, Part part, Check check) {
        side(check, at + ".xMm", called, d.halfAcross() - d.xMm(), "left", d.xMm());
        side(check, at + ".xMm", called, d.xMm() + d.halfAcross() - part.widthMm(), "right", d.xMm());
        side(check, at + ".yMm", called, d.halfUp() - d.yMm(), "lower", d.yMm());
        side(check, at + ".yMm", called, d.yMm() + d.halfUp() - part.heightMm(), "upper", d.yMm());
    }

    private static void side(Check check, String field, String called, double over, String edge, double given) {
        if (over > 1e-9) {
            check.refuse(
                    field,
                    given,
                    "a dent that lies on the part",
                    called + " reaches " + Check.shown(Math.ceil(over * 10) / 10) + " mm past the part's " + edge
                            + " edge: move it in or make it smaller.");
        }
    }

    private static void steepness(Dent d, String at, String called, Check check) {
        double most = TradeBook.value("entry.steepness.max") * Math.min(d.lengthMm(), d.widthMm());
        if (d.depthMm() > most) {
            check.refuse(
                    at + ".depthMm",
                    d.depthMm(),
                    "at most " + Check.shown(Math.floor(most * 10) / 10) + " mm for this width",
                    called + ": " + Check.shown(d.depthMm()) + " mm deep and only "
                            + Check.shown(Math.min(d.lengthMm(), d.widthMm()))
                            + " mm across would have torn the sheet. Measure depth with a straightedge across the dent.");
        }
    }
}
