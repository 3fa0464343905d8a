package vanemend.app.store;

import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The key pair that this installation seals its records with (Ed25519, RFC 8032). It is kept with the data, so that a restored backup is the same installation. */
@Component
public class InstallationKey {
    private static final String ALGORITHM = "Ed25519";

    private final JdbcClient db;
    private final Clock clock;

    InstallationKey(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The pair; made at the first call. Of several servers that make one at once, one is kept. */
    public KeyPair pair() {
        return db.sql("SELECT public_key, private_key FROM installation_key WHERE id = 1")
                .query(InstallationKey::row)
                .optional()
                .orElseGet(this::made);
    }

    private KeyPair made() {
        try {
            KeyPair fresh = KeyPairGenerator.getInstance(ALGORITHM).generateKeyPair();
            db.sql("INSERT IGNORE INTO installation_key (id, public_key, private_key, made_at) VALUES (1, ?, ?, ?)")
                    .params(
                            fresh.getPublic().getEncoded(),
                            fresh.getPrivate().getEncoded(),
                            Timestamp.from(clock.instant()))
                    .update();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java has " + ALGORITHM, e);
        }
        return db.sql("SELECT public_key, private_key FROM installation_key WHERE id = 1 LOCK IN SHARE MODE")
                .query(InstallationKey::row)
                .single();
    }

    private static KeyPair row(ResultSet rs, int i) throws SQLException {
        try {
            KeyFactory keys = KeyFactory.getInstance(ALGORITHM);
            return new KeyPair(
                    keys.generatePublic(new X509EncodedKeySpec(rs.getBytes("public_key"))),
                    keys.generatePrivate(new PKCS8EncodedKeySpec(rs.getBytes("private_key"))));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("the installation's key cannot be read", e);
        }
    }
}
