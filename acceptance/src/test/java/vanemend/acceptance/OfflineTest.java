package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName("with no server: the page opens all the same, the run with it, and what is done then is kept")
@ExtendWith(Depot.Leave.class)
class OfflineTest {
    private static final String FIRST = "quiet-heron-over-the-weir";
    private static final String SECOND = "loud-heron-under-the-weir";

    /** Longest time until a technician in mid-step is told that the server is away, ms. */
    private static final int TOLD_MS = 3_000;

    @Test
    @SuppressWarnings("unchecked")
    void aTabOpenedWhileTheServerIsAwayGoesOnWithTheRun() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        tam.newRepair("Server gone, tab gone", "2.8");
        tam.begin();
        tam.workTo("straighten");
        tam.sent();
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        // What the page keeps follows what is shown by a breath.
        page.evaluate(
                "async id => { const kept = () => new Promise(r => { const o = indexedDB.open('vanemend-answers'); o.onsuccess = () => {"
                        + " const g = o.result.transaction('kept').objectStore('kept').get('answers');"
                        + " g.onsuccess = () => { o.result.close(); r(JSON.stringify(g.result ?? '')); }; }; });"
                        + " while (!(await kept()).includes('\"current\":\"straighten\"')) await new Promise(r => setTimeout(r, 200)); }",
                tam.number());
        Depot.kill();
        assertThat(page.getByText("Server not reached"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(TOLD_MS));
        Page again = page.context().newPage();
        page.close();
        again.navigate(Depot.url() + "/repairs/" + tam.number() + "/run");
        assertThat(again.locator("[data-step='straighten']")).isVisible();
        again.keyboard().press("PageDown");
        assertThat(again.locator("[data-step='depth']")).isVisible();
        assertThat(again.getByText("1 kept here")).isVisible();
        again.reload();
        assertThat(again.locator("[data-step='depth']")).isVisible();
        Depot.restart();
        assertThat(again.locator("[data-outbox='empty']")).isVisible();
        Map<String, Object> run = (Map<String, Object>)
                again.evaluate("id => fetch('/api/repairs/' + id + '/run').then(r => r.json())", tam.number());
        List<Map<String, Object>> steps =
                (List<Map<String, Object>>) ((Map<String, Object>) run.get("state")).get("steps");
        assertThat(steps.stream().filter(s -> s.containsKey("doneAt")).map(s -> s.get("id")))
                .containsExactly("wash", "straighten");
    }

    @Test
    @DisplayName(
            "a sign-in that ended in mid-run: the door asks once, what was done since is kept, and goes when its owner is in again")
    void theSignInEndsInMidRun() throws SQLException {
        Technician priya = new Technician(Depot.as("priya", 1280, 800));
        Page page = priya.page();
        priya.newRepair("Signed out by the clock", "2.8");
        priya.begin();
        priya.workTo("straighten");
        priya.sent();
        try (Connection db = Depot.database();
                Statement s = db.createStatement()) {
            s.execute("DELETE FROM SPRING_SESSION WHERE PRINCIPAL_NAME = 'priya'");
        }
        // The server looks at a sign-in again every few seconds.
        page.evaluate("async () => { while ((await fetch('/api/shop')).status !== 401)"
                + " await new Promise(r => setTimeout(r, 200)); }");
        page.keyboard().press("PageDown");
        assertThat(page.getByLabel("Password")).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(20_000));
        assertThat(page.getByText("1 act of Priya")).isVisible();
        page.getByLabel("Name").fill("priya");
        page.getByLabel("Password").fill(Depot.PASSWORD);
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-step='depth']")).isVisible();
        priya.sent();
        assertThat(page.url()).endsWith("/repairs/" + priya.number() + "/run");
    }

    @Test
    @DisplayName(
            "a new password given in mid-run while acts wait: the door asks for it once, and they go when it is typed")
    void theirPasswordIsAnotherWhenTheNetworkIsBack() {
        Page isla = Depot.as("isla", 1280, 800);
        asked(
                isla,
                "POST",
                "/api/people",
                Map.of("id", "corrie", "name", "Corrie Vale", "role", "TECHNICIAN", "password", FIRST));
        Page page = Depot.stranger(1280, 800);
        page.getByLabel("Name").fill("corrie");
        page.getByLabel("Password").fill(FIRST);
        page.keyboard().press("Enter");
        Technician corrie = new Technician(page);
        corrie.newRepair("Another password", "2.8");
        corrie.begin();
        corrie.workTo("straighten");
        corrie.sent();
        page.context().setOffline(true);
        corrie.workTo("depth");
        asked(isla, "PUT", "/api/people/corrie/password", Map.of("password", SECOND));
        page.context().setOffline(false);
        assertThat(page.getByLabel("Password")).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(20_000));
        assertThat(page.getByText("1 act of Corrie")).isVisible();
        page.getByLabel("Name").fill("corrie");
        page.getByLabel("Password").fill(SECOND);
        page.keyboard().press("Enter");
        assertThat(page.locator("[data-step='depth']")).isVisible();
        corrie.sent();
        assertThat(isla.evaluate(
                        "n => fetch(`/api/repairs/${n}/run`).then(r => r.json()).then(r => r.state.current)",
                        corrie.number()))
                .isEqualTo("depth");
    }

    private static void asked(Page page, String method, String path, Map<String, String> body) {
        assertThat((Boolean) page.evaluate("""
                async ([method, path, body]) => (await fetch(path, {method, body: JSON.stringify(body),
                  headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]}})).ok
                """, List.of(method, path, body))).isTrue();
    }
}
