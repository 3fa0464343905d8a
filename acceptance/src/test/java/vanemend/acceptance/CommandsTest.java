package vanemend.acceptance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CommandsTest {
    @TempDir
    Path dir;

    @Test
    void theDatabaseStartsTwiceOnTheSameDataAndStops() throws IOException {
        String run = dir.resolve("a run folder with spaces").toString();
        try {
            String first = Depot.vanemend("database", "up", run);
            assertThat(first).matches("\\d+ vanemend [0-9a-f]{24} vanemend_owner [0-9a-f]{24}");
            assertThat(Depot.vanemend("database", "up", run)).isEqualTo(first);
            assertThat(Files.getPosixFilePermissions(Path.of(run)))
                    .as("the folder is its owner's alone")
                    .isEqualTo(PosixFilePermissions.fromString("rwx------"));
            String[] words = first.split(" ");
            assertThatThrownBy(() -> Depot.command(
                            "mariadb", "--no-defaults", "-h127.0.0.1", "-P" + words[0], "-uroot", "-e", "SELECT 1"))
                    .as("nobody with every right comes in over the network")
                    .hasMessageContaining("denied");
            assertThatThrownBy(() -> Depot.command(
                            "mariadb",
                            "--no-defaults",
                            "-h127.0.0.1",
                            "-P" + words[0],
                            "-u" + words[1],
                            "-p" + words[2],
                            "vanemend",
                            "-e",
                            "CREATE TABLE x (y INT)"))
                    .as("who works with what is kept does not change how it is kept")
                    .hasMessageContaining("denied");
        } finally {
            Depot.vanemend("database", "down", run);
        }
        assertThat(Files.exists(Path.of(run, "db.pid"))).isFalse();
    }

    @Test
    @DisplayName("a backup restored into an empty place holds every row of every table; over a full one it refuses")
    void backupAndRestore() {
        Depot.url();
        String script = Path.of("..", "vanemend").toString();
        String file = dir.resolve("depot.sql.gz").toString();
        String run = dir.resolve("restored").toString();
        Depot.command(
                "env",
                "VANEMEND_RUN=" + Depot.folder(),
                "VANEMEND_DATABASE=vanemend_depot",
                "bash",
                script,
                "backup",
                file);
        try {
            Depot.command("env", "VANEMEND_RUN=" + run, "bash", script, "restore", file);
            String was = checksums(Depot.folder().toString(), "vanemend_depot");
            assertThat(checksums(run, "vanemend")).isEqualTo(was).contains("bench_event", "frozen_plan", "shelf_item");
            assertThatThrownBy(() -> Depot.command("env", "VANEMEND_RUN=" + run, "bash", script, "restore", file))
                    .hasMessageContaining("holds something already");
            assertThatThrownBy(() -> Depot.command("env", "VANEMEND_RUN=" + run, "bash", script, "restore", script))
                    .hasMessageContaining("no whole backup");
        } finally {
            Depot.vanemend("database", "down", run);
        }
    }

    /** Checksum of every table but the sessions, which are not kept, and the mark of the backup itself, which is made when it is whole. */
    private static String checksums(String run, String database) {
        String[] up = Depot.vanemend("database", "up", run).split(" ");
        String[] client = {
            "mariadb", "--no-defaults", "-h127.0.0.1", "-P" + up[0], "-u" + up[1], "-p" + up[2], "-N", "-e"
        };
        String tables = Depot.command(Stream.concat(
                        Stream.of(client),
                        Stream.of("SELECT GROUP_CONCAT(table_name ORDER BY table_name) FROM information_schema.tables"
                                + " WHERE table_schema = '" + database
                                + "' AND table_name NOT LIKE 'SPRING%' AND table_name <> 'backup_made'"))
                .toArray(String[]::new));
        String sums = Depot.command(
                Stream.concat(Stream.of(client), Stream.of("USE " + database + "; CHECKSUM TABLE " + tables))
                        .toArray(String[]::new));
        return sums.replace(database + ".", "");
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
        for (String command :
                new String[] {"demo", "start", "test", "stop", "bench", "backup", "restore", "verify", "cluster demo"
                }) {
            assertThat(readme).contains("./vanemend " + command);
            assertThat(Depot.vanemend("help")).contains("./vanemend " + command);
        }
    }
}
