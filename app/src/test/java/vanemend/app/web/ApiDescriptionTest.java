package vanemend.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.JsonNodeFeature;
import tools.jackson.databind.json.JsonMapper;
import vanemend.app.TestServer;

@DisplayName("the description of the API that the front end's types are made from is the one that runs")
class ApiDescriptionTest {
    private static final Path KEPT = Path.of("..", "web", "src", "api", "generated", "openapi.json");

    @Test
    void keptDescriptionIsUpToDate() throws IOException {
        JsonMapper json = JsonMapper.builder()
                .enable(SerializationFeature.INDENT_OUTPUT)
                .enable(JsonNodeFeature.WRITE_PROPERTIES_SORTED)
                .build();
        JsonNode now = TestServer.stranger().get("/v3/api-docs").body();
        if (Boolean.getBoolean("vanemend.write")) {
            Files.writeString(KEPT, json.writeValueAsString(now) + "\n");
        }
        assertThat(json.readTree(Files.readString(KEPT)))
                .as("run this test with -Dvanemend.write=true, then npm run types")
                .isEqualTo(now);
    }
}
