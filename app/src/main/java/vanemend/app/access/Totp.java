package vanemend.app.access;

import java.nio.ByteBuffer;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.Locale;
import java.util.OptionalLong;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** Codes that a phone reckons from the time and a secret: TOTP, RFC 6238, with SHA-1, six digits and steps of 30 s, as such phones do it. */
final class Totp {
    /** Length of a secret, bytes: that of the hash (RFC 4226, section 4). */
    static final int SECRET_BYTES = 20;

    private static final long STEP_S = 30;
    private static final int DIGITS = 1_000_000;
    /** A phone's clock may be one step early or late. */
    private static final int STEPS_OFF = 1;

    private static final String BASE32 = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567";

    private Totp() {}

    /** The step that {@code at} lies in. */
    static long step(Instant at) {
        return Math.floorDiv(at.getEpochSecond(), STEP_S);
    }

    /** The code of {@code step}, six digits (RFC 4226, section 5.3). */
    static String code(byte[] secret, long step) {
        try {
            Mac mac = Mac.getInstance("HmacSHA1");
            mac.init(new SecretKeySpec(secret, "HmacSHA1"));
            byte[] hash =
                    mac.doFinal(ByteBuffer.allocate(Long.BYTES).putLong(step).array());
            int from = hash[hash.length - 1] & 0xf;
            int cut = ByteBuffer.wrap(hash, from, Integer.BYTES).getInt() & 0x7fffffff;
            return String.format(Locale.ROOT, "%06d", cut % DIGITS);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has HmacSHA1", e);
        }
    }

    /** The step whose code {@code typed} is, near {@code now} and after {@code last}; empty where it is none: a code opens once. */
    static OptionalLong matches(byte[] secret, String typed, Instant now, long last) {
        for (long s = step(now) - STEPS_OFF; s <= step(now) + STEPS_OFF; s++) {
            if (s > last && code(secret, s).equals(typed)) {
                return OptionalLong.of(s);
            }
        }
        return OptionalLong.empty();
    }

    /** A secret as it is typed into a phone (RFC 4648, section 6, without padding). */
    static String base32(byte[] secret) {
        StringBuilder out = new StringBuilder();
        int bits = 0;
        int held = 0;
        for (byte b : secret) {
            held = held << 8 | b & 0xff;
            bits += 8;
            while (bits >= 5) {
                bits -= 5;
                out.append(BASE32.charAt(held >> bits & 31));
            }
        }
        if (bits > 0) {
            out.append(BASE32.charAt(held << 5 - bits & 31));
        }
        return out.toString();
    }
}
