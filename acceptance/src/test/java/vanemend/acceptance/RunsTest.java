package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName(
        "whole runs of other methods in the browser: readings that stop, what must hold before a mix, hand-over, signature, record")
@ExtendWith(Depot.Leave.class)
class RunsTest {
    private static Locator sign(Technician t) {
        return t.page()
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Sign").setExact(true));
    }

    @Test
    void aClearRunIsStoppedByItsFilmBudgetAndNoFootPassesIt() {
        Technician tam = Technician.running("tam", "Run on the mirror arm cover");
        Page page = tam.page();
        tam.workTo("film");
        tam.read("Clear left beside the run", "38");
        assertThat(page.getByText("Stop: 38")).isVisible();
        assertThat(page.locator("[data-figure]")).containsText("38");
        assertThat(page.getByText("pedal: held")).isVisible();
        page.keyboard().press("PageDown");
        page.keyboard().press("Enter");
        tam.sent();
        assertThat(tam.inHand()).isEqualTo("film");
        tam.button("Differs").click();
        assertThat(page.locator("[data-step='film#1.differs.read']")).isVisible();
    }

    @Test
    void anAngleOverTwentyFiveDegreesLeadsToTwoPieces() {
        Technician tam = Technician.running("tam", "Crown nail, rear tyre");
        tam.workTo("angle");
        tam.read("Angle from square", "31");
        assertThat(tam.page().getByText("takes two pieces")).isVisible();
        tam.button("Differs").click();
        assertThat(tam.page().locator("[data-step='angle#1.differs.plan-anew']"))
                .isVisible();
    }

    @Test
    void twoSidedPlasticThroughToASignedRecordThatIsFoundByItsLot() throws IOException {
        Technician tam = Technician.running("tam", "Front-skirt split");
        Page page = tam.page();
        tam.workTo("back-ready");
        assertThat(page.getByText("Before it goes live: all holds")).isVisible();
        tam.sent();
        // Handed over in the middle: one tap.
        Technician priya = new Technician(Depot.as("priya", 1280, 800));
        priya.page().navigate(Depot.url() + "/repairs/" + tam.number() + "/run");
        priya.button("Take over from Tam").click();
        assertThat(priya.button("Take over")).isHidden();
        // A low spot is found: second coat of the same material, over renewed promoter.
        priya.willFind("pinholes", "Low spot");
        priya.workTo("finished");
        priya.sent();
        assertThat(priya.ask("/api/repairs/" + tam.number() + "/run").toString())
                .contains("pinholes#1.low.promoter", "pinholes#1.low.fill");
        priya.page().getByText("To the record").click();
        assertThat(priya.page().getByText("Not signed yet.")).isVisible();
        assertThat(sign(priya)).isHidden();

        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.page().navigate(Depot.url() + "/repairs/" + tam.number() + "/record");
        isla.button("Send back").click();
        isla.type("Why does it go back?", "Shine test missing");
        isla.button("Send back").click();
        assertThat(isla.page().getByText("Shine test missing").first()).isVisible();
        sign(isla).click();
        assertThat(isla.page().getByText("Signed by Isla Renwick")).isVisible();

        Download json =
                isla.page().waitForDownload(() -> isla.page().getByText("JSON").click());
        assertThat(Files.readString(json.path())).contains("vane-mend-record-1", "Shine test missing");
        @SuppressWarnings("unchecked")
        Map<String, Object> record = (Map<String, Object>)
                ((Map<String, Object>) isla.ask("/api/repairs/" + tam.number() + "/record")).get("record");
        String lot = record.get("lots").toString().replaceAll("(?s).*?lot=([^,}]+).*", "$1");
        isla.place("Repairs");
        isla.page().getByText("Records").click();
        isla.page().getByPlaceholder("vehicle, lot").fill("front-skirt " + lot + " priya");
        assertThat(isla.page().locator("a[href='/repairs/" + tam.number() + "/record']"))
                .isVisible();
        assertThat(isla.page().getByText("signed by Isla").first()).isVisible();
        // Over the record itself: already here, said so.
        isla.page().setInputFiles("input[type=file]", json.path());
        assertThat(isla.page().getByRole(AriaRole.ALERT)).containsText("already");
    }

    /** Air is found, topped up, pressed again; the light at the resin is a quarter of what was read first, as cloud in winter. */
    @Test
    void aChipTakesATopUpAndAWeakSunTakesFourTimesAsLong() {
        Technician tam = Technician.running("tam", "Windscreen star on the nearside");
        Page page = tam.page();
        tam.willFind("air", "Dark spot");
        tam.workTo("air#1.air.drops");
        assertThat(page.getByText("Four more drops")).isVisible();
        tam.workTo("air#2");
        tam.workTo("light");
        tam.read("UV at the resin", "20");
        tam.sent();
        Instant strong = ends(tam);
        tam.read("UV at the resin", "5");
        tam.sent();
        Instant weak = ends(tam);
        // Nothing was taken yet but seconds: what is left of ten minutes takes four times as long.
        assertThat(Duration.between(strong, weak).toMinutes()).isBetween(27L, 30L);
        assertThat(page.getByText("from 2 UV readings")).isVisible();
    }

    @SuppressWarnings("unchecked")
    private static Instant ends(Technician t) {
        Map<String, Object> state =
                (Map<String, Object>) ((Map<String, Object>) t.ask("/api/repairs/" + t.number() + "/run")).get("state");
        return Instant.parse((String)
                ((List<Map<String, Object>>) state.get("clocks")).getFirst().get("endsAt"));
    }

    @Test
    void aReadingIsPutRightWithItsReasonAndStaysInTheRecord() {
        Technician tam = Technician.running("tam", "Run on the mirror arm cover");
        tam.workTo("film");
        tam.read("Clear left beside the run", "85");
        tam.sent();
        tam.page().navigate(Depot.url() + "/repairs/" + tam.number() + "/record");
        tam.button("Put right").click();
        tam.page().getByText("Clear left beside the run 85").click();
        tam.type("Clear left beside the run", "58");
        tam.type("Why", "digits turned");
        tam.button("Put it right").click();
        assertThat(tam.page().getByText("put right to 58")).isVisible();
        assertThat(tam.page().getByText("digits turned")).isVisible();
    }
}
