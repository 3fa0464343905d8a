package vanemend.acceptance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CommandsTest {
    @TempDir
    Path dir;

    @Test
    void theDatabaseStartsTwiceOnTheSameDataAndStops() {
        String run = dir.resolve("a run folder with spaces").toString();
        try {
            String first = Depot.vanemend("database", "up", run);
            assertThat(first).matches("\\d+ vanemend [0-9a-f]{24}");
            assertThat(Depot.vanemend("database", "up", run)).isEqualTo(first);
        } finally {
            Depot.vanemend("database", "down", run);
        }
        assertThat(Files.exists(Path.of(run, "db.pid"))).isFalse();
    }

    @Test
    void anUnknownCommandSaysWhatThereIs() {
        assertThatThrownBy(() -> Depot.vanemend("launch"))
                .hasMessageContaining("no command is called launch")
                .hasMessageContaining("./vanemend demo");
    }

    @Test
    void theReadmeNamesTheCommandsThereAre() throws IOException {
        String readme = Files.readString(Path.of("..", "README.md"));
        for (String command : new String[] {"demo", "test", "stop", "bench"}) {
            assertThat(readme).contains("./vanemend " + command);
            assertThat(Depot.vanemend("help")).contains("./vanemend " + command);
        }
    }
}
