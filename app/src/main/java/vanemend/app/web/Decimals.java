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
    private static final double SCALE = 10_000;
    private static final int PLACES = 4;
    private static final double LARGEST = 1e14;
    private static final int ROOM = 26;
    private static final int PIECE = 1024;

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
            char[] one = new char[ROOM];
            int n = 0;
            boolean next = false;
            for (double v : all) {
                int from = digits(v, one);
                if (from < 0) {
                    String longest = Double.toString(v);
                    from = ROOM - longest.length();
                    longest.getChars(0, longest.length(), one, from);
                }
                if (next) {
                    one[--from] = ',';
                }
                next = true;
                if (n + ROOM - from > PIECE) {
                    out.writeRaw(piece, 0, n);
                    n = 0;
                }
                System.arraycopy(one, from, piece, n, ROOM - from);
                n += ROOM - from;
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
