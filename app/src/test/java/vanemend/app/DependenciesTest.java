package vanemend.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class DependenciesTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern DEPENDENCY = Pattern.compile("<dependency>(.*?)</dependency>", Pattern.DOTALL);
    private static final Pattern ARTIFACT = Pattern.compile("<artifactId>([^<]+)</artifactId>");

    @Test
    @DisplayName("whatever ships with the application stands in the list of what ships with it")
    void listed() throws IOException {
        String list = Files.readString(ROOT.resolve("docs/dependencies.md"));
        List<String> shipped = new ArrayList<>(List.copyOf(new JsonMapper()
                .readTree(Files.readString(ROOT.resolve("web/package.json")))
                .get("dependencies")
                .propertyNames()));
        for (String pom : List.of("core/pom.xml", "solver/pom.xml", "app/pom.xml")) {
            Matcher m = DEPENDENCY.matcher(Files.readString(ROOT.resolve(pom)));
            while (m.find()) {
                String d = m.group(1);
                Matcher artifact = ARTIFACT.matcher(d);
                if (!d.contains("<scope>test</scope>")
                        && !d.contains("<groupId>vanemend</groupId>")
                        && artifact.find()) {
                    shipped.add(artifact.group(1));
                }
            }
        }
        assertThat(shipped).hasSizeGreaterThan(20);
        assertThat(list).contains(shipped);
    }
}
