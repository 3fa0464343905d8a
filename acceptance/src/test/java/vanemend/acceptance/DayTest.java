package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName(
        "the day: planned by the shop's hours, a repair brought in has its time, and a phone's list stays with no server")
@ExtendWith(Depot.Leave.class)
class DayTest {
    private static final String REPAIRS = "Repairs of this plan";

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void aRepairBroughtInHasItsTimeAndHoursMoveTheDay() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Brought in at ten", "2.8");
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.place("Day");
        assertThat(region(isla.page(), REPAIRS).getByText("Brought in at ten")).isVisible();
        isla.button("Hours").click();
        isla.type("Monday", "half eight");
        isla.button("Take these hours").click();
        assertThat(Depot.seen(isla.page().getByText("“half eight” is not read.")))
                .isVisible();
        for (String day : new String[] {"Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"}) {
            isla.type(day, "");
        }
        isla.button("Take these hours").click();
        assertThat(Depot.seen(isla.page().getByText("Nobody said yet when this shop works.")))
                .isVisible();
        assertThat(region(isla.page(), REPAIRS)).isHidden();
        isla.button("Hours").click();
        for (String day : new String[] {"Monday", "Tuesday", "Wednesday", "Thursday", "Friday"}) {
            isla.type(day, "07:30-12:00 12:30-16:30");
        }
        isla.button("Take these hours").click();
        Locator repairs = region(isla.page(), REPAIRS);
        Locator opens = repairs.getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("what holds Brought in at ten")));
        opens.click();
        assertThat(opens).hasAttribute("aria-expanded", "true");
        Locator sheet = region(isla.page(), "Brought in at ten on this day");
        assertThat(sheet.getByText("Hands are at it")).isVisible();
        // The day has begun before anything can be ready on it.
        sheet.getByLabel("Asked for").fill("today");
        sheet.getByLabel("at", new Locator.GetByLabelOptions().setExact(true))
                .first()
                .fill("00:00");
        assertThat(sheet.getByText("No: no order has it ready by then.")).isVisible();
        isla.page()
                .waitForResponse(
                        r -> r.request().method().equals("PUT") && r.status() == 200,
                        () -> sheet.getByRole(
                                        AriaRole.BUTTON,
                                        new Locator.GetByRoleOptions().setName(Pattern.compile("^Promise .*\\d")))
                                .click());
        sheet.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Tam"))
                .click();
        sheet.getByText("Plan it so").click();
        assertThat(repairs.getByText(Pattern.compile("of hands, by Tam$"))).isVisible();
        region(isla.page(), REPAIRS).getByText("Brought in at ten").click();
        assertThat(isla.page()).hasURL(Depot.url() + "/repairs/" + tam.number() + "/steps");
        // What was promised on the day stands in the repair.
        isla.station("Part");
        assertThat(Depot.seen(isla.page().getByLabel("Promised for", new Page.GetByLabelOptions().setExact(true))))
                .hasValue(Pattern.compile("\\d"));
        isla.page()
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Promised")))
                .click();
        assertThat(isla.page()).hasURL(Depot.url() + "/day?repair=" + tam.number());
        assertThat(region(isla.page(), "Brought in at ten on this day").getByText("Hands are at it"))
                .isVisible();
        isla.button("What if").click();
        isla.page()
                .getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Hands gone from now on"))
                .getByText("Tam")
                .click();
        // It is in Tam's hands alone, as was said.
        assertThat(Depot.seen(isla.page().getByText(Pattern.compile("^No time found: .*Brought in at ten"))))
                .isVisible();
    }

    /** The longest name that a part may have stands in its choice, and takes none of the sheet's width. */
    @Test
    void whatIfFitsAPhoneWithTheLongestName() {
        Page page = Technician.called(
                        "isla",
                        390,
                        844,
                        "Load-door scratch",
                        "Load-door scratch ".repeat(5).substring(0, 80).strip())
                .page();
        page.navigate(Depot.url() + "/day");
        new Technician(page).button("What if").click();
        Locator sheet = page.getByRole(AriaRole.DIALOG);
        assertThat(sheet.getByText("Promises missed")).isVisible();
        assertThat(sheet.locator("option").last()).isAttached();
        org.assertj.core.api.Assertions.assertThat(
                        (List<?>) sheet.evaluate("d => [d.scrollWidth - d.clientWidth, d.scrollWidth > 300]"))
                .isEqualTo(List.of(0, true));
    }

    @Test
    void aBlockThatIsDraggedLaterPinsItsRepair() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.place("Day");
        Locator repairs = region(tam.page(), REPAIRS);
        Locator blocks = tam.page().locator("svg g.cursor-grab");
        assertThat(blocks.first()).isVisible();
        // What comes last is not in hand yet, whatever hour it is.
        Locator days = tam.page().getByRole(AriaRole.TAB);
        if (days.count() > 0) {
            days.last().click();
            assertThat(days.last()).hasAttribute("aria-selected", "true");
        }
        blocks.last().scrollIntoViewIfNeeded();
        BoundingBox at = blocks.last().boundingBox();
        Mouse mouse = tam.page().mouse();
        mouse.move(at.x + at.width / 2, at.y + at.height / 2);
        mouse.down();
        mouse.move(at.x + 60, at.y + at.height / 2, new Mouse.MoveOptions().setSteps(4));
        assertThat(Depot.seen(tam.page().getByText(Pattern.compile(": not before "))))
                .isVisible();
        tam.page()
                .waitForResponse(
                        r -> r.request().method().equals("PUT") && r.url().endsWith("/pin") && r.status() == 200,
                        mouse::up);
        assertThat(repairs.getByText(Pattern.compile("of hands, not before ")).first())
                .isVisible();
    }

    /** While a stop stands its repair has no time and all others are planned without it; what comes of the stop is planned when it is gone. */
    @Test
    void aLoopThatBreaksThePlanIsInTheMendedOne() {
        Technician tam = Technician.running("tam", "Load-door hail dings");
        tam.workTo("depth-2");
        tam.sent();
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.place("Day");
        Locator row = row(isla, tam.number());
        assertThat(row).containsText("of hands");
        tam.read("Depth left", "7");
        // Nobody asks for it: the bell rings.
        Locator held = region(isla.page(), "Held by a stop");
        assertThat(held.getByText("Too deep to fill")).isVisible();
        assertThat(row).isHidden();
        tam.button("Straighten again").click();
        tam.page()
                .locator("[data-step='depth-2:deep/straighten']")
                .getByText("Done")
                .first()
                .click();
        tam.button("Measure again").click();
        tam.read("Depth left", "2.2");
        tam.sent();
        assertThat(row).containsText("of hands");
        assertThat(held).isHidden();
        Planned mended = planned(isla, tam.number());
        org.assertj.core.api.Assertions.assertThat(mended.begun()).isTrue();
        org.assertj.core.api.Assertions.assertThat(mended.first()).startsWith("depth-2~2");
    }

    /** What the day says of one repair: what of it comes first, whether it has begun. */
    private record Planned(String first, boolean begun) {}

    private static Locator row(Technician who, String repair) {
        return region(who.page(), REPAIRS).locator("a[href^='/repairs/" + repair + "/']");
    }

    private static Planned planned(Technician who, String repair) {
        JsonObject day = JsonParser.parseString(
                        (String) who.page().evaluate("async () => (await fetch('/api/day')).text()"))
                .getAsJsonObject();
        JsonObject job = StreamSupport.stream(day.getAsJsonArray("jobs").spliterator(), false)
                .map(JsonElement::getAsJsonObject)
                .filter(j -> j.get("repair").getAsString().equals(repair))
                .findFirst()
                .orElseThrow();
        String first = StreamSupport.stream(day.getAsJsonArray("blocks").spliterator(), false)
                .map(JsonElement::getAsJsonObject)
                .filter(b -> b.get("number").equals(job.get("number")))
                .min(Comparator.comparing(b -> b.get("from").getAsString()))
                .orElseThrow()
                .get("task")
                .getAsString();
        return new Planned(first, job.get("begun").getAsBoolean());
    }

    @Test
    void anotherCalendarReadsTheDayAtAnAddressUntilItIsTakenAway() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.place("Day");
        tam.button("Calendar").first().click();
        tam.button("Make an address").click();
        String address =
                Depot.seen(tam.page().getByLabel("The address, shown only now")).inputValue();
        Page stranger = Depot.blank(1280, 800);
        APIResponse read = stranger.request().get(address);
        assertThat(read).isOK();
        org.assertj.core.api.Assertions.assertThat(read.text()).startsWith("BEGIN:VCALENDAR\r\n");
        tam.button("Take it away").click();
        assertThat(tam.button("Make an address")).isVisible();
        org.assertj.core.api.Assertions.assertThat(
                        stranger.request().get(address).status())
                .isEqualTo(404);
    }

    @Test
    void onAPhoneOnesOwnListStaysWithNoServer() {
        Technician priya = new Technician(Depot.as("priya", 390, 844));
        Page page = priya.page();
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        priya.place("Day");
        Locator own = region(page, "Priya Lindqvist");
        assertThat(own).isVisible();
        page.evaluate(
                "async () => { const kept = () => new Promise(r => { const o = indexedDB.open('vanemend-answers'); o.onsuccess = () => {"
                        + " const g = o.result.transaction('kept').objectStore('kept').get('answers');"
                        + " g.onsuccess = () => { o.result.close(); r(JSON.stringify(g.result ?? '')); }; }; });"
                        + " while (!(await kept()).includes('firstComeLateMin')) await new Promise(r => setTimeout(r, 200)); }");
        page.context().setOffline(true);
        page.reload();
        assertThat(own).isVisible();
        page.context().setOffline(false);
    }
}
