package vanemend.core.record;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import vanemend.core.trade.Check;
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
                p.printRecord(
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
                    p.printRecord("reading or note", l.doneAt(), l.step(), r, "", "", "", "", "", l.by());
                }
            }
            for (RepairRecord.DoseLine d : record.doses()) {
                p.printRecord(
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
                p.printRecord(
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
                p.printRecord("deviation", d.at(), d.step(), d.text() + ": " + d.consequence(), "", "", "", "", "", "");
            }
            for (var a : record.amended()) {
                p.printRecord("put right", a.at(), "", a.said() + ": " + a.reason(), "", "", "", "", "", a.by());
            }
            for (var t : record.takenBack()) {
                p.printRecord("taken back", t.at(), "", t.said() + ": " + t.reason(), "", "", "", "", "", t.by());
            }
            if (record.signed().isPresent()) {
                var s = record.signed().get();
                p.printRecord(s.stands() ? "signed" : "sent back", s.at(), "", s.why(), "", "", "", "", "", s.by());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Text.plain(out.toString());
    }

    private static String tenth(double v) {
        return Check.shown(Math.round(v * 10) / 10.0);
    }
}
