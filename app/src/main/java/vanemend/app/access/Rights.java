package vanemend.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Optional;
import org.springframework.http.HttpMethod;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import vanemend.app.store.Audit;

/** Holds every request of somebody signed in against the table of rights. */
@Component
class Rights implements WebMvcConfigurer, HandlerInterceptor {
    private final Accounts accounts;
    private final Freshness freshness;
    private final Audit audit;

    Rights(Accounts accounts, Freshness freshness, Audit audit) {
        this.freshness = freshness;
        this.accounts = accounts;
        this.audit = audit;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        // The door is open to everybody.
        registry.addInterceptor(this).addPathPatterns("/api/**").excludePathPatterns("/api/session");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        Principal me = request.getUserPrincipal();
        if (me != null && handler instanceof HandlerMethod method) {
            Right right = right(method, request.getMethod())
                    .orElseThrow(() -> new IllegalStateException("no right is named for " + method));
            Account who = accounts.find(me.getName()).orElseThrow(Right.READ::refusal);
            if (!right.of(who.role())) {
                audit.did(who.id(), Audit.Act.REFUSED, "may not " + right.words());
                throw right.refusal();
            }
            if (right.fresh() && !reads(request.getMethod())) {
                freshness.demand(request.getSession(false));
            }
        }
        return true;
    }

    private static boolean reads(String http) {
        return HttpMethod.GET.name().equals(http) || HttpMethod.HEAD.name().equals(http);
    }

    /** The right that {@code method} needs; empty where one is missing. */
    static Optional<Right> right(HandlerMethod method, String http) {
        Optional<Right> named =
                Optional.ofNullable(method.getMethodAnnotation(Needs.class)).map(Needs::value);
        return named.isEmpty() && reads(http) ? Optional.of(Right.READ) : named;
    }
}
