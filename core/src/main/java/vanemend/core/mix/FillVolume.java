package vanemend.core.mix;

import java.util.Optional;

/**
 * Where the volume of a mix goes, mL.
 *
 * @param hollowMl the dents themselves
 * @param coatsMl thickness of the coats that came off, made up again
 * @param proudMl left proud, to be sanded level
 * @param skimMl tight coat into the scratches
 * @param lossMl stays on board and spreader
 */
public record FillVolume(double hollowMl, double coatsMl, double proudMl, double skimMl, double lossMl) {
    /** Everything, mL. */
    public double totalMl() {
        return onPartMl() + lossMl;
    }

    /** What ends up on the part, mL. */
    public double onPartMl() {
        return hollowMl + coatsMl + proudMl + skimMl;
    }

    /**
     * What one more round takes, mL: build and tight coat over the same area, and the hollow that is left.
     *
     * @param mlPerMm hollow for each mm of depth that is left, mL
     * @param round how it is laid
     */
    public Again again(double mlPerMm, Round round) {
        double with = onPartMl() > 0 ? totalMl() / onPartMl() : 1;
        double coat = (proudMl + skimMl) * round.share() * with;
        double tight = skimMl * round.share() * with;
        double coatMm = round.proudMm() + round.tightMm();
        Again.Papers papers = Again.Papers.ofTheBook();
        Again.Lay lay = tight > 0
                ? new Again.Lay(coatMm, tight, round.tightMm(), round.spotMm2(), papers)
                : new Again.Lay(coatMm, coat, coatMm, round.spotMm2(), papers);
        return new Again(coat, mlPerMm * with, with, 0, Double.MAX_VALUE, Optional.of(lay));
    }

    /**
     * How one more round is laid.
     *
     * @param proudMm left proud, mm
     * @param tightMm tight coat, mm
     * @param share of the area that is coated again; 1 for all of it
     * @param spotMm2 that area where the spot alone is corrected, mm²; 0 where all is coated again
     */
    public record Round(double proudMm, double tightMm, double share, double spotMm2) {
        /** All of it is coated again. */
        public static Round overAll(double proudMm, double tightMm) {
            return new Round(proudMm, tightMm, 1, 0);
        }

        /** A copy that coats {@code mm2} of {@code wholeMm2} again, the spot alone. */
        public Round spot(double mm2, double wholeMm2) {
            return new Round(proudMm, tightMm, mm2 / wholeMm2, mm2);
        }
    }

    /**
     * Volume of filler: hollow, plus coats over the filler's area, plus a build that is full over the damage and runs out to
     * nothing at the filler's edge (mean of the two areas times its height), plus a tight coat over all, plus a share lost.
     * Volumes mm³, areas mm², heights mm.
     */
    public static FillVolume of(
            double hollowMm3,
            double damageMm2,
            double faceMm2,
            double coatsMm,
            double proudMm,
            double skimMm,
            double lossShare) {
        double hollow = hollowMm3 / 1000;
        double tapered = (damageMm2 + faceMm2) / 2 / 1000;
        double coats = tapered * coatsMm;
        double proud = tapered * proudMm;
        double skim = faceMm2 / 1000 * skimMm;
        return new FillVolume(hollow, coats, proud, skim, (hollow + coats + proud + skim) * lossShare);
    }
}
