package vanemend.app.web;

import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdScalarSerializer;

/**
 * Numbers of four decimals or fewer, which nearly all of a drawing's are, written digit by digit: finding the shortest text of any number
 * takes several times as long, and a drawing has thousands. Read back, it is the same number.
 */
@Component
class Decimals extends SimpleModule {
    private static final double SCALE = 10_000;
    private static final int PLACES = 4;
    private static final double LARGEST = 1e14;
    private static final int ROOM = 24;

    Decimals() {
        super("decimals");
        addSerializer(Double.class, new Writer());
        addSerializer(Double.TYPE, new Writer());
    }

    private static final class Writer extends StdScalarSerializer<Double> {
        Writer() {
            super(Double.class);
        }

        @Override
        public void serialize(Double v, JsonGenerator out, SerializationContext context) {
            char[] text = new char[ROOM];
            int from = digits(v, text);
            if (from < 0) {
                out.writeNumber(v.doubleValue());
            } else {
                out.writeNumber(text, from, ROOM - from);
            }
        }
    }

    /** Writes {@code v} at the end of {@code text} and answers where it begins; negative where it has more decimals. */
    static int digits(double v, char[] text) {
        double scaled = Math.rint(v * SCALE);
        // Not even the sign of a nought is lost.
        boolean lessThanNought = v == 0 && 1 / v < 0;
        if (lessThanNought || !(Math.abs(scaled) < LARGEST) || scaled / SCALE != v) {
            return -1;
        }
        long all = Math.abs((long) scaled);
        long whole = all / (long) SCALE;
        int rest = (int) (all - whole * (long) SCALE);
        int at = text.length;
        if (rest != 0) {
            int places = PLACES;
            for (; rest % 10 == 0; rest /= 10) {
                places--;
            }
            for (; places > 0; places--) {
                text[--at] = (char) ('0' + rest % 10);
                rest /= 10;
            }
            text[--at] = '.';
        }
        do {
            text[--at] = (char) ('0' + whole % 10);
            whole /= 10;
        } while (whole > 0);
        if (scaled < 0) {
            text[--at] = '-';
        }
        return at;
    }
}
