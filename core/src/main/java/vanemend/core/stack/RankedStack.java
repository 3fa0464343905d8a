package vanemend.core.stack;

import java.util.List;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.SchoolFollowed;

/**
 * One whole stack and how it scores.
 *
 * @param recipe id of the way to mend
 * @param method that it is a way of
 * @param title name of the method, as said
 * @param name what tells it from its sisters
 * @param lines roles in working order
 * @param missing what the shelf lacks for it, in words; empty where it is complete
 * @param score 0 to 1
 * @param terms what makes up the score, weights as in the rule book
 * @param wins what it is better at than the others
 * @param losses what it is worse at
 * @param schools house rules it belongs to, and whether the house follows them
 */
public record RankedStack(
        String recipe,
        MethodId method,
        String title,
        String name,
        List<StackLine> lines,
        List<String> missing,
        double score,
        List<ScoreTerm> terms,
        List<String> wins,
        List<String> losses,
        List<Followed> schools) {
    /**
     * One term of the score.
     *
     * @param id name in the rule book, such as {@code strength}
     * @param word as said
     * @param weight share of the whole, 0 to 1
     * @param value how well it does, 0 to 1
     * @param said the figure behind it
     */
    public record ScoreTerm(String id, String word, double weight, double value, String said) {}

    /**
     * A school this stack belongs to.
     *
     * @param school which, and how it is answered
     * @param house whether that is the house's own answer
     */
    public record Followed(SchoolFollowed school, boolean house) {}

    /** Name, place and score alone. */
    public RankedStack sketch() {
        return new RankedStack(
                recipe, method, title, name, List.of(), missing, score, List.of(), List.of(), List.of(), List.of());
    }

    /** Whether the shelf holds everything it asks for. */
    public boolean complete() {
        return missing.isEmpty();
    }
}
