package vanemend.core.template;

import java.util.List;
import java.util.Locale;

/** A template as DXF (release 12, text), in millimetres: layer CUT for the knife, layer CHECK for the rule and the words. */
public final class DxfSheet {
    private static final int CLOSED = 1;

    private final StringBuilder out = new StringBuilder();

    private DxfSheet() {}

    /** The whole file. */
    public static String of(Template t) {
        DxfSheet d = new DxfSheet();
        d.put(0, "SECTION").put(2, "HEADER").put(9, "$ACADVER").put(1, "AC1009");
        d.put(9, "$EXTMIN").point(10, 0, 0).put(9, "$EXTMAX").point(10, t.widthMm(), t.heightMm());
        d.put(0, "ENDSEC")
                .put(0, "SECTION")
                .put(2, "TABLES")
                .put(0, "TABLE")
                .put(2, "LAYER")
                .put(70, "2");
        d.layer("CUT", 7).layer("CHECK", 5);
        d.put(0, "ENDTAB").put(0, "ENDSEC").put(0, "SECTION").put(2, "ENTITIES");
        t.lines().forEach(d::line);
        for (Template.Word w : t.words()) {
            d.put(0, "TEXT").put(8, "CHECK").point(10, w.xMm(), w.yMm());
            d.number(40, w.heightMm()).put(1, ascii(w.text()));
        }
        return d.put(0, "ENDSEC").put(0, "EOF").out.toString();
    }

    private DxfSheet layer(String name, int colour) {
        return put(0, "LAYER")
                .put(2, name)
                .put(70, "0")
                .put(62, Integer.toString(colour))
                .put(6, "CONTINUOUS");
    }

    private void line(Template.Line l) {
        String layer = l.kind().name();
        put(0, "POLYLINE").put(8, layer).put(66, "1").point(10, 0, 0);
        put(70, Integer.toString(l.closed() ? CLOSED : 0));
        List<Double> xy = l.xy();
        for (int i = 0; i < xy.size(); i += 2) {
            put(0, "VERTEX").put(8, layer).point(10, xy.get(i), xy.get(i + 1));
        }
        put(0, "SEQEND").put(8, layer);
    }

    private DxfSheet point(int code, double x, double y) {
        return number(code, x).number(code + 10, y).number(code + 20, 0);
    }

    private DxfSheet number(int code, double v) {
        return put(code, String.format(Locale.ROOT, "%.4f", v));
    }

    private DxfSheet put(int code, String value) {
        out.append(String.format(Locale.ROOT, "%3d%n", code)).append(value).append('\n');
        return this;
    }

    /** Release 12 knows no letters past ASCII: they go as their code. */
    private static String ascii(String s) {
        StringBuilder a = new StringBuilder();
        s.chars().forEach(c -> {
            if (c < 127) {
                a.append((char) c);
            } else {
                a.append(String.format(Locale.ROOT, "\\U+%04X", c));
            }
        });
        return a.toString();
    }
}
