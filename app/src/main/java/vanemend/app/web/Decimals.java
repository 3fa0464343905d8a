package vanemend.app.web;

import com.fasterxml.jackson.annotation.JsonFormat;
import java.util.Collection;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.SerializationConfig;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.jsontype.TypeSerializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.Serializers;
import tools.jackson.databind.ser.std.StdScalarSerializer;
import tools.jackson.databind.ser.std.StdSerializer;
import tools.jackson.databind.type.CollectionType;

/**
 * Numbers of four decimals or fewer, which nearly all of a drawing's are, written digit by digit: finding the shortest text of any number
 * takes several times as long, and a drawing has thousands. A list of them is put together here and handed over in one piece. Read back,
 * it is the same number.
 */
@Component
class Decimals extends SimpleModule {
    private static final int SCALE = 10_000;
    private static final double LARGEST = 1e12;
    private static final int ROOM = 26;
    private static final int PIECE = 1024;

    /** Both digits of 0 to 99, so that two are written at a time. */
    private static final char[] TENS = new char[100];

    private static final char[] ONES = new char[100];

    static {
        for (int i = 0; i < 100; i++) {
            TENS[i] = (char) ('0' + i / 10);
            ONES[i] = (char) ('0' + i % 10);
        }
    }

    Decimals() {
        super("decimals");
        addSerializer(Double.class, new Writer());
        addSerializer(Double.TYPE, new Writer());
    }

    @Override
    public void setupModule(SetupContext context) {
        super.setupModule(context);
        context.addSerializers(new Serializers.Base() {
            @Override
            public ValueSerializer<?> findCollectionSerializer(
                    SerializationConfig config,
                    CollectionType type,
                    BeanDescription.Supplier description,
                    JsonFormat.Value format,
                    TypeSerializer ofType,
                    ValueSerializer<Object> ofElement) {
                return type.getContentType().hasRawClass(Double.class) ? new ListWriter() : null;
            }
        });
    }

    private static final class ListWriter extends StdSerializer<Collection<Double>> {
        ListWriter() {
            super(Collection.class);
        }

        @Override
        public void serialize(Collection<Double> all, JsonGenerator out, SerializationContext context) {
            out.writeStartArray(all, all.size());
            if (finite(all)) {
                text(all, out);
            } else {
                for (Double v : all) {
                    context.writeValue(out, v);
                }
            }
            out.writeEndArray();
        }

        private static boolean finite(Collection<Double> all) {
            for (Double v : all) {
                if (v == null || !Double.isFinite(v)) {
                    return false;
                }
            }
            return true;
        }

        private static void text(Collection<Double> all, JsonGenerator out) {
            char[] piece = new char[PIECE];
            int n = 0;
            boolean next = false;
            for (double v : all) {
                if (n + ROOM > PIECE) {
                    out.writeRaw(piece, 0, n);
                    n = 0;
                }
                if (next) {
                    piece[n++] = ',';
                }
                next = true;
                int end = digits(v, piece, n);
                if (end < 0) {
                    String longest = Double.toString(v);
                    longest.getChars(0, longest.length(), piece, n);
                    end = n + longest.length();
                }
                n = end;
            }
            out.writeRaw(piece, 0, n);
        }
    }

    private static final class Writer extends StdScalarSerializer<Double> {
        Writer() {
            super(Double.class);
        }

        @Override
        public void serialize(Double v, JsonGenerator out, SerializationContext context) {
            char[] text = new char[ROOM];
            int end = digits(v, text, 0);
            if (end < 0) {
                out.writeNumber(v.doubleValue());
            } else {
                out.writeNumber(text, 0, end);
            }
        }
    }

    /** Writes {@code v} into {@code to} from {@code at} on and answers where it ends; negative where it is large or has more decimals. */
    static int digits(double v, char[] to, int at) {
        double scaled = Math.rint(v * SCALE);
        // Not even the sign of a nought is lost.
        boolean lessThanNought = v == 0 && 1 / v < 0;
        if (lessThanNought || !(Math.abs(scaled) < LARGEST) || scaled / SCALE != v) {
            return -1;
        }
        long all = Math.abs((long) scaled);
        int whole = (int) (all / SCALE);
        int rest = (int) (all - (long) whole * SCALE);
        int n = at;
        if (scaled < 0) {
            to[n++] = '-';
        }
        n = whole(whole, to, n);
        if (rest != 0) {
            to[n++] = '.';
            n = pair(rest / 100, to, n);
            n = pair(rest % 100, to, n);
            while (to[n - 1] == '0') {
                n--;
            }
        }
        return n;
    }

    private static int whole(int v, char[] to, int at) {
        if (v >= 100) {
            return pair(v % 100, to, whole(v / 100, to, at));
        }
        if (v >= 10) {
            return pair(v, to, at);
        }
        to[at] = ONES[v];
        return at + 1;
    }

    private static int pair(int v, char[] to, int at) {
        to[at] = TENS[v];
        to[at + 1] = ONES[v];
        return at + 2;
    }
}
