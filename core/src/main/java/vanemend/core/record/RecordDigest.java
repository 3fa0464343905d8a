package vanemend.core.record;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import vanemend.core.run.BenchEvent;

/** A digest of all that a signature holds for: the same for the same plans and events, another for any other (SHA-256, FIPS 180-4). */
public final class RecordDigest {
    private static final String CONTEXT = "vane-mend-signature-1";

    private final MessageDigest sha;

    private RecordDigest() {
        try {
            sha = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /**
     * The digest as 64 hexadecimal digits.
     *
     * @param plans digests of the plans as they are kept, in order
     * @param events what happened, in order
     */
    public static String of(List<String> plans, List<BenchEvent> events) {
        RecordDigest d = new RecordDigest();
        d.add(CONTEXT);
        d.add(plans.size());
        plans.forEach(d::add);
        d.add(events.size());
        events.forEach(d::add);
        return HexFormat.of().formatHex(d.sha.digest());
    }

    private void add(BenchEvent e) {
        add(e.id().toString());
        add(e.kind().name());
        add(e.at().toEpochMilli());
        add(e.by());
        add(e.step());
        add(e.answer());
        add(e.quantity().map(Enum::name).orElse(""));
        add(e.value().map(Double::toHexString).orElse(""));
        add(e.text());
        add(e.target().map(Object::toString).orElse(""));
        add(e.logged() ? 1 : 0);
    }

    /** With its length before it, so that no text can end in the next one. */
    private void add(String s) {
        byte[] bytes = s.getBytes(StandardCharsets.UTF_8);
        add(bytes.length);
        sha.update(bytes);
    }

    private void add(long n) {
        sha.update(ByteBuffer.allocate(Long.BYTES).putLong(n).array());
    }
}
