package vanemend.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Every answer of the API tells the server's time: a tablet's own clock may be wrong by hours. */
@Component
class TimeTold extends OncePerRequestFilter {
    /** Header with the time at which the answer was begun, ISO 8601. */
    static final String NOW = "X-Now";

    private final Clock clock;

    TimeTold(Clock clock) {
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(NOW, clock.instant().toString());
        chain.doFilter(request, response);
    }
}
