package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName(
        "a whole job without a mouse: signed in, planned, worked through and read back, and the focus is always seen")
@ExtendWith(Depot.Leave.class)
class KeyboardTest {
    private static final int MOST_TABS = 120;

    /** Whether what has the focus is marked by more than a caret. */
    private static final String SEEN = """
            () => {
              const e = document.activeElement;
              const s = getComputedStyle(e);
              const b = e.getBoundingClientRect();
              return b.width > 0 && b.height > 0 && ((s.outlineStyle !== 'none' && parseFloat(s.outlineWidth) >= 2) || s.boxShadow !== 'none');
            }
            """;

    private final Page page = Depot.stranger(1280, 800);
    private final Technician tam = new Technician(page);

    /** Tab by tab to {@code there}; every stop on the way is seen. */
    private void to(Locator there) {
        there.first().waitFor();
        for (int i = 0; i < MOST_TABS; i++) {
            if ((Boolean) there.first().evaluate("e => e === document.activeElement")) {
                return;
            }
            page.keyboard().press("Tab");
            assertThat((Boolean) page.evaluate(SEEN))
                    .as("focus is seen on " + page.evaluate("() => document.activeElement.outerHTML.slice(0, 160)"))
                    .isTrue();
        }
        throw new AssertionError("Tab never comes to " + there);
    }

    private void press(Locator there) {
        to(there);
        page.keyboard().press("Enter");
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private void type(Locator field, String text) {
        to(field);
        page.keyboard().press("Control+a");
        page.keyboard().type(text);
    }

    @Test
    void fromTheDoorToTheRecord() {
        type(Depot.seen(page.getByLabel("Name")), "tam");
        type(Depot.seen(page.getByLabel("Password")), Depot.PASSWORD);
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                .waitFor();
        // The first stop of all leads past what stands around the work.
        page.keyboard().press("Tab");
        assertThat(button("Skip to the work")).isFocused();
        plan();
        work();
        page.keyboard().press("b");
        page.waitForURL(Pattern.compile(".*/bench$"));
    }

    private void plan() {
        page.keyboard().press("n");
        type(
                Depot.seen(page.getByLabel("Say it in one line, or touch a part and a damage")),
                "Ridge no. 9 steel door dent 30 x 25 mm");
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What was understood"))
                .waitFor();
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/part$"));
        Locator asked = page.locator("[data-question]");
        asked.waitFor();
        while (asked.count() > 0) {
            String which = asked.getAttribute("data-question");
            press(asked.getByText("No", new Locator.GetByTextOptions().setExact(true)));
            page.waitForFunction("q => document.querySelector('[data-question]')?.dataset.question !== q", which);
        }
        press(button("Both"));
        Locator next = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Next"));
        assertThat(next).containsText("Dent 1: depth is missing");
        press(next.getByRole(AriaRole.BUTTON));
        Locator depth = Depot.seen(page.getByLabel("Depth left", new Page.GetByLabelOptions().setExact(true)));
        assertThat(depth).isFocused();
        page.keyboard().type("1.2");
        assertThat(next).containsText("see whether it may be mended");
        for (String station : new String[] {"verdict", "steps"}) {
            press(next.getByRole(AriaRole.BUTTON));
            page.waitForURL(Pattern.compile(".*/" + station + "$"));
        }
        assertThat(next).containsText("begin the work");
        press(next.getByRole(AriaRole.BUTTON));
        press(button("Begin the work"));
        page.locator("[data-step]").waitFor();
    }

    private void work() {
        tam.learnThePlan();
        int steps = 0;
        for (String id = tam.inHand(); !id.equals("finished"); id = tam.inHand()) {
            one(id);
            tam.left(id);
            steps++;
        }
        assertThat(steps).isGreaterThan(12);
        tam.sent();
        page.navigate(Depot.url() + "/repairs/" + tam.number() + "/record");
        assertThat(Depot.seen(page.getByText("None: done as planned"))
                        .or(Depot.seen(page.getByText("Deviations")))
                        .first())
                .isVisible();
    }

    private void one(String id) {
        if (Depot.seen(page.getByLabel("Filler on the scale")).count() > 0) {
            mix();
            return;
        }
        Locator fields = page.locator("section[aria-label='Read it'] input");
        int many = fields.count();
        for (int i = 0; i < many; i++) {
            type(fields.first(), tam.passing(id, i));
            page.keyboard().press("Enter");
            if (i + 1 < many) {
                page.waitForFunction(
                        "n => document.querySelectorAll(\"section[aria-label='Read it'] input\").length < n", many - i);
            }
        }
        String pedal = page.locator("footer").innerText();
        if (pedal.contains("too early") || pedal.contains("does not end") || pedal.contains("by hand")) {
            press(page.locator("[data-yes]"));
            page.waitForFunction(
                    "id => document.querySelector('[role=dialog]') !== null"
                            + " || (document.querySelector('[data-step]')?.dataset.step ?? 'finished') !== id",
                    id);
            if (page.getByRole(AriaRole.DIALOG).count() > 0) {
                type(Depot.seen(page.getByLabel("What was it judged by?")), "nail leaves no mark");
                press(page.getByRole(AriaRole.DIALOG).locator("button.go"));
            }
        } else {
            page.keyboard().press("PageDown");
        }
    }

    private void mix() {
        String asked = Depot.seen(page.getByText(Pattern.compile("asked .* a little over is fine")))
                .innerText()
                .replaceAll("[^0-9.]", "");
        type(
                Depot.seen(page.getByLabel("Filler on the scale")),
                String.format(Locale.ROOT, "%.1f", Double.parseDouble(asked) + 0.4));
        page.keyboard().press("Enter");
        Locator cream = Depot.seen(page.getByLabel(Pattern.compile("Cream, asked")));
        cream.waitFor();
        String most = ((String) cream.evaluate("e => e.labels[0]?.textContent ?? e.getAttribute('aria-label')"))
                .replaceAll("(?s).*asked ([0-9.]+).*", "$1");
        type(cream, most);
        page.keyboard().press("Enter");
        Depot.seen(page.getByLabel(Pattern.compile("Cream weighed"))).waitFor();
        page.keyboard().press("PageDown");
        button("Mixed, one colour").or(page.locator("[data-yes]")).first().waitFor();
        page.keyboard().press("PageDown");
    }
}
