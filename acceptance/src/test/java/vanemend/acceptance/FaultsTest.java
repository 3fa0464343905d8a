package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName("reload, lost network, killed server: nothing that was done is missing")
@ExtendWith(Depot.Leave.class)
class FaultsTest {
    @SuppressWarnings("unchecked")
    private static Map<String, Object> state(Technician t) {
        return (Map<String, Object>) ((Map<String, Object>) t.ask("/api/repairs/" + t.number() + "/run")).get("state");
    }

    @SuppressWarnings("unchecked")
    private static List<String> done(Map<String, Object> state) {
        return ((List<Map<String, Object>>) state.get("steps"))
                .stream()
                        .filter(s -> s.containsKey("doneAt"))
                        .map(s -> (String) s.get("id"))
                        .toList();
    }

    @Test
    void reloadNetworkAndServerInOneRun() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        tam.newRepair("Faulty day", "2.8");
        tam.begin();
        tam.workTo("depth");
        page.reload();
        assertThat(tam.inHand()).isEqualTo("depth");

        // The network goes in the middle of the job; work goes on to where the filler is on the part.
        page.context().setOffline(true);
        tam.workTo("filler-mix");
        assertThat(Depot.seen(page.getByText("kept here"))).isVisible();
        page.context().setOffline(false);
        tam.sent();
        assertThat(done(state(tam))).containsExactly("wash", "straighten", "depth", "open", "wipe", "filler-prepare");

        // The server dies while a mix is live.
        tam.workTo("filler-spread");
        tam.sent();
        String clockBefore = deadline(state(tam));
        Depot.kill();
        page.keyboard().press("PageDown");
        assertThat(page.locator("[data-step='filler-wait']")).isVisible();
        assertThat(Depot.seen(page.getByText("Server not reached"))).isVisible();
        Depot.restart();
        tam.sent();
        Map<String, Object> after = state(tam);
        assertThat(done(after))
                .containsExactly(
                        "wash", "straighten", "depth", "open", "wipe", "filler-prepare", "filler-mix", "filler-spread");
        assertThat((List<?>) after.get("ignored")).isEmpty();
        assertThat(clockBefore).isNotEmpty();

        // The clock on screen is the server's, to the minute it shows.
        Instant ends = Instant.parse(deadline(after));
        double left = Duration.between(Depot.now(), ends).toSeconds() / 60.0;
        String figure = page.locator("[data-figure]").innerText();
        assertThat(Double.parseDouble(figure.replaceAll("[^0-9].*", ""))).isCloseTo(Math.ceil(left), within(1.0));

        page.reload();
        assertThat(page.locator("[data-step='filler-wait']")).isVisible();
    }

    @SuppressWarnings("unchecked")
    private static String deadline(Map<String, Object> state) {
        List<Map<String, Object>> clocks = (List<Map<String, Object>>) state.get("clocks");
        return clocks.isEmpty() ? "" : (String) clocks.getFirst().get("endsAt");
    }

    /** Each act is done with the network gone, kept in the browser, and there once when the network is back. */
    @Test
    void theNetworkGoesInTheMiddleOfEveryKindOfStep() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        tam.newRepair("Cut off everywhere", "2.8");
        tam.begin();
        Set<String> cut = new LinkedHashSet<>();
        for (String id = tam.inHand(); !id.equals("finished"); id = tam.inHand()) {
            tam.sent();
            boolean fresh = cut.add(kind(tam, id));
            page.context().setOffline(fresh);
            tam.one(id);
            tam.left(id);
            if (fresh) {
                assertThat(Depot.seen(page.getByText("kept here"))).isVisible();
                page.context().setOffline(false);
                tam.sent();
                assertThat(done(state(tam))).endsWith(id);
            }
        }
        tam.sent();
        assertThat(cut).contains("DO", "SAND", "MIX", "SPREAD", "WAIT", "GATE");
        List<String> all = done(state(tam));
        assertThat(all).doesNotHaveDuplicates();
        assertThat((List<?>) state(tam).get("ignored")).isEmpty();
    }

    @SuppressWarnings("unchecked")
    private static String kind(Technician t, String id) {
        Map<String, Object> step = ((List<Map<String, Object>>) state(t).get("steps"))
                .stream()
                        .filter(s -> id.equals(s.get("id")))
                        .map(s -> (Map<String, Object>) s.get("step"))
                        .findFirst()
                        .orElseThrow();
        return step.containsKey("gate") && !"WAIT".equals(step.get("kind")) ? "GATE" : (String) step.get("kind");
    }

    /** The tablet's own clock is three hours slow: what it says of minutes is right all the same. */
    @Test
    void aTabletWhoseClockIsHoursWrongCountsMinutesRight() {
        Page page = Depot.blank(1280, 800);
        page.clock()
                .install(new Clock.InstallOptions()
                        .setTime(Depot.now().minus(Duration.ofHours(3)).toEpochMilli()));
        page.navigate(Depot.url() + "/");
        Depot.seen(page.getByLabel("Name")).fill("tam");
        Depot.seen(page.getByLabel("Password")).fill(Depot.PASSWORD);
        page.keyboard().press("Enter");
        Technician tam = new Technician(page);
        tam.newRepair("Clock three hours slow", "2.8");
        tam.begin();
        tam.workTo("filler-wait");
        tam.sent();
        Map<String, Object> state = state(tam);
        for (Object s : (List<?>) state.get("steps")) {
            Object at = ((Map<?, ?>) s).get("doneAt");
            if (at != null) {
                assertThat(Duration.between(Instant.parse((String) at), Depot.now()))
                        .as("done at, by the server's clock")
                        .isBetween(Duration.ofSeconds(-2), Duration.ofMinutes(3));
            }
        }
        double left =
                Duration.between(Depot.now(), Instant.parse(deadline(state))).toSeconds() / 60.0;
        String figure = page.locator("[data-figure]").innerText();
        assertThat(Double.parseDouble(figure.replaceAll("[^0-9].*", ""))).isCloseTo(Math.ceil(left), within(1.0));
    }

    /** The database is held up by somebody else: the screen says so, goes on, and sends by itself when it is free. */
    @Test
    void aSlowStoreIsSaidPlainlyAndCatchesUpByItself() throws SQLException {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Slow store", "2.8");
        tam.begin();
        tam.sent();
        try (Connection other = Depot.database();
                Statement s = other.createStatement()) {
            s.execute("LOCK TABLES bench_event WRITE, repair WRITE");
            tam.page().keyboard().press("PageDown");
            assertThat(tam.page().locator("[data-step='straighten']")).isVisible();
            assertThat(Depot.seen(tam.page().getByText("Store does not answer")))
                    .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
            assertThat(Depot.seen(tam.page().getByText("1 kept here"))).isVisible();
            s.execute("UNLOCK TABLES");
        }
        tam.sent();
        assertThat(done(state(tam))).containsExactly("wash");
    }

    /** Tam works on with no network while Priya, who cannot know, ends the work: nothing is lost, and there is one question. */
    @Test
    void workThatWasEndedByAnotherWhileActsWaited() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        tam.newRepair("Ended meanwhile", "2.8");
        tam.begin();
        tam.workTo("depth");
        tam.sent();
        Technician priya = at("priya", tam.number());
        page.context().setOffline(true);
        tam.workTo("wipe");
        priya.button("Cannot go on").click();
        priya.button("End here").click();
        Depot.seen(priya.page().getByLabel("Customer withdrew")).check();
        priya.type("Why?", "the door is sold");
        priya.button("End the work").click();
        assertThat(Depot.seen(priya.page().getByText("Ended: customer withdrew")))
                .isVisible();
        priya.sent();
        page.context().setOffline(false);
        tam.sent();
        assertThat(Depot.seen(page.getByText("Ended: customer withdrew"))).isVisible();
        Locator question = Depot.seen(page.getByLabel("Kept, not counted"));
        assertThat(question).containsText("the work was ended while 2 acts of yours waited here");
        question.getByText("Yes: note it").click();
        assertThat(question).isHidden();
        tam.sent();
        assertThat(state(tam).get("notes").toString()).contains("Really done before that was known");
        Depot.seen(page.getByText("To the record")).click();
        assertThat(Depot.seen(page.getByText("Not counted:"))).hasCount(2);
    }

    /** The same, and Priya plans it anew: what was done by the old plan counts for nothing in the new one, and is asked about. */
    @Test
    void workThatWasPlannedAnewByAnotherWhileActsWaited() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        tam.newRepair("Planned meanwhile", "2.8");
        tam.begin();
        tam.workTo("depth");
        tam.sent();
        Technician priya = at("priya", tam.number());
        page.context().setOffline(true);
        tam.workTo("open");
        priya.button("Cannot go on").click();
        priya.button("Plan anew from here").click();
        priya.type("Why is this plan left?", "wider than it looked");
        priya.button("Open the draft").click();
        Depot.seen(priya.page().getByText("Go on by the new plan")).click();
        priya.button("Go on by this plan").click();
        assertThat(priya.page().locator("[data-step='depth']")).isVisible();
        page.context().setOffline(false);
        tam.sent();
        Locator question = Depot.seen(page.getByLabel("Kept, not counted"));
        assertThat(question).containsText("it was planned anew while an act of yours waited here");
        assertThat(page.locator("[data-step='depth']")).isVisible();
        question.getByText("No", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(question).isHidden();
    }

    private static Technician at(String who, String repair) {
        Technician t = new Technician(Depot.as(who, 1280, 800));
        t.page().navigate(Depot.url() + "/repairs/" + repair + "/run");
        t.page().locator("[data-step]").waitFor();
        return t;
    }

    @Test
    void undoTakesBackTheLastThing() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Undo door", "2.8");
        tam.begin();
        tam.workTo("open");
        tam.sent();
        tam.page().keyboard().press("u");
        assertThat(tam.page().locator("[data-step='depth']")).isVisible();
        tam.sent();
        assertThat(done(state(tam))).containsExactly("wash", "straighten");
    }

    @Test
    void twoTabletsAtOneRunShowTheSameStep() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Two tablets", "2.8");
        tam.begin();
        Technician priya = new Technician(Depot.as("priya", 1280, 800));
        priya.page().navigate(Depot.url() + "/repairs/" + tam.number() + "/run");
        assertThat(priya.page().locator("[data-step='wash']")).isVisible();
        tam.workTo("open");
        assertThat(priya.page().locator("[data-step='open']")).isVisible();
        priya.workTo("wipe");
        assertThat(tam.page().locator("[data-step='wipe']")).isVisible();
    }
}
