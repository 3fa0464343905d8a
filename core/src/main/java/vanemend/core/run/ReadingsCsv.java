package vanemend.core.run;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import vanemend.core.trade.Check;
import vanemend.core.trade.CsvCell;
import vanemend.core.trade.Quantity;

/**
 * Readings as CSV, one line each: {@code at} (ISO 8601 with zone), {@code quantity}, {@code value} in {@code unit}, and where known the
 * {@code step} and the {@code source}. What is written reads back the same.
 */
public final class ReadingsCsv {
    /**
     * A line that was read.
     *
     * @param line in the file, from 1
     * @param step instance it was read at; empty where the file does not say
     * @param source device; empty where typed
     * @param logged whether the device gave it by itself
     */
    public record Row(
            int line, Instant at, Quantity quantity, double value, String step, String source, boolean logged) {}

    private static final String[] COLUMNS = {"at", "quantity", "value", "unit", "step", "source", "logged"};
    private static final String LOGGED = "logged";
    private static final int MOST_LINES = 5000;
    private static final int LONGEST = 200;

    private ReadingsCsv() {}

    /** {@code readings} under a header. */
    public static String of(List<RunState.Reading> readings) {
        StringWriter out = new StringWriter();
        try (CSVPrinter p = new CSVPrinter(
                out, CSVFormat.DEFAULT.builder().setHeader(COLUMNS).get())) {
            for (RunState.Reading r : readings) {
                CsvCell.row(
                        p,
                        r.at(),
                        r.quantity(),
                        r.value(),
                        r.quantity().unit(),
                        r.step(),
                        r.source(),
                        r.logged() ? LOGGED : "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** The lines of {@code text}; each that cannot be taken is a problem in {@code check} with its line and column. */
    public static List<Row> read(String text, Check check) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        List<Row> out = new ArrayList<>();
        try (CSVParser parser =
                CSVParser.parse(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text), format)) {
            for (String needed : List.of("at", "quantity", "value")) {
                if (!parser.getHeaderNames().contains(needed)) {
                    check.refuse(
                            "file",
                            String.join(",", parser.getHeaderNames()),
                            String.join(",", COLUMNS),
                            "The first line names the columns: " + needed + " is missing. Expected "
                                    + String.join(", ", COLUMNS) + ".");
                    return List.of();
                }
            }
            for (CSVRecord r : parser) {
                if (out.size() == MOST_LINES) {
                    check.refuse(
                            "file",
                            "more lines",
                            MOST_LINES + " lines",
                            "A file may hold " + MOST_LINES + " readings.");
                    return List.of();
                }
                row(r, check, out);
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            check.refuse("file", "", "CSV", "This cannot be read as CSV: " + e.getMessage());
            return List.of();
        }
        return List.copyOf(out);
    }

    private static void row(CSVRecord r, Check check, List<Row> out) {
        int line = (int) r.getRecordNumber() + 1;
        String where = "line " + line;
        int before = check.problems().size();
        Instant at = time(r.get("at"), where, check);
        Quantity quantity = quantity(r.get("quantity"), where, check);
        double value = number(r.get("value"), where, check);
        if (quantity != null && !Double.isNaN(value)) {
            String unit = of(r, "unit");
            if (!unit.isEmpty() && !unit.equals(quantity.unit())) {
                check.refuse(
                        where + ".unit",
                        unit,
                        quantity.unit(),
                        "Line " + line + ": " + quantity.word() + " is read in " + quantity.unit() + ", not in " + unit
                                + ".");
            }
            check.range(
                    where + ".value",
                    "Line " + line + ": " + quantity.word(),
                    value,
                    quantity.min(),
                    quantity.max(),
                    quantity.unit());
        }
        if (check.problems().size() == before) {
            out.add(new Row(
                    line,
                    at,
                    quantity,
                    value,
                    of(r, "step"),
                    of(r, "source"),
                    of(r, "logged").equals(LOGGED)));
        }
    }

    private static Instant time(String given, String where, Check check) {
        try {
            return Instant.parse(given);
        } catch (DateTimeParseException e) {
            check.refuse(
                    where + ".at",
                    given,
                    "a time such as 2026-11-25T14:32:00Z",
                    sentence(where) + ": “" + given + "” is no time: expected one such as 2026-11-25T14:32:00Z.");
            return null;
        }
    }

    private static Quantity quantity(String given, String where, Check check) {
        for (Quantity a : Quantity.values()) {
            if (a.name().equalsIgnoreCase(given)) {
                return a;
            }
        }
        String known = Arrays.stream(Quantity.values()).map(Enum::name).collect(Collectors.joining(", "));
        check.refuse(
                where + ".quantity",
                given,
                known,
                sentence(where) + ": “" + given + "” is not read here: expected one of " + known + ".");
        return null;
    }

    private static double number(String given, String where, Check check) {
        try {
            return Double.parseDouble(given.replace(',', '.'));
        } catch (NumberFormatException e) {
            check.refuse(where + ".value", given, "a number", sentence(where) + ": “" + given + "” is no number.");
            return Double.NaN;
        }
    }

    private static String sentence(String where) {
        return where.substring(0, 1).toUpperCase(Locale.ROOT) + where.substring(1);
    }

    private static String of(CSVRecord r, String column) {
        if (!r.isMapped(column) || !r.isSet(column)) {
            return "";
        }
        String v = CsvCell.in(r.get(column));
        return v.length() > LONGEST ? v.substring(0, LONGEST) : v;
    }
}
