package vanemend.app.problem;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.sql.SQLException;
import java.util.function.Supplier;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

class ProblemsTest {
    @SuppressWarnings("unchecked")
    private final Supplier<String> store = mock(Supplier.class);

    private final MockMvc web = MockMvcBuilders.standaloneSetup(new Asked())
            .setControllerAdvice(new Problems())
            .build();

    @RestController
    final class Asked {
        @GetMapping("/asked")
        String asked() {
            return store.get();
        }
    }

    private MockHttpServletResponse ask() throws Exception {
        return web.perform(get("/asked")).andReturn().getResponse();
    }

    @Test
    void aStoreThatDoesNotAnswerIsSaidPlainly() throws Exception {
        when(store.get()).thenThrow(new DataAccessResourceFailureException("Connection refused to host db:3306"));
        MockHttpServletResponse r = ask();
        assertThat(r.getStatus()).isEqualTo(503);
        assertThat(r.getContentType()).isEqualTo("application/problem+json");
        assertThat(r.getContentAsString()).contains("Nothing was lost").doesNotContain("3306");
    }

    /** Codes of MariaDB's own table of errors. */
    @ParameterizedTest
    @CsvSource({
        "1021, Disk full (/tmp/x); waiting",
        "1114, The table 'bench_event' is full",
        "1030, Got error 28 from storage engine"
    })
    void aStoreWithoutRoomIsSaidPlainly(int code, String message) throws Exception {
        when(store.get())
                .thenThrow(new UncategorizedSQLException("add", "INSERT", new SQLException(message, "HY000", code)));
        MockHttpServletResponse r = ask();
        assertThat(r.getStatus()).isEqualTo(507);
        assertThat(r.getContentAsString())
                .contains("The store is full. Nothing was lost")
                .doesNotContain("INSERT");
    }

    @Test
    void anotherFaultOfTheStoreIsNotCalledFull() throws Exception {
        when(store.get())
                .thenThrow(new UncategorizedSQLException(
                        "add", "INSERT", new SQLException("Got error 168 from storage engine", "HY000", 1030)));
        assertThat(ask().getStatus()).isEqualTo(500);
    }

    @Test
    @DisplayName("two that did the same at once: the later one is told that it is here already")
    void somebodyWasQuicker() throws Exception {
        when(store.get()).thenThrow(new DuplicateKeyException("INSERT INTO account"));
        MockHttpServletResponse r = ask();
        assertThat(r.getStatus()).isEqualTo(409);
        assertThat(r.getContentAsString()).contains("Somebody was quicker").doesNotContain("INSERT");
    }

    @Test
    void whatNobodyForesawNeverShowsItsTrace() throws Exception {
        when(store.get()).thenThrow(new IllegalStateException("secret inside"));
        MockHttpServletResponse r = ask();
        assertThat(r.getStatus()).isEqualTo(500);
        assertThat(r.getContentAsString())
                .contains("Mark ")
                .doesNotContain("secret")
                .doesNotContain("vanemend.");
    }
}
