package vanemend.core.record;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Arrays;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import vanemend.core.trade.Check;
import vanemend.core.trade.CsvCell;
import vanemend.core.trade.Text;

/** A record as CSV: a line for every step, mix, amount, deviation and amendment. Times ISO 8601, minutes to one decimal. */
public final class RecordCsv {
    private RecordCsv() {}

    /** The lines of {@code record} under one header. */
    public static String of(RepairRecord record) {
        StringWriter out = new StringWriter();
        try (CSVPrinter p = new CSVPrinter(
                out,
                CSVFormat.DEFAULT
                        .builder()
                        .setHeader(
                                "what", "at", "step", "said", "plannedMin", "takenMin", "amount", "unit", "lot", "by")
                        .get())) {
            for (RepairRecord.Line l : record.lines()) {
                row(
                        p,
                        "step",
                        l.doneAt(),
                        l.step(),
                        l.title() + (l.answer().isEmpty() ? "" : ": " + l.answer()),
                        tenth(l.plannedMin()),
                        tenth(l.takenMin()),
                        "",
                        "",
                        "",
                        l.by());
                for (String r : l.remarks()) {
                    row(p, "reading or note", l.doneAt(), l.step(), r, "", "", "", "", "", l.by());
                }
            }
            for (RepairRecord.DoseLine d : record.doses()) {
                row(
                        p,
                        "mix",
                        "",
                        d.step(),
                        d.title()
                                + d.percent()
                                        .map(x -> ", cream " + tenth(x) + " %")
                                        .orElse(", not weighed"),
                        "",
                        "",
                        d.fillerG().map(RecordCsv::tenth).orElse(""),
                        d.fillerG().isPresent() ? "g" : "",
                        d.lot(),
                        "");
            }
            for (Used u : record.used()) {
                row(
                        p,
                        "used",
                        "",
                        "",
                        u.name() + (u.read() ? ", as read" : ", as planned"),
                        "",
                        "",
                        tenth(u.amount()),
                        u.unit(),
                        u.lot(),
                        "");
            }
            for (Deviation d : record.deviations()) {
                row(p, "deviation", d.at(), d.step(), d.text() + ": " + d.consequence(), "", "", "", "", "", "");
            }
            for (var a : record.amended()) {
                row(p, "put right", a.at(), "", a.said() + ": " + a.reason(), "", "", "", "", "", a.by());
            }
            for (var t : record.takenBack()) {
                row(p, "taken back", t.at(), "", t.said() + ": " + t.reason(), "", "", "", "", "", t.by());
            }
            for (var u : record.uncounted()) {
                row(p, "not counted", u.at(), "", u.said() + ": " + u.why(), "", "", "", "", "", u.by());
            }
            if (record.signed().isPresent()) {
                var s = record.signed().get();
                row(p, s.stands() ? "signed" : "sent back", s.at(), "", s.why(), "", "", "", "", "", s.by());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** Words are made plain first: what a cell begins with then is what a spreadsheet sees. */
    private static void row(CSVPrinter p, Object... cells) throws IOException {
        CsvCell.row(
                p,
                Arrays.stream(cells)
                        .map(c -> c instanceof String s ? Text.plain(s) : c)
                        .toArray());
    }

    private static String tenth(double v) {
        return Check.shown(Math.round(v * 10) / 10.0);
    }
}
