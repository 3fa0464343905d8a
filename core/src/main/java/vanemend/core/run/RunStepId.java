package vanemend.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which step of a run: a step of the plan, or one that a gate's answers put in, and the how-manieth time it is asked. Its text is what
 * events and readings are kept under, such as {@code palm}, {@code palm~2} for the palm test asked again, {@code palm:low/spread} for the
 * spreading that its answer {@code low} put in, and {@code palm:low/wait:soft/more} for what a wait in there put in.
 *
 * @param rounds the answers that put it in, outermost first; none for a step of the plan
 * @param step step of the plan or of the innermost loop
 * @param time from 1, each time the same gate is asked again one more
 */
public record RunStepId(List<Round> rounds, String step, int time) {
    /**
     * One answer of a gate that put steps in.
     *
     * @param gate step whose gate was answered
     * @param time how often it had been asked, from 1
     * @param answer branch that was taken
     */
    public record Round(String gate, int time, String answer) {
        private String text() {
            return named(gate, time) + ":" + answer + "/";
        }
    }

    private static final String NAME = "[^~:/]+";
    private static final Pattern ROUND = Pattern.compile("(" + NAME + ")(?:~(\\d+))?:(" + NAME + ")/");
    private static final Pattern LAST = Pattern.compile("(" + NAME + ")(?:~(\\d+))?");

    public RunStepId {
        rounds = List.copyOf(rounds);
        if (step.isEmpty() || time < 1) {
            throw new IllegalArgumentException("a step of a run has a name and a time from 1: " + step + ", " + time);
        }
    }

    /** The step of the plan called {@code step}. */
    public static RunStepId of(String step) {
        return new RunStepId(List.of(), step, 1);
    }

    /** Reads what {@link #text()} wrote; throws {@link IllegalArgumentException} for anything else. */
    public static RunStepId parse(String text) {
        List<Round> rounds = new ArrayList<>();
        Matcher round = ROUND.matcher(text);
        int at = 0;
        while (round.find(at) && round.start() == at) {
            rounds.add(new Round(round.group(1), time(round.group(2)), round.group(3)));
            at = round.end();
        }
        Matcher last = LAST.matcher(text.substring(at));
        if (!last.matches()) {
            throw new IllegalArgumentException("“" + text + "” is no step of a run");
        }
        return new RunStepId(rounds, last.group(1), time(last.group(2)));
    }

    private static int time(String digits) {
        return digits == null ? 1 : Integer.parseInt(digits);
    }

    private static String named(String name, int time) {
        return time == 1 ? name : name + "~" + time;
    }

    /** As it is kept. */
    public String text() {
        return path() + named(step, time);
    }

    /** What the text of every step begins with that stands in the same round; empty for the plan's own. */
    public String path() {
        StringBuilder out = new StringBuilder();
        rounds.forEach(r -> out.append(r.text()));
        return out.toString();
    }

    /** This gate, asked once more. */
    RunStepId again() {
        return new RunStepId(rounds, step, time + 1);
    }

    /** The step {@code inner} of the loop that this gate's {@code answer} puts in. */
    RunStepId inserted(String answer, String inner) {
        List<Round> deeper = new ArrayList<>(rounds);
        deeper.add(new Round(step, time, answer));
        return new RunStepId(deeper, inner, 1);
    }

    /** Step of the plan that it belongs to: itself, or the gate that all of it began with. */
    public String base() {
        return rounds.isEmpty() ? step : rounds.getFirst().gate();
    }
}
