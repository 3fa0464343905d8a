package vanemend.core.material;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vanemend.core.part.Tyre;
import vanemend.core.trade.Check;
import vanemend.core.trade.CsvCell;
import vanemend.core.trade.InputProblem;

/**
 * The shelf as a file: CSV with one line an item, or JSON with a list of items. Reading tells line by line what would be taken,
 * changed or refused; what is written reads back the same.
 */
public final class ShelfFile {
    /** What would come of one line. */
    public enum Outcome {
        TAKEN,
        CHANGED,
        SAME,
        REFUSED
    }

    /**
     * One line of a file.
     *
     * @param line number in the file: of a CSV line, or of an item in JSON, from 1
     * @param id as given; empty where it has none
     * @param said what changes, or why it is refused
     * @param item what would be kept; empty where it is refused
     */
    public record Line(int line, String id, Outcome outcome, String said, Optional<ShelfItem> item) {}

    /** Columns in the order they are written. */
    public static final List<String> COLUMNS = List.of(
            "id",
            "classId",
            "name",
            "lot",
            "expires",
            "quantity",
            "unit",
            "workMin",
            "sand",
            "dosePercent",
            "densityGPerMl",
            "grading",
            "grade",
            "wet",
            "opened",
            "packQuantity",
            "flashMin",
            "ratioByVolume",
            "ratioByWeight",
            "stemMm",
            "capMm",
            "tyre",
            "rollMm");

    private static final JsonMapper JSON = JsonMapper.builder()
            .changeDefaultPropertyInclusion(
                    i -> i.withValueInclusion(com.fasterxml.jackson.annotation.JsonInclude.Include.NON_NULL))
            .build();
    private static final int MOST_LINES = 5000;

    private ShelfFile() {}

    /** {@code items} as CSV; label times as {@code minutes@°C} with semicolons between. */
    public static String csv(List<ShelfItem> items) {
        StringWriter out = new StringWriter();
        try (CSVPrinter p = new CSVPrinter(
                out,
                CSVFormat.DEFAULT
                        .builder()
                        .setHeader(COLUMNS.toArray(String[]::new))
                        .get())) {
            for (ShelfItem i : items) {
                ShelfItemDraft d = ShelfItemDraft.of(i);
                CsvCell.row(
                        p,
                        d.id(),
                        d.classId(),
                        d.name(),
                        d.lot(),
                        d.expires(),
                        Check.shown(d.quantity()),
                        d.unit(),
                        shown(d.workMin()),
                        times(d.sand()),
                        shown(d.dosePercent()),
                        shown(d.densityGPerMl()),
                        d.grading(),
                        d.grade(),
                        d.wet(),
                        d.opened(),
                        shown(d.packQuantity()),
                        shown(d.flashMin()),
                        shown(d.ratioByVolume()),
                        shown(d.ratioByWeight()),
                        shown(d.stemMm()),
                        shown(d.capMm()),
                        d.tyre(),
                        shown(d.rollMm()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** {@code items} as JSON, by the published schema. */
    public static String json(List<ShelfItem> items) {
        return JSON.writerWithDefaultPrettyPrinter()
                .writeValueAsString(
                        Map.of("items", items.stream().map(ShelfItemDraft::of).toList()));
    }

    /** What would come of {@code text}, JSON where it starts with a brace, else CSV, against what stands on the shelf. */
    public static List<Line> read(String text, List<ShelfItem> shelf) {
        Map<String, ShelfItem> known = new LinkedHashMap<>();
        shelf.forEach(i -> known.put(i.id(), i));
        String trimmed = text.strip();
        if (trimmed.isEmpty()) {
            return List.of(refused(1, "", "The file is empty: expected a header line, or {\"items\": [...]}."));
        }
        List<Line> out = trimmed.startsWith("{") ? readJson(trimmed, known) : readCsv(text, known);
        return List.copyOf(out);
    }

    private static List<Line> readJson(String text, Map<String, ShelfItem> known) {
        List<Line> out = new ArrayList<>();
        JsonNode items;
        try {
            items = JSON.readTree(text).get("items");
        } catch (JacksonException e) {
            return List.of(refused(1, "", "This is no JSON: " + e.getOriginalMessage() + "."));
        }
        if (items == null || !items.isArray()) {
            return List.of(refused(1, "", "The JSON has no list called items."));
        }
        if (items.size() > MOST_LINES) {
            return List.of(tooMany());
        }
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < items.size(); i++) {
            try {
                out.add(judged(i + 1, JSON.treeToValue(items.get(i), ShelfItemDraft.class), known, seen));
            } catch (JacksonException e) {
                out.add(refused(
                        i + 1,
                        items.get(i).path("id").asString(""),
                        "A field cannot be read: " + e.getOriginalMessage()));
            }
        }
        return out;
    }

    /** Nothing of a file that is too long is taken: what was left out would not be missed. */
    private static Line tooMany() {
        return refused(
                MOST_LINES + 1, "", "A file may hold " + MOST_LINES + " items; nothing of it was read. Divide it.");
    }

    private static List<Line> readCsv(String text, Map<String, ShelfItem> known) {
        List<Line> out = new ArrayList<>();
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> unknown = parser.getHeaderNames().stream()
                    .filter(h -> !COLUMNS.contains(h))
                    .toList();
            if (!unknown.isEmpty() || !parser.getHeaderNames().contains("id")) {
                return List.of(refused(
                        1,
                        "",
                        "The header "
                                + (unknown.isEmpty()
                                        ? "has no column id"
                                        : "has unknown columns " + String.join(", ", unknown))
                                + ": expected " + String.join(", ", COLUMNS) + "."));
            }
            Set<String> seen = new HashSet<>();
            for (CSVRecord r : parser) {
                if (out.size() == MOST_LINES) {
                    return List.of(tooMany());
                }
                out.add(line(r, known, seen));
            }
        } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
            out.add(refused(out.size() + 2, "", "The CSV cannot be read from here on: " + e.getMessage() + "."));
        }
        return out;
    }

    private static Line line(CSVRecord r, Map<String, ShelfItem> known, Set<String> seen) {
        int line = (int) r.getRecordNumber() + 1;
        Check check = new Check();
        ShelfItemDraft d = new ShelfItemDraft(
                text(r, "id"),
                text(r, "classId"),
                text(r, "name"),
                text(r, "lot"),
                day(r, "expires", check),
                number(r, "quantity", check),
                text(r, "unit"),
                number(r, "workMin", check),
                times(r, check),
                number(r, "dosePercent", check),
                number(r, "densityGPerMl", check),
                text(r, "grading"),
                Optional.ofNullable(number(r, "grade", check))
                        .map(Double::intValue)
                        .orElse(null),
                sanding(r, check),
                day(r, "opened", check),
                number(r, "packQuantity", check),
                number(r, "flashMin", check),
                number(r, "ratioByVolume", check),
                number(r, "ratioByWeight", check),
                number(r, "stemMm", check),
                number(r, "capMm", check),
                tyre(r, check),
                number(r, "rollMm", check));
        if (!check.clean()) {
            return refused(line, d.id() == null ? "" : d.id(), said(check.problems()));
        }
        return judged(line, d, known, seen);
    }

    private static Line judged(int line, ShelfItemDraft d, Map<String, ShelfItem> known, Set<String> seen) {
        Check check = new Check();
        Optional<ShelfItem> item = d.check(check);
        String id = d.id() == null ? "" : d.id();
        if (item.isEmpty()) {
            return refused(line, id, said(check.problems()));
        }
        if (!seen.add(id)) {
            return refused(line, id, "The id " + id + " stands on an earlier line already.");
        }
        ShelfItem old = known.get(id);
        if (old == null) {
            return new Line(line, id, Outcome.TAKEN, "new", item);
        }
        String changes = changes(old, item.get());
        return new Line(
                line,
                id,
                changes.isEmpty() ? Outcome.SAME : Outcome.CHANGED,
                changes.isEmpty() ? "as it is" : changes,
                item);
    }

    private static String changes(ShelfItem old, ShelfItem now) {
        Map<String, Object> a =
                JSON.convertValue(ShelfItemDraft.of(old), new tools.jackson.core.type.TypeReference<>() {});
        Map<String, Object> b =
                JSON.convertValue(ShelfItemDraft.of(now), new tools.jackson.core.type.TypeReference<>() {});
        List<String> out = new ArrayList<>();
        for (String c : COLUMNS) {
            Object was = a.get(c);
            Object is = b.get(c);
            if (!java.util.Objects.equals(was, is)) {
                out.add(c + " " + (was == null ? "nothing" : Check.shown(was)) + " to "
                        + (is == null ? "nothing" : Check.shown(is)));
            }
        }
        return String.join("; ", out);
    }

    private static Line refused(int line, String id, String said) {
        return new Line(line, id, Outcome.REFUSED, said, Optional.empty());
    }

    private static String said(List<InputProblem> problems) {
        return String.join(" ", problems.stream().map(InputProblem::message).toList());
    }

    private static String shown(Double v) {
        return v == null ? null : Check.shown(v);
    }

    private static String times(List<ShelfItem.LabelTime> sand) {
        return String.join(
                ";",
                sand.stream()
                        .map(t -> Check.shown(t.minutes()) + "@" + Check.shown(t.atC()))
                        .toList());
    }

    private static String text(CSVRecord r, String column) {
        return r.isMapped(column) && r.isSet(column) && !r.get(column).isBlank() ? CsvCell.in(r.get(column)) : null;
    }

    private static Double number(CSVRecord r, String column, Check check) {
        String t = text(r, column);
        if (t == null) {
            return null;
        }
        try {
            return Double.valueOf(t);
        } catch (NumberFormatException e) {
            check.refuse(column, t, "a number", column + " is no number: " + t + ".");
            return null;
        }
    }

    private static LocalDate day(CSVRecord r, String column, Check check) {
        String t = text(r, column);
        if (t == null) {
            return null;
        }
        try {
            return LocalDate.parse(t);
        } catch (DateTimeParseException e) {
            check.refuse(
                    column,
                    t,
                    "a day such as 2027-05-31",
                    column + " is no day: " + t + ", expected such as 2027-05-31.");
            return null;
        }
    }

    private static ShelfItem.Sanding sanding(CSVRecord r, Check check) {
        String t = text(r, "wet");
        if (t == null) {
            return null;
        }
        try {
            return ShelfItem.Sanding.valueOf(t);
        } catch (IllegalArgumentException e) {
            check.refuse("wet", t, "DRY or WET_ONLY", "wet must be DRY or WET_ONLY, not " + t + ".");
            return null;
        }
    }

    private static Tyre.Use tyre(CSVRecord r, Check check) {
        String t = text(r, "tyre");
        if (t == null) {
            return null;
        }
        try {
            return Tyre.Use.valueOf(t);
        } catch (IllegalArgumentException e) {
            check.refuse("tyre", t, "CAR or TRUCK", "tyre must be CAR or TRUCK, not " + t + ".");
            return null;
        }
    }

    private static List<ShelfItem.LabelTime> times(CSVRecord r, Check check) {
        List<ShelfItem.LabelTime> out = new ArrayList<>();
        String t = text(r, "sand");
        if (t == null) {
            return out;
        }
        for (String one : t.split(";")) {
            String[] parts = one.split("@");
            try {
                out.add(new ShelfItem.LabelTime(
                        Double.parseDouble(parts[1].strip()), Double.parseDouble(parts[0].strip())));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
                check.refuse(
                        "sand",
                        one,
                        "minutes@°C, such as 18@21",
                        "sand cannot be read at " + one + ": expected minutes@°C, such as 18@21;5@45.");
                return out;
            }
        }
        return out;
    }
}
