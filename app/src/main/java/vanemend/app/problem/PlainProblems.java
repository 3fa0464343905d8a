package vanemend.app.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem where no controller is reached: at the door, at the firewall, where an address is unknown. */
@Component
public class PlainProblems {
    private final JsonMapper json;

    PlainProblems(JsonMapper json) {
        this.json = json;
    }

    private record Told(int status, String title, String detail) {}

    /** Answers {@code status} with a problem that says {@code detail}. */
    public void write(HttpServletResponse response, HttpStatus status, String title, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.getOutputStream().write(json.writeValueAsBytes(new Told(status.value(), title, detail)));
    }
}
