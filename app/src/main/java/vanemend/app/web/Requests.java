package vanemend.app.web;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import java.util.regex.Pattern;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Gives every request an id, which stands in the log's lines and in the answer, and measures how long it took, by the address it was mapped to: no
 * number of a repair and no name stands in a figure.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Requests extends OncePerRequestFilter {
    static final String HEADER = "X-Request-Id";
    private static final String KEY = "request";
    /** One that a proxy in front gave is kept, if it is one. */
    private static final Pattern GIVEN = Pattern.compile("[A-Za-z0-9-]{8,64}");

    private final MeterRegistry meters;

    Requests(MeterRegistry meters) {
        this.meters = meters;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String given = request.getHeader(HEADER);
        String id = given != null && GIVEN.matcher(given).matches()
                ? given
                : UUID.randomUUID().toString().substring(0, 13);
        MDC.put(KEY, id);
        response.setHeader(HEADER, id);
        long began = System.nanoTime();
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(KEY);
            // A stream is open for hours: it is no answer that somebody waits for.
            if (!request.isAsyncStarted()) {
                Timer.builder("vanemend.requests")
                        .description("requests by address and answer")
                        .tag("method", request.getMethod())
                        .tag("path", path(request))
                        .tag("status", Integer.toString(response.getStatus()))
                        .publishPercentileHistogram()
                        .register(meters)
                        .record(System.nanoTime() - began, java.util.concurrent.TimeUnit.NANOSECONDS);
            }
        }
    }

    private static String path(HttpServletRequest request) {
        Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        return pattern == null ? "none" : pattern.toString();
    }
}
