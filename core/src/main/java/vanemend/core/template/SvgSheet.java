package vanemend.core.template;

import java.util.List;
import java.util.Locale;

/** A template as SVG, its user unit one millimetre. */
public final class SvgSheet {
    private SvgSheet() {}

    /** The whole file. */
    public static String of(Template t) {
        StringBuilder out = new StringBuilder();
        out.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        out.append(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.3fmm\" height=\"%.3fmm\" viewBox=\"0 0 %.3f %.3f\">%n",
                t.widthMm(),
                t.heightMm(),
                t.widthMm(),
                t.heightMm()));
        out.append("<title>").append(escaped(t.title())).append("</title>\n");
        for (Template.Line l : t.lines()) {
            out.append(String.format(
                    Locale.ROOT,
                    "<path class=\"%s\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.2\" d=\"%s\"/>%n",
                    l.kind().name().toLowerCase(Locale.ROOT),
                    path(l, t.heightMm())));
        }
        for (Template.Word w : t.words()) {
            out.append(String.format(
                    Locale.ROOT,
                    "<text x=\"%.3f\" y=\"%.3f\" font-family=\"sans-serif\" font-size=\"%.2f\">%s</text>%n",
                    w.xMm(),
                    t.heightMm() - w.yMm(),
                    w.heightMm(),
                    escaped(w.text())));
        }
        return out.append("</svg>\n").toString();
    }

    private static String path(Template.Line l, double height) {
        StringBuilder d = new StringBuilder();
        List<Double> xy = l.xy();
        for (int i = 0; i < xy.size(); i += 2) {
            d.append(String.format(Locale.ROOT, "%s%.3f %.3f", i == 0 ? "M" : "L", xy.get(i), height - xy.get(i + 1)));
        }
        return l.closed() ? d.append('Z').toString() : d.toString();
    }

    private static String escaped(String s) {
        return s.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
