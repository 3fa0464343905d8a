package vanemend.core.trade;

import java.io.IOException;
import java.util.Arrays;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVPrinter;

/**
 * Cells of a CSV file that a spreadsheet may open: text that it would take for a formula gets an apostrophe before it, and loses it again on
 * the way in.
 */
public final class CsvCell {
    private static final String FORMULA = "=+-@\t\r";
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(?:\\.\\d+)?(?:[eE][+-]?\\d+)?");

    private CsvCell() {}

    /** Writes {@code cells} as one row. */
    public static void row(CSVPrinter out, Object... cells) throws IOException {
        out.printRecord(Arrays.stream(cells)
                .map(c -> c == null || c instanceof Number ? c : out(c.toString()))
                .toArray());
    }

    /** {@code text} as it is written. */
    public static String out(String text) {
        return kept(text) && !NUMBER.matcher(text).matches() ? "'" + text : text;
    }

    /** {@code cell} as it was before it was written. */
    public static String in(String cell) {
        return cell.startsWith("'") && kept(cell.substring(1)) ? cell.substring(1) : cell;
    }

    /** Whether {@code text} begins as a formula does, after any apostrophes. */
    private static boolean kept(String text) {
        int i = 0;
        while (i < text.length() && text.charAt(i) == '\'') {
            i++;
        }
        return i < text.length() && FORMULA.indexOf(text.charAt(i)) >= 0;
    }
}
