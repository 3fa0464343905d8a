package vanemend.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vanemend.app.bench.Seal;

class VerifyTest {
    @TempDir
    private Path folder;

    private String said;

    private int of(String text) throws IOException {
        Path file = Files.writeString(folder.resolve("record.json"), text);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int status = Verify.of(file.toString(), new PrintStream(out, true, StandardCharsets.UTF_8));
        said = out.toString(StandardCharsets.UTF_8);
        return status;
    }

    @Test
    @DisplayName(
            "only a file whose seal holds ends well; one changed, one without a seal and one that is no record say which they are")
    void each() throws IOException, GeneralSecurityException {
        KeyPair keys = KeyPairGenerator.getInstance("Ed25519").generateKeyPair();
        String whole = Seal.on("{\"repair\":\"x\",\"value\":61.2}", keys);
        assertThat(of(whole)).isZero();
        assertThat(said).contains("as it was written.", Seal.fingerprint(keys.getPublic()));
        assertThat(of(whole.replace("61.2", "61.3"))).isEqualTo(1);
        assertThat(said).contains("NOT as it was written");
        assertThat(of("{\"repair\":\"x\"}")).isEqualTo(1);
        assertThat(said).contains("has no seal");
        assertThat(of("no record")).isEqualTo(2);
        assertThat(said).contains("cannot be read as a record");
        assertThat(Verify.of(
                        folder.resolve("missing").toString(),
                        new PrintStream(new ByteArrayOutputStream(), true, StandardCharsets.UTF_8)))
                .isEqualTo(2);
    }
}
