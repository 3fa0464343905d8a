package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
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
        assertThat(page.getByText("kept here")).isVisible();
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
        assertThat(page.getByText("Server not reached")).isVisible();
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
        double left = Duration.between(Instant.now(), ends).toSeconds() / 60.0;
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
