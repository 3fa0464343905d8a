package vanemend.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import vanemend.app.problem.Refused;

/**
 * A page says whose it is with everything it changes. Tabs of one browser share the sign-in: where another tab has signed somebody else in
 * since, what the first page still sends is not written down under their name.
 */
@Component
class SamePerson implements WebMvcConfigurer, HandlerInterceptor {
    /** Sign-in name of whoever the page was opened by. */
    static final String HEADER = "X-Person";

    private final Accounts accounts;

    SamePerson(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**").excludePathPatterns("/api/session");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        String said = request.getHeader(HEADER);
        Principal is = request.getUserPrincipal();
        if (said != null && is != null && !said.equals(is.getName())) {
            String name = accounts.find(is.getName()).map(Account::name).orElse(is.getName());
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Signed in as another",
                    "By now " + name
                            + " is signed in in this browser. What you did is kept here and goes when you sign in again.",
                    Map.of("signedInAs", is.getName()));
        }
        return true;
    }
}
