package vanemend.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Computing while typing gains nothing from more at once than there are processors; in order of arrival, each from reading to
 * writing in one go, nobody is overtaken and the slowest answer stays near the usual one. The answer leaves after the turn, so a
 * slow reader holds up nobody.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class Turns extends OncePerRequestFilter {
    private final Semaphore turns =
            new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/preview");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ContentCachingResponseWrapper held = new ContentCachingResponseWrapper(response);
        turns.acquireUninterruptibly();
        try {
            chain.doFilter(request, held);
        } finally {
            turns.release();
        }
        held.copyBodyToResponse();
    }
}
