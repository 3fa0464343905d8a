package vanemend.app.access;

import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;

/** The signed-in person as the framework carries them: only the sign-in name and the role go into the session. */
final class Me {
    private Me() {}

    static Authentication authentication(Account account) {
        return UsernamePasswordAuthenticationToken.authenticated(
                account.id(),
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + account.role().name())));
    }
}
