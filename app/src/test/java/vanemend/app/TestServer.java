package vanemend.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** The real application on a free port against a real MariaDB of its own, started once for all tests of this module. */
public final class TestServer {
    /** Password of every demo account here. */
    public static final String PASSWORD = "test-bench-password";

    /** When the tests run: as the test command says, so that they hold at any hour, in any season and zone. */
    private static final Instant START = Optional.ofNullable(System.getenv("VANEMEND_TEST_CLOCK"))
            .map(Instant::parse)
            .orElse(Instant.parse("2027-06-21T12:00:00Z"));

    private static final String ZONE =
            Optional.ofNullable(System.getenv("VANEMEND_TEST_ZONE")).orElse("Europe/London");
    private static final Instant BEGAN = Instant.now();

    /** Who measures bears it. */
    public static final String METRICS_TOKEN = "measure-and-look";

    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    private static final TestServer ONE = new TestServer("vanemend_test", true);

    private final ConfigurableApplicationContext app;
    private final String url;

    private TestServer(String name, boolean demo) {
        this(name, demo, true);
    }

    private TestServer(String name, boolean demo, boolean fresh) {
        Path dir = ROOT.resolve("app/target/test-bench");
        String[] words = database("up", dir).split(" ");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> database("down", dir)));
        Map<String, Object> settings = settings(words, name, demo);
        if (fresh) {
            wipe(words, name);
        }
        SpringApplication spring = new SpringApplication(VaneMend.class);
        spring.setDefaultProperties(settings);
        this.app = spring.run(settings.entrySet().stream()
                .map(e -> "--" + e.getKey() + "=" + e.getValue())
                .toArray(String[]::new));
        this.url = "http://127.0.0.1:"
                + ((WebServerApplicationContext) app).getWebServer().getPort();
    }

    private static Map<String, Object> settings(String[] words, String name, boolean demo) {
        return Map.ofEntries(
                Map.entry("server.port", "0"),
                Map.entry("spring.datasource.url", "jdbc:mariadb://127.0.0.1:" + words[0] + "/" + name),
                Map.entry("spring.datasource.username", words[1]),
                Map.entry("spring.datasource.password", words[2]),
                Map.entry("spring.flyway.url", "jdbc:mariadb://127.0.0.1:" + words[0] + "/" + name),
                Map.entry("spring.flyway.user", words[3]),
                Map.entry("spring.flyway.password", words[4]),
                Map.entry("spring.flyway.clean-disabled", "false"),
                Map.entry("vanemend.demo", Boolean.toString(demo)),
                Map.entry(demo ? "vanemend.demo-password" : "vanemend.first-password", PASSWORD),
                Map.entry("springdoc.api-docs.enabled", "true"),
                Map.entry("vanemend.warm-up", "0s"),
                // What is looked for in the background comes when it comes: its own test asks for it.
                Map.entry("vanemend.solver", "false"),
                Map.entry("vanemend.metrics-token", METRICS_TOKEN),
                Map.entry("vanemend.clock", now().toString()),
                Map.entry("vanemend.zone", ZONE));
    }

    /** Now, by the application's clock. */
    public static Instant now() {
        return START.plus(Duration.between(BEGAN, Instant.now()));
    }

    private static void wipe(String[] words, String name) {
        try (var c = java.sql.DriverManager.getConnection(
                        "jdbc:mariadb://127.0.0.1:" + words[0] + "/vanemend", words[3], words[4]);
                var s = c.createStatement()) {
            s.execute("DROP DATABASE IF EXISTS " + name);
            s.execute("CREATE DATABASE " + name + " CHARACTER SET utf8mb4");
        } catch (java.sql.SQLException e) {
            throw new IllegalStateException("the test database cannot be made", e);
        }
    }

    private static String database(String what, Path dir) {
        try {
            Process p = new ProcessBuilder(
                            "bash", ROOT.resolve("vanemend").toString(), "database", what, dir.toString())
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
            if (p.waitFor() != 0 && what.equals("up")) {
                throw new IllegalStateException("the test database did not start");
            }
            return out;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** A bean of the running application. */
    public static <T> T bean(Class<T> type) {
        return ONE.app.getBean(type);
    }

    /** The bean called {@code name}, where there are several of its type. */
    public static <T> T bean(String name, Class<T> type) {
        return ONE.app.getBean(name, type);
    }

    /** Straight to the tables. */
    public static JdbcClient db() {
        return bean(JdbcClient.class);
    }

    /** Straight to the tables as the account that may change how they are kept. */
    public static JdbcClient owner() {
        Environment settings = ONE.app.getEnvironment();
        return JdbcClient.create(new DriverManagerDataSource(
                settings.getRequiredProperty("spring.flyway.url"),
                settings.getRequiredProperty("spring.flyway.user"),
                settings.getRequiredProperty("spring.flyway.password")));
    }

    /** Somebody without a session. */
    public static Caller stranger() {
        return new Caller(ONE.url);
    }

    /** Somebody signed in. */
    public static Caller as(String name) {
        return as(stranger(), name);
    }

    /** The first lead of another installation, on an empty database of its own, that ends with {@code visit}. */
    public static void elsewhere(Consumer<Caller> visit) {
        TestServer other = new TestServer("vanemend_elsewhere", false);
        try {
            visit.accept(as(new Caller(other.url), "lead"));
        } finally {
            other.app.close();
        }
    }

    /** A second server on the same database, that ends with {@code visit}; it is handed how to come in at it. */
    public static void besides(Consumer<Supplier<Caller>> visit) {
        TestServer other = new TestServer("vanemend_test", true, false);
        try {
            visit.accept(() -> new Caller(other.url));
        } finally {
            other.app.close();
        }
    }

    /** The lead of another depot, on a database of its own, that ends with {@code visit}. */
    public static void demoElsewhere(Consumer<Caller> visit) {
        TestServer other = new TestServer("vanemend_elsewhere", true);
        try {
            visit.accept(as(new Caller(other.url), "isla"));
        } finally {
            other.app.close();
        }
    }

    private static Caller as(Caller c, String name) {
        Caller.Answer a = c.post("/api/session", Map.of("name", name, "password", PASSWORD));
        if (a.status() != 200) {
            throw new AssertionError("sign-in of " + name + ": " + a);
        }
        return c;
    }
}
