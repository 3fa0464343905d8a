package vanemend.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.MessageDigest;
import java.util.HexFormat;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@DisplayName(
        "the seal on a file that leaves: it tells a changed file from a whole one, and one installation from another")
class SealTest {
    private static final String FILE =
            "{\"repair\":\"x\", \"b\": [1.0, 2e-7, {\"z\":null,\"a\":\"é\"}], \"a\": 333333333.33333329}";
    private static final JsonMapper JSON = new JsonMapper();

    private static KeyPair keys() {
        try {
            return KeyPairGenerator.getInstance("Ed25519").generateKeyPair();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static ObjectNode sealed(KeyPair keys) {
        return (ObjectNode) JSON.readTree(Seal.on(FILE, keys));
    }

    @Test
    @DisplayName("a whole file names the key, however its lines and fields are laid out")
    void whole() {
        KeyPair keys = keys();
        ObjectNode file = sealed(keys);
        ObjectNode turned = JSON.createObjectNode();
        turned.set("seal", file.get("seal"));
        turned.set("a", file.get("a"));
        turned.set("b", file.get("b"));
        turned.set("repair", file.get("repair"));
        for (String text : new String[] {file.toString(), file.toPrettyString(), turned.toString()}) {
            assertThat(Seal.on(text))
                    .isInstanceOfSatisfying(
                            Seal.Found.Whole.class,
                            w -> assertThat(w.fingerprint()).isEqualTo(Seal.fingerprint(keys.getPublic())));
        }
    }

    @Test
    @DisplayName(
            "the digest is SHA-256 of the canonical form, written out here by hand after RFC 8785, sections 3.2.2 and 3.2.3")
    void digest() throws GeneralSecurityException {
        String canonical = "{\"a\":333333333.3333333,\"b\":[1,2e-7,{\"a\":\"é\",\"z\":null}],\"repair\":\"x\"}";
        assertThat(sealed(keys()).at("/seal/digest").asString())
                .isEqualTo(HexFormat.of()
                        .formatHex(MessageDigest.getInstance("SHA-256")
                                .digest(canonical.getBytes(StandardCharsets.UTF_8))));
    }

    @Test
    @DisplayName("one figure, a field more, a field less, another's key, another's signature, a name twice: not whole")
    void broken() {
        ObjectNode file = sealed(keys());
        ObjectNode other = sealed(keys());
        ObjectNode figure = file.deepCopy().put("a", 333333333.4);
        ObjectNode more = file.deepCopy().put("c", 1);
        ObjectNode less = file.deepCopy();
        less.remove("b");
        ObjectNode key = file.deepCopy();
        ((ObjectNode) key.get("seal")).set("key", other.at("/seal/key"));
        ObjectNode signature = file.deepCopy();
        ((ObjectNode) signature.get("seal")).set("signature", other.at("/seal/signature"));
        ObjectNode nonsense = file.deepCopy();
        ((ObjectNode) nonsense.get("seal")).put("key", "?").put("signature", "!");
        for (ObjectNode f : new ObjectNode[] {figure, more, less, key, signature, nonsense}) {
            assertThat(Seal.on(f.toString())).as(f.toString()).isInstanceOf(Seal.Found.Broken.class);
        }
        String twice = "{\"a\":1," + file.toString().substring(1);
        assertThat(catching(twice)).isTrue();
        assertThat(Seal.on(FILE)).isInstanceOf(Seal.Found.None.class);
        assertThat(Seal.on("[]")).isInstanceOf(Seal.Found.Broken.class);
    }

    private static boolean catching(String text) {
        try {
            Seal.on(text);
            return false;
        } catch (RuntimeException e) {
            return true;
        }
    }
}
