package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.servlet.HandlerExceptionResolver;
import vanemend.app.TestServer;
import vanemend.app.day.Typing;
import vanemend.app.problem.Refused;

@DisplayName("turns of what is computed while typing")
class TurnsTest {
    private final List<Exception> refused = new ArrayList<>();
    private final Turns turns = new Turns(
            1,
            Duration.ZERO,
            (request, response, handler, e) -> {
                refused.add(e);
                return null;
            },
            new Typing());

    private static MockHttpServletRequest typed(String path) {
        return new MockHttpServletRequest("POST", path);
    }

    @Test
    void whoGetsNoTurnIsToldSoAndTheTurnIsFreeAgainAfterIt() throws Exception {
        MockHttpServletResponse first = new MockHttpServletResponse();
        turns.doFilter(typed("/api/preview"), first, (request, response) -> {
            turns.doFilter(typed("/api/preview"), new MockHttpServletResponse(), (q, r) -> {
                throw new AssertionError("computed without a turn");
            });
            response.getWriter().write("planned");
        });
        assertThat(first.getContentAsString()).isEqualTo("planned");
        assertThat(refused)
                .singleElement()
                .isInstanceOfSatisfying(
                        Refused.class, e -> assertThat(e.status()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE));

        MockHttpServletResponse next = new MockHttpServletResponse();
        turns.doFilter(
                typed("/api/preview"),
                next,
                (request, response) -> response.getWriter().write("planned too"));
        assertThat(next.getContentAsString()).isEqualTo("planned too");
        assertThat(refused).hasSize(1);
    }

    @Test
    void aPlanThatFailsGivesItsTurnBack() throws Exception {
        try {
            turns.doFilter(typed("/api/preview"), new MockHttpServletResponse(), (request, response) -> {
                throw new IllegalStateException("a plan that fails");
            });
        } catch (IllegalStateException e) {
            assertThat(e).hasMessage("a plan that fails");
        }
        MockHttpServletResponse next = new MockHttpServletResponse();
        turns.doFilter(
                typed("/api/preview"),
                next,
                (request, response) -> response.getWriter().write("planned"));
        assertThat(next.getContentAsString()).isEqualTo("planned");
    }

    @Test
    void whatIsNotComputedWaitsForNoTurn() throws Exception {
        MockHttpServletResponse other = new MockHttpServletResponse();
        turns.doFilter(
                typed("/api/preview"),
                new MockHttpServletResponse(),
                (request, response) -> turns.doFilter(
                        typed("/api/bench"), other, (q, r) -> r.getWriter().write("the bench")));
        assertThat(other.getContentAsString()).isEqualTo("the bench");
    }

    @Test
    void whoWaitedTooLongGetsAProblemLikeAnyOther() throws Exception {
        MockHttpServletResponse busy = new MockHttpServletResponse();
        new Turns(
                        0,
                        Duration.ZERO,
                        TestServer.bean("handlerExceptionResolver", HandlerExceptionResolver.class),
                        new Typing())
                .doFilter(typed("/api/preview"), busy, (request, response) -> {
                    throw new AssertionError("computed without a turn");
                });
        assertThat(busy.getStatus()).isEqualTo(503);
        assertThat(busy.getContentType()).startsWith("application/problem+json");
        assertThat(busy.getContentAsString()).contains("\"title\":\"Busy\"", "What you typed is kept");
    }
}
