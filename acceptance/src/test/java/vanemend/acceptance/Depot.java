package vanemend.acceptance;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Timer;
import java.util.TimerTask;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** The packaged application with its demo depot, on its own MariaDB, and a headless browser to look at it. Started once. */
public final class Depot {
    /** Password of every demo account here. */
    public static final String PASSWORD = "acceptance-depot";

    /** When the tests run: as the test command says, so that they hold at any hour, in any season and zone. */
    private static final Instant START = Optional.ofNullable(System.getenv("VANEMEND_TEST_CLOCK"))
            .map(Instant::parse)
            .orElse(Instant.parse("2027-06-21T12:00:00Z"));

    private static final String ZONE =
            Optional.ofNullable(System.getenv("VANEMEND_TEST_ZONE")).orElse("Europe/London");
    private static final Instant BEGAN = Instant.now();

    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();
    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    private static final Path DIR = ROOT.resolve("acceptance/target/depot");
    private static final Duration READY = Duration.ofSeconds(120);

    /** How long a screen may take to show what is expected, ms: a busy machine with two threads is slow, not wrong. */
    private static final double PATIENCE_MS = 20_000;

    private static final Depot ONE = new Depot();

    private final String[] database;
    private final int port;
    private final Browser browser;
    private final List<BrowserContext> open = new ArrayList<>();
    private Process app;

    private Depot() {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        database = vanemend("database", "up", DIR.toString()).split(" ");
        Runtime.getRuntime().addShutdownHook(new Thread(this::close));
        wipe();
        port = freePort();
        unpack();
        start();
        browser = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    private void wipe() {
        run(List.of(
                "mariadb",
                "--no-defaults",
                "-h127.0.0.1",
                "-P" + database[0],
                "-u" + database[3],
                "-p" + database[4],
                "-e",
                "DROP DATABASE IF EXISTS vanemend_depot; CREATE DATABASE vanemend_depot CHARACTER SET utf8mb4"));
    }

    /** As the start command does it. */
    private static void unpack() {
        run(List.of(
                JAVA,
                "-Djarmode=tools",
                "-jar",
                jar().toString(),
                "extract",
                "--force",
                "--destination",
                DIR.resolve("app").toString()));
    }

    private synchronized void start() {
        try {
            ProcessBuilder b = new ProcessBuilder(
                            JAVA,
                            "@" + ROOT.resolve("app/server.options"),
                            "-jar",
                            DIR.resolve("app").resolve(jar().getFileName()).toString())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(
                            DIR.resolve("app.log").toFile()));
            b.environment()
                    .putAll(Map.of(
                            "VANEMEND_PORT",
                            Integer.toString(port),
                            "VANEMEND_DB_URL",
                            "jdbc:mariadb://127.0.0.1:" + database[0] + "/vanemend_depot",
                            "VANEMEND_DB_USER",
                            database[1],
                            "VANEMEND_DB_OWNER",
                            database[3],
                            "VANEMEND_DB_OWNER_PASSWORD",
                            database[4],
                            "VANEMEND_DB_PASSWORD",
                            database[2],
                            "VANEMEND_DEMO",
                            "true",
                            "VANEMEND_DEMO_PASSWORD",
                            PASSWORD,
                            "VANEMEND_CLOCK",
                            now().toString(),
                            "VANEMEND_ZONE",
                            ZONE));
            app = b.start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        awaitReady();
    }

    private void awaitReady() {
        long until = System.nanoTime() + READY.toNanos();
        while (System.nanoTime() < until) {
            if (!app.isAlive()) {
                throw new IllegalStateException("the application ended; see " + DIR.resolve("app.log"));
            }
            try (HttpClient http = HttpClient.newHttpClient()) {
                // Ready only once the demo is in place.
                HttpResponse<String> r = http.send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/actuator/health/readiness"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                if (r.statusCode() == 200) {
                    return;
                }
            } catch (IOException e) {
                Thread.onSpinWait();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
        throw new IllegalStateException("the application is not ready after " + READY.toSeconds() + " s");
    }

    /** Now, by the application's clock; after a restart it goes on as if it had never stood. */
    static Instant now() {
        return START.plus(Duration.between(BEGAN, Instant.now()));
    }

    /** Where the shop and its screens are. */
    static ZoneId zone() {
        return ZoneId.of(ZONE);
    }

    /** Address of the application. */
    public static String url() {
        return "http://127.0.0.1:" + ONE.port;
    }

    /** Ends the server as a power cut would. */
    public static void kill() {
        ONE.app.destroyForcibly();
        try {
            ONE.app.waitFor(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Starts the server again on the same data. */
    public static void restart() {
        ONE.start();
    }

    /** Ends the database as a power cut would. */
    static void killDatabase() {
        try {
            run(List.of("kill", "-9", Files.readString(DIR.resolve("db.pid")).strip()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts the database again on the same data and port. */
    static void restartDatabase() {
        run(List.of(
                "env",
                "VANEMEND_DB_PORT=" + ONE.database[0],
                "bash",
                ROOT.resolve("vanemend").toString(),
                "database",
                "up",
                DIR.toString()));
    }

    /** What the server's process holds in memory, MB. */
    static long serverMegabytes() {
        try {
            return Files.readAllLines(Path.of("/proc/" + ONE.app.pid() + "/status")).stream()
                    .filter(l -> l.startsWith("VmRSS:"))
                    .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024)
                    .sum();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A connection of somebody else's to the same database. */
    static Connection database() throws SQLException {
        return database(ONE.database, "vanemend_depot");
    }

    /** The same to an installation of its own under {@code folder}. */
    static Connection database(Path folder) throws SQLException {
        return database(vanemend("database", "up", folder.toString()).split(" "), "vanemend");
    }

    private static Connection database(String[] at, String name) throws SQLException {
        return DriverManager.getConnection("jdbc:mariadb://127.0.0.1:" + at[0] + "/" + name, at[3], at[4]);
    }

    /** Those that are shown: what was seen before at a repair stays built behind what is open. */
    static Locator seen(Locator all) {
        return all.filter(new Locator.FilterOptions().setVisible(true));
    }

    /** Where {@code station} of the first repair called {@code name} is found; its number is the store's. */
    static String path(String name, String station) {
        try (Connection db = database();
                PreparedStatement find =
                        db.prepareStatement("SELECT MIN(id) FROM repair WHERE JSON_VALUE(draft, '$.part.name') = ?")) {
            find.setString(1, name);
            ResultSet found = find.executeQuery();
            found.next();
            long id = found.getLong(1);
            if (found.wasNull()) {
                throw new IllegalArgumentException("No repair is called '" + name + "'");
            }
            return "/repairs/" + id + "/" + station;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Folder of the data. */
    static Path folder() {
        return DIR;
    }

    /** Runs {@code words} as a command, gives what it printed. */
    static String command(String... words) {
        return run(List.of(words));
    }

    /** A browser of its own, {@code width} by {@code height}, in which {@code name} is signed in. */
    public static Page as(String name, int width, int height) {
        Page page = stranger(width, height);
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill(PASSWORD);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                .waitFor();
        return page;
    }

    /** A browser at the door. */
    public static Page stranger(int width, int height) {
        Page page = blank(width, height);
        page.navigate(url() + "/");
        return page;
    }

    /** A browser that has been nowhere yet. */
    public static Page blank(int width, int height) {
        BrowserContext context = ONE.browser.newContext(
                new Browser.NewContextOptions().setViewportSize(width, height).setTimezoneId(ZONE));
        ONE.open.add(context);
        Page page = context.newPage();
        page.setDefaultTimeout(30_000);
        return page;
    }

    /**
     * Closes every browser after each test: a page left open goes on asking the server whenever the bell rings. What a page showed when its test
     * failed is printed first: a wait that ran out does not say what stood there instead.
     */
    static final class Leave implements BeforeEachCallback, AfterEachCallback {
        /** Longer than the longest test takes on a busy machine, ms. */
        private static final long LONG_MS = 300_000;

        /** Whether the page is drawn at all: what waits for a place to be still waits for frames. */
        private static final String FRAMES = """
                () => new Promise(r => {
                  const from = performance.now();
                  requestAnimationFrame(() => requestAnimationFrame(() => r(Math.round(performance.now() - from) + ' ms for two')));
                  setTimeout(() => r('none in 5 s, ' + document.visibilityState), 5000);
                })""";

        private static final Timer WATCH = new Timer("what takes long", true);
        private TimerTask late = tellOf("", Thread.currentThread());

        /** A test that never comes to its end says where it stands, again and again: whoever ends the whole has something to read. */
        @Override
        public void beforeEach(ExtensionContext test) {
            late = tellOf(test.getUniqueId(), Thread.currentThread());
            WATCH.schedule(late, LONG_MS, LONG_MS);
        }

        private static TimerTask tellOf(String test, Thread worker) {
            return new TimerTask() {
                @Override
                public void run() {
                    System.err.println(test + " is still at:");
                    Stream.of(worker.getStackTrace()).forEach(e -> System.err.println("    " + e));
                }
            };
        }

        @Override
        public void afterEach(ExtensionContext test) {
            late.cancel();
            if (test.getExecutionException().isPresent()) {
                ONE.open.stream().flatMap(c -> c.pages().stream()).forEach(Leave::tell);
            }
            ONE.open.forEach(BrowserContext::close);
            ONE.open.clear();
            // A test that failed while the server was away takes no other along.
            if (!ONE.app.isAlive()) {
                ONE.start();
            }
        }

        private static void tell(Page page) {
            try {
                System.err.println(
                        "On " + page.url() + " stood:\n" + page.locator("body").innerText());
                System.err.println("and its frames: " + page.evaluate(FRAMES));
            } catch (PlaywrightException e) {
                System.err.println("On " + page.url() + " nothing could be read: " + e.getMessage());
            }
        }
    }

    /** Runs the project's own command and gives what it printed. */
    public static String vanemend(String... words) {
        return run(Stream.concat(Stream.of("bash", ROOT.resolve("vanemend").toString()), Stream.of(words))
                .toList());
    }

    private static String run(List<String> words) {
        try {
            Process p = new ProcessBuilder(words).redirectErrorStream(true).start();
            String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
            int code = p.waitFor();
            if (code != 0) {
                throw new IllegalStateException(
                        String.join(" ", words.subList(0, 2)) + " ended with " + code + ": " + out);
            }
            return out;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static Path jar() {
        try (Stream<Path> all = Files.list(ROOT.resolve("app/target"))) {
            return all.filter(p -> p.getFileName().toString().endsWith("-exec.jar"))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("app/target holds no packaged application"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static int freePort() {
        try (ServerSocket s = new ServerSocket(0)) {
            return s.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void close() {
        if (app != null) {
            app.destroyForcibly();
        }
        vanemend("database", "down", DIR.toString());
    }
}
