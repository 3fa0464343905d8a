package vanemend.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@DisplayName("every screen: accessible, readable, nothing wider than the glass, nothing loaded from elsewhere")
@ExtendWith(Depot.Leave.class)
class LookTest {
    private static final List<String> SCREENS = List.of(
            "/bench",
            "/repairs",
            "/repairs/new",
            "/set-up",
            "/records",
            "/audit",
            "/people",
            "/server",
            "/devices",
            "/day",
            "/shelf",
            "/rules",
            Depot.path("Luggage-door ice dents", "part"),
            Depot.path("Luggage-door ice dents", "damage"),
            Depot.path("Luggage-door ice dents", "verdict"),
            Depot.path("Luggage-door ice dents", "stack"),
            Depot.path("Luggage-door ice dents", "footprint"),
            Depot.path("Luggage-door ice dents", "steps"),
            Depot.path("Luggage-door ice dents", "steps?sheet=pour"),
            Depot.path("Luggage-door ice dents", "steps?sheet=ladder"),
            Depot.path("Load-door hail dings", "run"),
            Depot.path("Engine-flap ice dent", "record"),
            Depot.path("Side-panel kick dent", "verdict"),
            Depot.path("Step-edge cover, rust pits", "damage"),
            Depot.path("Step-edge cover, rust pits", "steps"),
            "/rules?sheet=pages",
            Depot.path("Locker-lid scrape", "damage"),
            Depot.path("Unmarked filler flap", "part"),
            Depot.path("Front-skirt split", "stack"),
            Depot.path("Windscreen star on the nearside", "damage"),
            Depot.path("Shoulder cut, front tyre", "verdict"),
            Depot.path("Front-skirt split", "footprint"),
            Depot.path("Front-skirt split", "steps?sheet=pour"),
            Depot.path("Battery-lid through-crack", "steps?sheet=cut"),
            Depot.path("Front-skirt split", "steps?sheet=schools"),
            Depot.path("Run on the mirror arm cover", "steps?sheet=ladder"),
            Depot.path("Windscreen star on the nearside", "footprint"));

    private static final String SMALL_TYPE = """
            () => [...document.querySelectorAll('body *')]
              .filter(e => e.checkVisibility() && [...e.childNodes].some(n => n.nodeType === 3 && n.textContent.trim()))
              .filter(e => parseFloat(getComputedStyle(e).fontSize) < 14)
              .map(e => e.textContent.trim().slice(0, 40))
            """;

    private static final String SMALL_TARGETS = """
            least => [...document.querySelectorAll('button, nav a')]
              .filter(e => e.checkVisibility())
              .filter(e => e.getBoundingClientRect().height < least - 0.5)
              .map(e => (e.getAttribute('aria-label') || e.textContent).trim().slice(0, 40) + ' ' + Math.round(e.getBoundingClientRect().height))
            """;

    /** Quantities that nobody turned into the shop's units, shown or in a label. */
    private static final String NOT_SAID = """
            () => [...document.querySelectorAll('body, body *')]
              .flatMap(e => [...e.attributes].map(a => a.value)
                .concat([...e.childNodes].filter(n => n.nodeType === 3).map(n => n.textContent)))
              .filter(t => /[⟦⟧]/.test(t))
              .map(t => t.trim().slice(0, 60))
            """;

    /** Millimetres and degrees Celsius in a shop of inches; what somebody called a thing is called so everywhere. */
    private static final String METRIC = """
            () => [...document.querySelectorAll('main *')]
              .filter(e => e.checkVisibility())
              .flatMap(e => [...e.childNodes].filter(n => n.nodeType === 3).map(n => n.textContent))
              .filter(t => /\\d[\\s\\u202f]?(mm|°C)(?![\\w²³])/.test(t) && !t.includes('unit, 6 mm'))
              .map(t => t.trim().slice(0, 60))
            """;

    /** What scrolls up and down is never wider than its place as well: what lies beside it is seen by nobody. */
    private static final String SIDEWAYS = """
            () => [...document.querySelectorAll('body *')]
              .filter(e => e.clientHeight > 100 && e.scrollWidth > e.clientWidth + 1 && e.checkVisibility())
              .filter(e => ['overflowX', 'overflowY'].every(o => /auto|scroll/.test(getComputedStyle(e)[o])))
              .map(e => (e.getAttribute('aria-label') ?? e.id) + ' ' + e.scrollWidth + ' in ' + e.clientWidth)
            """;

    /** Type of a drawing that was shrunk as a whole. */
    private static final String SHRUNK = """
            () => [...document.querySelectorAll('svg text')].filter(t => t.checkVisibility())
              .map(t => [t.textContent, t.getScreenCTM(), parseFloat(getComputedStyle(t).fontSize)])
              .filter(([, m, size]) => m && Math.hypot(m.a, m.b) * size < 13.4)
              .map(([text]) => text.slice(0, 40))
            """;

    @ParameterizedTest(name = "{0} at {1} by {2}, {3}")
    // The last is a screen of 1280 by 800 at twice the size.
    @CsvSource({
        "day,1280,800,metric",
        "night,1280,800,inch",
        "day,1024,768,metric",
        "night,1920,1080,inch",
        "night,390,844,inch",
        "day,640,400,metric"
    })
    void screens(String theme, int width, int height, String system) {
        Page page = Depot.as("isla", width, height);
        page.evaluate(
                "p => localStorage.setItem('vanemend.preferences', JSON.stringify({theme: p[0], system: p[1]}))",
                List.of(theme, system));
        List<String> wrong = new ArrayList<>();
        List<String> elsewhere = new ArrayList<>();
        page.onRequest(r -> {
            if (!r.url().startsWith(Depot.url())) {
                elsewhere.add(r.url());
            }
        });
        page.onConsoleMessage(m -> {
            if (m.type().equals("error")) {
                wrong.add("console: " + m.text());
            }
        });
        for (String screen : SCREENS) {
            page.navigate(Depot.url() + screen);
            page.locator("h1").first().waitFor();
            page.waitForFunction("() => !document.body.innerText.includes('One moment')");
            violations(page, width)
                    .forEach(v -> wrong.add(screen + " axe " + v.getId() + ": "
                            + v.getNodes().stream()
                                    .limit(3)
                                    .map(n -> n.getHtml())
                                    .toList()));
            if ((Boolean) page.evaluate("() => document.documentElement.scrollWidth > window.innerWidth + 1")) {
                wrong.add(screen + " is wider than the glass");
            }
            ((List<?>) page.evaluate(NOT_SAID)).forEach(t -> wrong.add(screen + " quantity not said: " + t));
            if (system.equals("inch")) {
                ((List<?>) page.evaluate(METRIC)).forEach(t -> wrong.add(screen + " metric: " + t));
            }
            ((List<?>) page.evaluate(SMALL_TYPE)).forEach(t -> wrong.add(screen + " type under 14 px: " + t));
            ((List<?>) page.evaluate(SIDEWAYS)).forEach(t -> wrong.add(screen + " runs out sideways: " + t));
            ((List<?>) page.evaluate(SHRUNK)).forEach(t -> wrong.add(screen + " drawing type under 14 px: " + t));
            int least = screen.endsWith("/run") ? 72 : 56;
            ((List<?>) page.evaluate(SMALL_TARGETS, least))
                    .forEach(t -> wrong.add(screen + " target under " + least + " px: " + t));
        }
        assertThat(wrong).isEmpty();
        assertThat(elsewhere).isEmpty();
    }

    /** What the accessibility rules find; asked at the widest layout and at the narrowest, since they look at words and colours, not at places. */
    private static List<Rule> violations(Page page, int width) {
        return width == 1280 || width == 390 ? violations(page) : List.of();
    }

    /** There are no frames: one call of the rules on the page itself, told for what breaks them alone. */
    private static List<Rule> violations(Page page) {
        AxeRunOptions broken = new AxeRunOptions();
        broken.setResultTypes(List.of("violations"));
        return new AxeBuilder(page)
                .setLegacyMode(true)
                .options(broken)
                .analyze()
                .getViolations();
    }

    @ParameterizedTest(name = "Run on a phone, {0} by {1}")
    @CsvSource({"390,844", "360,740"})
    void runOnAPhone(int width, int height) {
        Page page = Depot.as("tam", width, height);
        page.navigate(Depot.url() + Depot.path("Load-door hail dings", "run"));
        page.locator("[data-step]").waitFor();
        assertThat((Boolean) page.evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                .isTrue();
        assertThat(Depot.seen(page.getByText("Hard", new Page.GetByTextOptions().setExact(true)))
                        .boundingBox()
                        .y)
                .isLessThan(height);
        assertThat(violations(page)).isEmpty();
    }

    /** Leaders of one drawing that cross, and their ends that lie within 8 px of each other. */
    private static final String TANGLED = """
            () => [...document.querySelectorAll('svg')].flatMap(svg => {
              const lines = [...svg.querySelectorAll('[data-leader]')].map(l => l.getAttribute('d').match(/-?[\\d.]+/g).map(Number))
                .map(n => n.flatMap((v, i) => i % 2 ? [] : [[v, n[i + 1]]]));
              const side = (a, b, p) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
              const cross = (a, b, c, d) => side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
              const wrong = [];
              lines.forEach((a, i) => lines.slice(0, i).forEach((b, k) => {
                const [p, q] = [a.at(-1), b.at(-1)];
                if (Math.hypot(p[0] - q[0], p[1] - q[1]) < 8) wrong.push(svg.getAttribute('aria-label') + ': ends ' + i + ' and ' + k);
                for (let m = 1; m < a.length; m++) for (let n = 1; n < b.length; n++)
                  if (cross(a[m - 1], a[m], b[n - 1], b[n])) wrong.push(svg.getAttribute('aria-label') + ': leaders ' + i + ' and ' + k);
              }));
              return [...new Set(wrong)];
            })
            """;

    @ParameterizedTest(name = "leaders of every drawing at {0} by {1}")
    @CsvSource({"1280,800", "1920,1080"})
    void leadersNeverCross(int width, int height) {
        Page page = Depot.as("isla", width, height);
        List<String> wrong = new ArrayList<>();
        List<?> ids = (List<?>) page.evaluate(
                "async () => (await (await fetch('/api/repairs')).json()).filter(r => r.steps > 0).map(r => r.id)");
        assertThat(ids).hasSizeGreaterThan(12);
        for (Object id : ids) {
            page.navigate(Depot.url() + "/repairs/" + id + "/footprint");
            page.locator("[data-leader]").first().waitFor();
            ((List<?>) page.evaluate(TANGLED))
                    .forEach(t -> wrong.add(page.locator("h1").innerText() + ", " + t));
        }
        assertThat(wrong).isEmpty();
    }
}
