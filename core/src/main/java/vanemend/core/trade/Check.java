package vanemend.core.trade;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/**
 * Collects every problem of a draft instead of stopping at the first, so that a technician is told once. Methods return a
 * stand-in when the input is refused; nothing may be computed from a draft whose check has problems.
 */
public final class Check {
    private final List<InputProblem> problems = new ArrayList<>();

    /** What was refused so far. */
    public List<InputProblem> problems() {
        return List.copyOf(problems);
    }

    /** True while nothing was refused. */
    public boolean clean() {
        return problems.isEmpty();
    }

    /** Refuses {@code field}. */
    public void refuse(String field, Object given, String expected, String message) {
        problems.add(new InputProblem(field, given == null ? "" : shown(given), expected, message));
    }

    /** Takes over what {@code part} refused, each field under {@code name}. */
    public void within(String name, Check part) {
        part.problems.forEach(
                p -> problems.add(new InputProblem(name + "." + p.field(), p.given(), p.expected(), p.message())));
    }

    /** A number from {@code min} to {@code max}, both allowed, in {@code unit}. */
    public double range(String field, String name, Double given, double min, double max, String unit) {
        String expected = "from " + Text.between(min, max, unit);
        if (given == null) {
            refuse(field, null, expected, name + " is missing: type a size " + expected + ".");
            return min;
        }
        if (given.isNaN() || given.isInfinite()) {
            refuse(field, given, expected, name + " is not a number: type a size " + expected + ".");
            return min;
        }
        if (given < min || given > max) {
            refuse(
                    field,
                    given,
                    expected,
                    name + " of " + (given < min ? Text.atMost(given, unit) : Text.atLeast(given, unit))
                            + " cannot be right: expected " + expected + ".");
            return min;
        }
        return given;
    }

    /** A text of one to {@code most} characters, trimmed. */
    public String text(String field, String name, String given, int most) {
        String t = given == null ? "" : given.strip();
        if (t.isEmpty()) {
            refuse(field, given, "1 to " + most + " characters", name + " is missing: say what it is.");
        } else if (t.length() > most) {
            refuse(
                    field,
                    t.length() + " characters",
                    "1 to " + most + " characters",
                    name + " has " + t.length() + " characters; at most " + most + " fit.");
        }
        return t;
    }

    /** A choice that must have been made. */
    public <T> T choice(String field, String name, T given, T standIn) {
        if (given == null) {
            refuse(field, null, "one of the choices", name + " is not chosen yet.");
            return standIn;
        }
        return given;
    }

    /** Plain digits, no exponent, no trailing zeros. */
    public static String shown(Object o) {
        if (o instanceof Double d && Double.isFinite(d)) {
            char[] text = new char[Digits.ROOM];
            int end = Digits.write(d, text, 0);
            return end < 0 ? BigDecimal.valueOf(d).stripTrailingZeros().toPlainString() : new String(text, 0, end);
        }
        return String.valueOf(o);
    }
}
