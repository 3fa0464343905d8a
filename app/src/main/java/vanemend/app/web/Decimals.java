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
import vanemend.core.trade.Digits;

/**
 * Numbers are written by their {@link Digits}: a drawing has thousands. A list of them is put together here and handed over in one piece.
 * Read back, it is the same number.
 */
@Component
class Decimals extends SimpleModule {
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
            int n = 0;
            boolean next = false;
            for (double v : all) {
                if (n + Digits.ROOM > PIECE) {
                    out.writeRaw(piece, 0, n);
                    n = 0;
                }
                if (next) {
                    piece[n++] = ',';
                }
                next = true;
                int end = Digits.write(v, piece, n);
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
            char[] text = new char[Digits.ROOM];
            int end = Digits.write(v, text, 0);
            if (end < 0) {
                out.writeNumber(v.doubleValue());
            } else {
                out.writeNumber(text, 0, end);
            }
        }
    }
}
