package vanemend.app.access;

import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import vanemend.app.problem.Refused;

/** How long ago somebody typed their password: what a lead does a while later asks for it again, since a tablet is left lying. */
@Component
public class Freshness {
    private static final String TYPED = "typed";

    private final Duration fresh;

    Freshness(@Value("${vanemend.session.again}") Duration fresh) {
        this.fresh = fresh;
    }

    /** The password was typed just now. Sessions run by the machine's own time. */
    static void now(HttpSession session) {
        session.setAttribute(TYPED, Instant.now().toEpochMilli());
    }

    /** Whether the password was typed a short while ago; {@code session} may be null, as for a request without one. */
    public boolean is(HttpSession session) {
        Object typed = session == null ? null : session.getAttribute(TYPED);
        return typed instanceof Long at && !Instant.ofEpochMilli(at).plus(fresh).isBefore(Instant.now());
    }

    /** Refuses where the password was typed too long ago; {@code session} may be null, as for a request without one. */
    void demand(HttpSession session) {
        if (!is(session)) {
            throw new Refused(
                    HttpStatus.FORBIDDEN,
                    "Your password once more",
                    "You signed in more than " + fresh.toMinutes()
                            + " minutes ago: type your password once more for this.",
                    Map.of("again", true));
        }
    }
}
