package vanemend.core.trade;

import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Words with quantities. A text that a person reads holds each figure as a quantity between the signs {@code ⟦} and {@code ⟧}, in the
 * unit it is kept in, with what it is where that matters: {@code at most ⟦3 mm most⟧}, {@code ⟦25 mm =1⟧ past the hole},
 * {@code from ⟦10 to 24 °C⟧}. The screen says each in the shop's own units, a maximum rounded down and a minimum up; {@link #plain} says
 * it as kept. A figure after {@code =} is its twin in inches, where the trade prints the value as a pair.
 *
 * <p>Read as {@code ⟦ number [to number | : number] [unit] [most|least] [=inches] ⟧}, parted by single spaces; the unit has no space and is empty for a
 * pure number.
 */
public final class Text {
    private static final String NUMBER = "-?\\d+(?:\\.\\d+|:\\d\\d)?";
    private static final Pattern QUANTITY = Pattern.compile("⟦(" + NUMBER + "(?: (?:to|:) " + NUMBER + ")?)"
            + "(?: (?!most\\b|least\\b|=)([^ ⟧]+))?(?: (?:most|least))?(?: =[0-9.]+)?⟧");
    private static final Pattern BY_ID = Pattern.compile("\\{([a-z0-9-]+(?:\\.[A-Za-z0-9-]+)+)}");

    private Text() {}

    /** Which way a quantity may be rounded where it is said in other units. */
    public enum Bound {
        /** To the nearest. */
        NONE(""),
        /** Never up. */
        MAX(" most"),
        /** Never down. */
        MIN(" least");

        private final String mark;

        Bound(String mark) {
            this.mark = mark;
        }

        /** The bound kept as {@code text}: {@code max}, {@code min} or empty. */
        public static Bound of(String text) {
            return text.isEmpty() ? NONE : valueOf(text.toUpperCase(Locale.ROOT));
        }
    }

    /** {@code value} in {@code unit}; the unit is empty for a pure number. */
    public static String of(double value, String unit) {
        return quantity(Check.shown(value), unit, Bound.NONE, Optional.empty());
    }

    /** A maximum. */
    public static String atMost(double value, String unit) {
        return quantity(Check.shown(value), unit, Bound.MAX, Optional.empty());
    }

    /** A minimum. */
    public static String atLeast(double value, String unit) {
        return quantity(Check.shown(value), unit, Bound.MIN, Optional.empty());
    }

    /** What is held against a maximum: said in other units it stays on its own side of it. */
    public static String underMost(double value, String unit, boolean over) {
        return over ? atLeast(value, unit) : atMost(value, unit);
    }

    /** What is held against a minimum: said in other units it stays on its own side of it. */
    public static String overLeast(double value, String unit, boolean under) {
        return under ? atMost(value, unit) : atLeast(value, unit);
    }

    /** From {@code min} to {@code max}, both allowed: said in other units it grows no wider. */
    public static String between(double min, double max, String unit) {
        return quantity(Check.shown(min) + " to " + Check.shown(max), unit, Bound.NONE, Optional.empty());
    }

    /** A quantity of {@code value} with all that is known of it. */
    public static String of(double value, String unit, Bound bound, Optional<Double> inches) {
        return quantity(Check.shown(value), unit, bound, inches);
    }

    private static String quantity(String figures, String unit, Bound bound, Optional<Double> inches) {
        if (unit.equals("min") && inHours(figures)) {
            return quantity(Check.shown(Double.parseDouble(figures) / 60), "h", bound, inches);
        }
        if (unit.contains(" ")) {
            // A unit that is words itself has no other system.
            return figures + " " + unit;
        }
        String twin = inches.isPresent() ? " =" + Check.shown(inches.get()) : "";
        return "⟦" + figures + (unit.isEmpty() ? "" : " " + unit) + bound.mark + twin + "⟧";
    }

    /** Whole hours from two on are said as hours. */
    private static boolean inHours(String minutes) {
        return !minutes.contains(" ") && Double.parseDouble(minutes) >= 120 && Double.parseDouble(minutes) % 60 == 0;
    }

    /** So many parts to so many. */
    public static String ratio(double one, double other) {
        return "⟦" + Check.shown(one) + " : " + Check.shown(other) + "⟧";
    }

    /** A stretch of minutes and seconds: 2:24 min. */
    public static String clock(double min) {
        long s = Math.round(min * 60);
        return "⟦" + s / 60 + ":" + String.format(Locale.ROOT, "%02d", s % 60) + " min⟧";
    }

    /** The value of the trade's book or the limit called {@code id}, as the book says it. */
    public static String book(String id) {
        return TradeBook.shipped().said(id);
    }

    /**
     * {@code words} with every {@code {id}} filled in by what the book says; an id that the book does not have is a fault, said by name.
     */
    public static String fill(String words) {
        return fill(words, Text::book);
    }

    /** {@code words} with every {@code {id}} filled in by {@code said}. */
    static String fill(String words, UnaryOperator<String> said) {
        return words.indexOf('{') < 0
                ? words
                : BY_ID.matcher(words).replaceAll(m -> Matcher.quoteReplacement(said.apply(m.group(1))));
    }

    /** Whether {@code words} hold a sign that stands for a quantity: none can be typed. */
    public static boolean holdsSigns(String words) {
        return words.indexOf('⟦') >= 0 || words.indexOf('⟧') >= 0;
    }

    /** {@code words} as they are said in the units they are kept in: 3 mm, 25°. */
    public static String plain(String words) {
        if (words.indexOf('⟦') < 0) {
            return words;
        }
        return QUANTITY.matcher(words)
                .replaceAll(m -> Matcher.quoteReplacement(m.group(1) + unit(m.group(1), m.group(2))));
    }

    private static String unit(String figures, String unit) {
        if (unit == null) {
            return "";
        }
        boolean one = figures.equals("1") && unit.length() > 3 && unit.endsWith("s");
        return unit.equals("°") ? unit : " " + (one ? unit.substring(0, unit.length() - 1) : unit);
    }
}
