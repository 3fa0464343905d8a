package vanemend.core.words;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** The core in a world of its own, whose data files have been changed. */
final class OtherBook {
    private static final YAMLMapper YAML = new YAMLMapper();
    private static final Path SHIPPED = Path.of("target", "classes");

    private OtherBook() {}

    /** What the class {@code name} gives there, every data file having gone through {@code change}; {@code folder} is for the copies. */
    static List<String> call(Class<? extends Callable<List<String>>> name, Path folder, Consumer<JsonNode> change) {
        try (Stream<Path> files = Files.walk(SHIPPED.resolve("vanemend"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".yaml")).toList()) {
                JsonNode tree = YAML.readTree(Files.readString(p));
                change.accept(tree);
                Path copy = folder.resolve(SHIPPED.relativize(p));
                Files.createDirectories(copy.getParent());
                Files.writeString(copy, YAML.writeValueAsString(tree));
            }
            List<URL> path = new ArrayList<>(List.of(folder.toUri().toURL()));
            String classPath = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
            for (String p : classPath.split(java.io.File.pathSeparator)) {
                path.add(Path.of(p).toUri().toURL());
            }
            try (URLClassLoader world =
                    new URLClassLoader(path.toArray(URL[]::new), ClassLoader.getPlatformClassLoader())) {
                Object there =
                        world.loadClass(name.getName()).getDeclaredConstructor().newInstance();
                @SuppressWarnings("unchecked")
                List<String> out = ((Callable<List<String>>) there).call();
                return List.copyOf(out);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (RuntimeException e) {
            throw e;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
