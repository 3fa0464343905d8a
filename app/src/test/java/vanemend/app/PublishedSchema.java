package vanemend.app;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The schemas that the application publishes, read by a library that knows nothing of it. */
public final class PublishedSchema {
    private PublishedSchema() {}

    /** What the schema called {@code name} has against {@code json}. */
    public static List<Error> against(String name, String json) {
        try {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(Files.readString(Path.of("..", "web", "public", "schemas", name + ".schema.json")))
                    .validate(json, InputFormat.JSON, c -> c.executionConfig(e -> e.formatAssertionsEnabled(true)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
