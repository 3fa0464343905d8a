package vanemend.app.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TotpTest {
    private static final byte[] SECRET = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);

    /** RFC 6238, appendix B, SHA-1: the last six of its eight digits. */
    @ParameterizedTest
    @CsvSource({
        "59, 287082",
        "1111111109, 081804",
        "1111111111, 050471",
        "1234567890, 005924",
        "2000000000, 279037",
        "20000000000, 353130"
    })
    @DisplayName("codes are those of RFC 6238's own table")
    void ofTheStandard(long seconds, String code) {
        assertThat(Totp.code(SECRET, Totp.step(Instant.ofEpochSecond(seconds)))).isEqualTo(code);
    }

    /** RFC 4648, section 10, without its padding. */
    @ParameterizedTest
    @CsvSource({"f, MY", "fo, MZXQ", "foo, MZXW6", "foob, MZXW6YQ", "fooba, MZXW6YTB", "foobar, MZXW6YTBOI"})
    @DisplayName("a secret is typed as RFC 4648's own examples are")
    void base32(String text, String typed) {
        assertThat(Totp.base32(text.getBytes(StandardCharsets.US_ASCII))).isEqualTo(typed);
    }

    @Test
    @DisplayName("a code opens a step early and late, not two, and never one that was used or came before")
    void window() {
        Instant now = Instant.ofEpochSecond(1_800_000_015);
        long step = Totp.step(now);
        for (long s = step - 3; s <= step + 3; s++) {
            assertThat(Totp.matches(SECRET, Totp.code(SECRET, s), now, 0).isPresent())
                    .as("off by " + (s - step))
                    .isEqualTo(Math.abs(s - step) <= 1);
        }
        assertThat(Totp.matches(SECRET, Totp.code(SECRET, step), now, step)).isEmpty();
        assertThat(Totp.matches(SECRET, Totp.code(SECRET, step - 1), now, step)).isEmpty();
        assertThat(Totp.matches(SECRET, "", now, 0)).isEmpty();
    }
}
