package vanemend.core.sanding;

import vanemend.core.footprint.Zone;

/**
 * One paper of the ladder.
 *
 * @param id step id
 * @param leg leg of the ladder it belongs to
 * @param paper as printed, such as P180
 * @param grading P or CAMI
 * @param grade number printed on it
 * @param itemId shelf item
 * @param grainUm median grain, µm
 * @param ratio how many times finer than the paper before; 1 for the first of a leg
 * @param zone it must stay within
 * @param tool tool
 * @param motion how
 * @param sign when it is done
 * @param minutes hands-on, min
 * @param discs discs or sheets
 * @param stage what it is sanded for, as said
 * @param note what to know; empty for none
 */
public record Rung(
        String id,
        String leg,
        String paper,
        String grading,
        int grade,
        String itemId,
        double grainUm,
        double ratio,
        Zone.Kind zone,
        Tool tool,
        String motion,
        String sign,
        double minutes,
        int discs,
        String stage,
        String note) {

    /** A copy under another name. */
    public Rung named(String other) {
        return new Rung(
                other, leg, paper, grading, grade, itemId, grainUm, ratio, zone, tool, motion, sign, minutes, discs,
                stage, note);
    }

    /** A copy held by another tool, moved {@code how}, with another note. */
    public Rung by(Tool other, String how, String what) {
        return new Rung(
                id, leg, paper, grading, grade, itemId, grainUm, ratio, zone, other, how, sign, minutes, discs, stage,
                what);
    }

    /** A copy that stays within {@code other}. */
    public Rung within(Zone.Kind other) {
        return new Rung(
                id, leg, paper, grading, grade, itemId, grainUm, ratio, other, tool, motion, sign, minutes, discs,
                stage, note);
    }

    /** A copy on another paper. */
    Rung on(Paper p) {
        return new Rung(
                id,
                leg,
                p.label(),
                p.grading(),
                p.grade(),
                p.item().id(),
                p.um(),
                ratio,
                zone,
                tool,
                motion,
                sign,
                minutes,
                discs,
                stage,
                note);
    }
}
