package vanemend.app.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.MessageDigest;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.HexFormat;
import java.util.Optional;
import org.erdtman.jcs.JsonCanonicalizer;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The seal on a file that leaves this installation: SHA-256 (FIPS 180-4) over the file without its seal in canonical form (RFC 8785), signed
 * with the installation's own key (Ed25519, RFC 8032). Anybody can check it with the public key that stands in it.
 *
 * @param digest 64 hexadecimal digits
 * @param key the public key, X.509, Base64
 * @param signature over {@link #CONTEXT} and the digest, Base64
 */
public record Seal(String digest, String key, String signature) {
    /** Where the seal stands in the file. */
    public static final String FIELD = "seal";

    /** What is signed begins with this, so that the key's signature means a record and nothing else. */
    static final String CONTEXT = "vane-mend-record-seal-1:";

    /** A name that stands twice would be read by one program so and by another otherwise. */
    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    /** What a file's seal says. */
    public sealed interface Found {
        /** The file has no seal: nobody can tell whether it was changed. */
        record None() implements Found {}

        /** The file is as it was written by whoever holds the key called {@code fingerprint}. */
        record Whole(String digest, String fingerprint) implements Found {}

        /** The file is not as it was written; {@code why} in one sentence. */
        record Broken(String why) implements Found {}
    }

    /** {@code file} with the seal of {@code keys} on it. */
    public static String on(String file, KeyPair keys) {
        ObjectNode tree = (ObjectNode) MAPPER.readTree(file);
        tree.remove(FIELD);
        String digest = digest(tree);
        try {
            Signature s = Signature.getInstance("Ed25519");
            s.initSign(keys.getPrivate());
            s.update(signed(digest));
            tree.putPOJO(FIELD, new Seal(digest, base64(keys.getPublic().getEncoded()), base64(s.sign())));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("the installation's key does not sign", e);
        }
        return MAPPER.writeValueAsString(tree);
    }

    /** What the seal on {@code file} says; {@code file} must be a JSON object. */
    public static Found on(String file) {
        if (!(MAPPER.readTree(file) instanceof ObjectNode tree)) {
            return new Found.Broken("It is no record: expected one JSON object.");
        }
        JsonNode seal = tree.remove(FIELD);
        if (seal == null || seal.isNull()) {
            return new Found.None();
        }
        String digest = digest(tree);
        if (!digest.equals(seal.path("digest").asString(""))) {
            return new Found.Broken("Something in it was changed since it was sealed.");
        }
        Optional<PublicKey> key = key(seal.path("key").asString(""));
        if (key.isEmpty() || !fits(key.get(), digest, seal.path("signature").asString(""))) {
            return new Found.Broken("Its seal was not made with the key that it names.");
        }
        return new Found.Whole(digest, fingerprint(key.get()));
    }

    /** What a key is told by: the digest of it, 64 hexadecimal digits. */
    public static String fingerprint(PublicKey key) {
        return HexFormat.of().formatHex(sha256(key.getEncoded()));
    }

    /** {@code key} as a file that other programs read (RFC 7468). */
    public static String pem(PublicKey key) {
        return "-----BEGIN PUBLIC KEY-----\n" + base64(key.getEncoded()) + "\n-----END PUBLIC KEY-----\n";
    }

    private static String digest(ObjectNode tree) {
        try {
            return HexFormat.of()
                    .formatHex(sha256(new JsonCanonicalizer(MAPPER.writeValueAsString(tree)).getEncodedUTF8()));
        } catch (IOException e) {
            throw new IllegalArgumentException("this has no canonical form", e);
        }
    }

    private static boolean fits(PublicKey key, String digest, String signature) {
        try {
            Signature s = Signature.getInstance("Ed25519");
            s.initVerify(key);
            s.update(signed(digest));
            return s.verify(Base64.getDecoder().decode(signature));
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            return false;
        }
    }

    private static Optional<PublicKey> key(String base64) {
        try {
            return Optional.of(KeyFactory.getInstance("Ed25519")
                    .generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(base64))));
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static byte[] signed(String digest) {
        return (CONTEXT + digest).getBytes(StandardCharsets.US_ASCII);
    }

    private static byte[] sha256(byte[] bytes) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(bytes);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private static String base64(byte[] bytes) {
        return Base64.getEncoder().encodeToString(bytes);
    }
}
