package vanemend.core.part;

import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Polygon;

/**
 * The part as it lies on the bench, {@code widthMm} by {@code heightMm}, origin at its lower left corner, x to the right, y up.
 *
 * @param name what it is called in the shop
 * @param vehicle vehicle and number
 * @param substrate what it is made of
 * @param widthMm mm
 * @param heightMm mm
 * @param coats from the metal up
 * @param reach which sides a hand gets to
 * @param bodyLines creases that a fine zone stops at
 * @param answers what was answered to the rules that ask, by rule id
 * @param outline its edge
 * @param face what lies on the face besides its coats
 * @param back what lies on the back
 */
public record Part(
        String name,
        String vehicle,
        Substrate substrate,
        double widthMm,
        double heightMm,
        List<Coat> coats,
        Reach reach,
        List<BodyLine> bodyLines,
        Map<String, Answer> answers,
        Outline outline,
        List<SurfaceState> face,
        List<SurfaceState> back) {

    /** Sides a hand gets to. */
    public enum Reach {
        BOTH_SIDES,
        FACE_ONLY
    }

    /** Answer to a rule that asks. */
    public enum Answer {
        YES,
        NO,
        UNKNOWN
    }

    /**
     * A crease or feature line, straight from one point to another; it is taken to run on to the part's edges.
     *
     * @param name as said
     */
    public record BodyLine(String name, double x1Mm, double y1Mm, double x2Mm, double y2Mm) {}

    /** Thickness of all coats for which {@code ground} holds, mm. */
    public double coatsMm(boolean ground) {
        double um = 0;
        for (Coat c : coats) {
            um += c.kind().isGround() == ground ? c.thicknessUm() : 0;
        }
        return um / 1000;
    }

    /** Its edge, mm. */
    public Polygon shape() {
        return outline.polygon(widthMm, heightMm);
    }

    /** The answer to {@code ruleId}, unknown when never asked. */
    public Answer answer(String ruleId) {
        return answers.getOrDefault(ruleId, Answer.UNKNOWN);
    }
}
