package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

@DisplayName(
        "devices beside the run: a steady figure taken with a tap, a broken one typed over, readings and pictures in the record")
@ExtendWith(Depot.Leave.class)
class DevicesTest {
    @TempDir
    Path dir;

    /** The devices are everybody's: what was put on the scale or made wrong would be read by whichever test comes next. */
    @AfterEach
    void asTheyWere() {
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.page().evaluate("""
                async () => {
                  const token = /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1];
                  const ask = async (method, path, body) => {
                    const answer = await fetch('/api/devices/' + path, {method, body: body && JSON.stringify(body),
                      headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token}});
                    if (!answer.ok) throw new Error(path + ' answers ' + answer.status);
                  };
                  await ask('PUT', 'SCALE/knobs/load', {value: 0});
                  await ask('PUT', 'SCALE/fault', {fault: 'NONE'});
                  await ask('PUT', 'FILM/fault', {fault: 'NONE'});
                  await ask('POST', 'SCALE/presses/nought');
                }""");
    }

    /** Isla, who drives the stand-ins on another screen: only a lead lets one fail. */
    private static Technician atTheDevices() {
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.place("Devices");
        isla.page().locator("[data-device='SCALE']").waitFor();
        return isla;
    }

    private static Locator sheet(Technician t, String name) {
        return t.page().getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    /** Waits until the scale beside the run stands {@code figure}. */
    private static void stands(Technician t, String figure) {
        Locator shown =
                t.page().getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Mixing scale"));
        assertThat(shown).containsText(Pattern.compile("(?<![\\d.])" + figure));
    }

    private static Locator weighed(Technician t, String said) {
        return t.page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(said)));
    }

    @Test
    void fillerAndCreamComeOffTheScale() {
        Technician isla = atTheDevices();
        Locator scale = sheet(isla, "Mixing scale");
        scale.getByLabel("Creep").fill("0");
        scale.getByLabel("On the pan").fill("0");
        scale.getByText("Set to nought").click();
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Weighed on the scale", "2.8");
        tam.begin();
        tam.workTo("filler-mix");
        scale.getByLabel("On the pan").fill("66.3");
        // The scale scatters by a tenth, so what was taken lies that near to what is on the pan.
        stands(tam, "66\\.[234]\\sg\\s*steady");
        tam.button("Take as filler").click();
        assertThat(weighed(tam, "Filler weighed: 66\\.[234]\\sg")).isVisible();
        tam.button("Nought").click();
        stands(tam, "[-\u2212]?0(\\.1)?\\sg");
        scale.getByLabel("On the pan").fill("64.3");
        stands(tam, "[-\u2212][12](\\.[019])?\\sg\\s*steady; expected 0.1 to 150\\sg");
        assertThat(tam.button("Take as cream")).isDisabled();
        scale.getByLabel("On the pan").fill("67.6");
        stands(tam, "1\\.[234]\\sg\\s*steady");
        tam.button("Take as cream").click();
        assertThat(weighed(tam, "Cream weighed: 1\\.[234]\\sg")).isVisible();
        tam.sent();
        assertThat(tam.ask("/api/repairs/" + tam.number() + "/run").toString()).contains("source=Mixing scale");
    }

    @Test
    void aGaugeThatFallsSilentKeepsItsLastFigureWithItsAgeAndTheFigureIsTyped() throws IOException {
        Technician isla = atTheDevices();
        Locator gauge = sheet(isla, "Paint-film gauge");
        gauge.getByLabel("Film there").fill("138");
        gauge.getByLabel("Scatter").fill("0");
        Technician tam = Technician.running("tam", "Run on the mirror arm cover");
        Page page = tam.page();
        tam.workTo("film");
        gauge.getByText("Touch the probe down").click();
        tam.button("Take it").click();
        assertThat(Depot.seen(page.getByText("Read 4 more"))).isVisible();
        gauge.getByText("Silent").click();
        assertThat(Depot.seen(page.getByText("Does not answer: type the figure instead. Last 138")))
                .isVisible();
        assertThat(tam.button("Take it")).isDisabled();
        tam.read("Total film beside the run", "136");
        tam.sent();
        gauge.getByText("Right").click();

        // In the record, with its source; out and in as a file, counted once.
        page.navigate(Depot.url() + "/repairs/" + tam.number() + "/record");
        Download csv = page.waitForDownload(
                () -> Depot.seen(page.getByText("Readings, CSV")).click());
        assertThat(Files.readString(csv.path()))
                .contains("FILM_UM,136.0,µm,film,")
                .contains(",Paint-film gauge");
        page.getByLabel("Readings file").setInputFiles(csv.path());
        assertThat(Depot.seen(page.getByText("Nothing new: all of them are here already.")))
                .isVisible();
        Path broken = Files.writeString(dir.resolve("logger.csv"), "at,quantity,value\nnoon,SURFACE_C,21\n");
        page.getByLabel("Readings file").setInputFiles(broken);
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing was taken. Line 2: “noon” is no time");
    }

    @Test
    void theSurfaceLogsItselfToTheRepairItIsPutOn() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Under the lamp", "2.8");
        tam.begin();
        Technician isla = atTheDevices();
        Locator surface = sheet(isla, "Surface thermometer");
        surface.getByLabel("Log to").selectOption(tam.number());
        surface.getByText("Put on").click();
        assertThat(surface).containsText("Logs to Under the lamp");
        assertThat(tam.ask("/api/repairs/" + tam.number() + "/run").toString())
                .contains("source=Surface thermometer, logged=true");
        surface.getByText("Take off").click();
        assertThat(surface).not().containsText("Logs to");
    }

    @Test
    void picturesBeforeAndAfterStandInTheRecordAndGoWithAReasonOnly() throws IOException {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.newRepair("Pictured door", "2.8");
        tam.begin();
        Page page = tam.page();
        page.navigate(Depot.url() + "/repairs/" + tam.number() + "/record");
        Path file = dir.resolve("door.png");
        ImageIO.write(new BufferedImage(2400, 1200, BufferedImage.TYPE_INT_RGB), "png", file.toFile());
        page.getByLabel("Picture before").setInputFiles(file);
        Locator shot = page.getByAltText("Before, taken");
        assertThat(shot).isVisible();
        page.waitForFunction("i => i.complete && i.naturalWidth === 1600", shot.elementHandle());
        Path text = Files.writeString(dir.resolve("no.png"), "no picture");
        page.getByLabel("Picture after").setInputFiles(text);
        assertThat(Depot.seen(page.getByText("no.png: This is no picture that is taken here: JPEG or PNG is.")))
                .isVisible();
        tam.button("Take this picture away").click();
        tam.type("Why", "wrong door");
        tam.button("Take it away").click();
        assertThat(shot).hasCount(0);
    }
}
