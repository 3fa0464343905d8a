package vanemend.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.util.ContentCachingResponseWrapper;
import vanemend.app.day.Typing;
import vanemend.app.problem.Refused;

/**
 * Computing while typing gains nothing from more at once than there are processors; in order of arrival, each from reading to
 * writing in one go, nobody is overtaken and the slowest answer stays near the usual one. The answer leaves after the turn, so a
 * slow reader holds up nobody. Whoever waited too long is told so instead of waiting on. A fair semaphore of the JDK does all of
 * this; a bulkhead library would wrap the same one, and its queue is not fair.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class Turns extends OncePerRequestFilter {
    /** Much longer than a queue ever is in a shop, shorter than a browser gives up. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final Semaphore turns;
    private final Duration patience;
    private final HandlerExceptionResolver refusals;

    private final Typing typing;

    @Autowired
    Turns(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver refusals, Typing typing) {
        this(Math.max(2, Runtime.getRuntime().availableProcessors()), PATIENCE, refusals, typing);
    }

    Turns(int atOnce, Duration patience, HandlerExceptionResolver refusals, Typing typing) {
        this.typing = typing;
        this.turns = new Semaphore(atOnce, true);
        this.patience = patience;
        this.refusals = refusals;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/preview");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        typing.begins();
        try {
            inTurn(request, response, chain);
        } finally {
            typing.ends();
        }
    }

    private void inTurn(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!taken()) {
            refusals.resolveException(
                    request,
                    response,
                    null,
                    new Refused(
                            HttpStatus.SERVICE_UNAVAILABLE,
                            "Busy",
                            "Too many plans are being worked out at once. What you typed is kept; the next change asks again."));
            return;
        }
        ContentCachingResponseWrapper held = new ContentCachingResponseWrapper(response);
        try {
            chain.doFilter(request, held);
        } finally {
            turns.release();
        }
        held.copyBodyToResponse();
    }

    private boolean taken() {
        try {
            return turns.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
