package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName("a whole plan for every family: drawn, dosed, timed, cut, changed by hand")
@ExtendWith(Depot.Leave.class)
class PlansTest {
    /** Repairs of the demo depot that can be mended, with something that only their plan says. */
    private static final Map<String, String> MENDABLE = Map.ofEntries(
            Map.entry("Wheel-arch rust-through", "Press it through the mesh, thin and firm"),
            Map.entry("Run on the mirror arm cover", "Putty thin over and around the run"),
            Map.entry("Battery-lid through-crack", "Lay the plies, smallest first"),
            Map.entry("Roof-pod gelcoat hairline", "Stop-drill past each end"),
            Map.entry("Front-skirt split", "Dish until the backing just shows"),
            Map.entry("Step-well corner torn at the edge", "V-notch the end of the tear"),
            Map.entry("Bin-flap hole", "Mesh on film to the back, fill the face"),
            Map.entry("Welded skirt seam, cosmetic", "Check the weld lies below"),
            Map.entry("Mirror shell, corner missing", "Bead over each crack, at the back"),
            Map.entry("Driver's-console trim, glue and gouge", "Try the texture on scrap"),
            Map.entry("Windscreen star on the nearside", "Hold the vacuum"),
            Map.entry("Crown nail, rear tyre", "Stitch from the centre out, twice"));

    private static Locator tab(Page page, String name) {
        return page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name));
    }

    private static String open(Page page, String repair, String station) {
        String id = page.evaluate(
                        "n => fetch('/api/repairs').then(r => r.json()).then(all => all.find(r => r.name === n).id)",
                        repair)
                .toString();
        page.navigate(Depot.url() + "/repairs/" + id + "/" + station);
        return id;
    }

    @Test
    void everyMendableRepairOfTheDepotIsPlannedAndDrawn() {
        Page page = Depot.as("isla", 1280, 800);
        MENDABLE.forEach((repair, step) -> {
            open(page, repair, "footprint");
            assertThat(Depot.seen(page.getByLabel("Section A to A"))).isVisible();
            assertThat(Depot.seen(page.getByLabel("Footprint, to scale"))).isVisible();
            open(page, repair, "steps");
            assertThat(Depot.seen(page.getByText(step)).first()).isVisible();
            tab(page, "Pour").click();
            assertThat(Depot.seen(page.getByText("From the shelf", new Page.GetByTextOptions().setExact(true))))
                    .isVisible();
        });
    }

    @Test
    void aTemplateIsDownloadedAndMeasuredByAnotherProgram() throws IOException, InterruptedException {
        Page page = Depot.as("isla", 1280, 800);
        open(page, "Front-skirt split", "steps?sheet=cut");
        Locator dxf = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("DXF"));
        assertThat(dxf).isVisible();
        assertThat(Depot.seen(page.getByText("Saved", new Page.GetByTextOptions().setExact(true))))
                .isVisible();
        Download file = page.waitForDownload(dxf::click);
        Path kept = Path.of("target/skirt.dxf");
        file.saveAs(kept);
        String read = """
                import ezdxf, sys
                for e in ezdxf.readfile(sys.argv[1]).modelspace().query('POLYLINE'):
                    p = [v.dxf.location for v in e.vertices]
                    print(e.dxf.layer, max(a.x for a in p) - min(a.x for a in p), max(a.y for a in p) - min(a.y for a in p))
                """;
        Process p = new ProcessBuilder("/usr/bin/python3", "-c", read, kept.toString())
                .redirectErrorStream(true)
                .start();
        String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(p.waitFor()).as(out).isZero();
        List<String> rows = out.lines().toList();
        assertThat(rows).anySatisfy(r -> {
            assertThat(r).startsWith("CHECK ");
            assertThat(Math.abs(Double.parseDouble(r.split(" ")[1]) - 100)).isLessThan(0.1);
        });
        // The cloth reaches 25 mm past the line of a crack 78 mm across and 64 mm up; its arcs are drawn with chords.
        assertThat(rows).anySatisfy(r -> {
            assertThat(r).startsWith("CUT ");
            double a = Double.parseDouble(r.split(" ")[1]);
            double b = Double.parseDouble(r.split(" ")[2]);
            assertThat(Math.max(a, b)).isBetween(127.5, 128.1);
            assertThat(Math.min(a, b)).isBetween(113.5, 114.1);
        });
    }

    @Test
    @DisplayName("the words of the trade on this screen are those that are shown, not those of a station out of sight")
    void wordsOnThisScreen() {
        Page page = Depot.as("tam", 1280, 800);
        open(page, "Front-skirt knock: split, rash, tab", "verdict");
        // Built while nobody waits, and out of sight.
        Locator steps = page.locator("section[aria-label='Steps']");
        assertThat(steps).isAttached();
        assertThat(steps).containsText("low spots");
        assertThat(steps).isHidden();
        page.keyboard().press("?");
        Locator here = page.getByRole(AriaRole.DIALOG)
                .locator("section")
                .filter(new Locator.FilterOptions().setHasText("On this screen"));
        Locator words = here.locator("dt");
        assertThat(words.filter(new Locator.FilterOptions().setHasText("Promoter")))
                .hasCount(1);
        assertThat(words.filter(new Locator.FilterOptions().setHasText("Low spot")))
                .hasCount(0);
    }

    @Test
    void leavingAStepOutNamesTheInterlockAndIsTakenBack() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        open(page, "Welded skirt seam, cosmetic", "steps");
        Depot.seen(page.getByText("Promoter, one wet coat")).first().click();
        tam.button("Leave out").click();
        Locator alert = page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("promoter"));
        assertThat(alert.first()).isVisible();
        assertThat(alert.first()).containsText("What follows");
        tam.button("Take back").click();
        assertThat(page.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("What follows")))
                .hasCount(0);
    }

    @Test
    void theOtherSchoolsPlanIsOneTapAwayWithWhatDiffers() {
        Page page = Depot.as("tam", 1280, 800);
        open(page, "Front-skirt split", "steps?sheet=schools");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Self-adhesive patch"))
                .click();
        assertThat(Depot.seen(page.getByText(Pattern.compile("steps against")))).isVisible();
        assertThat(Depot.seen(page.getByText("added", new Page.GetByTextOptions().setExact(true)))
                        .first())
                .isVisible();
        assertThat(Depot.seen(page.getByText("left out", new Page.GetByTextOptions().setExact(true)))
                        .first())
                .isVisible();
        assertThat(Depot.seen(page.getByText("Press the patch on")).first()).isVisible();
    }

    @Test
    void theBackIsOneTapAwayTheCutIsDraggedAndInchesReadEverywhere() {
        Page page = Depot.as("priya", 1280, 800);
        open(page, "Bin-flap hole", "footprint");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Face; tap for the back"))
                .click();
        assertThat(Depot.seen(page.getByLabel("Footprint, to scale"))
                        .getByText("Mesh, back")
                        .first())
                .isVisible();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("× 5").setExact(true))
                .click();
        assertThat(Depot.seen(page.getByLabel("Section A to A")).getByText("heights × 5"))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Units are metric: turn them"))
                .click();
        // Mesh reaches 25 mm past the hole: 31.5 thirty-seconds of an inch.
        assertThat(Depot.seen(page.getByText("31/32\u202fin")).first()).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Units are .*: turn them")))
                .click();
    }

    @Test
    @DisplayName(
            "a new repair in one line: what was understood stands under its words, what was not is said, and Next makes it")
    void inOneLine() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        page.keyboard().press("n");
        Depot.seen(page.getByLabel("Say it in one line, or touch a part and a damage"))
                .fill("Ridge no. 7 front bumper PP-EPDM crack 120 mm through, near edge");
        Locator understood = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What was understood"));
        assertThat(understood.getByText("not understood")).hasCount(2);
        assertThat(understood.getByText(">PP+EPDM<")).isVisible();
        assertThat(Depot.seen(page.getByText("Usual, not measured:"))).isVisible();
        page.keyboard().press("Enter");
        assertThat(Depot.seen(page.getByLabel("What is it", new Page.GetByLabelOptions().setExact(true))))
                .hasValue("Front bumper");
        assertThat(Depot.seen(page.getByLabel("Vehicle and number"))).hasValue("Ridge, no. 7");
        Locator wall = Depot.seen(page.getByLabel("Wall thickness", new Page.GetByLabelOptions().setExact(true)));
        assertThat(wall).hasAccessibleDescription("usual");
        wall.fill("2.6");
        assertThat(wall).hasAccessibleDescription("");
        assertThat(Depot.seen(page.getByText("Saved", new Page.GetByTextOptions().setExact(true))))
                .isVisible();
        assertThat(String.valueOf(tam.ask("/api/repairs/" + tam.number())))
                .contains("PLASTIC", "CRACK", "THROUGH", "assumed=[WIDTH, HEIGHT, OUTLINE]");
    }

    @Test
    @DisplayName(
            "from the picture of a door to a plan, by Next alone: one thing after the other, dents put on by touch")
    void byTouch() {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        Page page = tam.page();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New repair"))
                .click();
        tam.choose("Door");
        tam.choose("Dent");
        tam.choose("Dent, 1");
        Depot.seen(page.getByLabel("Vehicle and number")).fill("Ridge, no. 21");
        tam.choose("Next");
        page.waitForURL(Pattern.compile(".*/part$"));
        tam.noneOfThese();
        Locator next = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Next"));
        assertThat(next).containsText("The metal is not chosen");
        tam.choose("Next");
        tam.choose("Steel");
        assertThat(next).containsText("Which side can be reached");
        tam.choose("Both");
        assertThat(next).containsText("Dent 1: length is missing");
        tam.choose("Next");
        Locator part =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Part to scale, with its damage"));
        assertThat(Depot.seen(page.getByText("tap where it is, or drag from its middle outward")))
                .isVisible();
        BoundingBox box = part.boundingBox();
        double[] middle = {box.x + box.width / 2, box.y + box.height / 2};
        for (int i = 0; i < 2; i++) {
            page.mouse().move(middle[0] - 100 + 200 * i, middle[1]);
            page.mouse().down();
            page.mouse().move(middle[0] - 60 + 200 * i, middle[1] + 20);
            page.mouse().up();
        }
        assertThat(next).containsText("Dent 1: depth is missing");
        tam.choose("Next");
        Locator depths = Depot.seen(page.getByLabel("Depth left", new Page.GetByLabelOptions().setExact(true)));
        assertThat(depths.first()).isFocused();
        page.keyboard().type("2.5");
        assertThat(next).containsText("Dent 2: depth is missing");
        page.keyboard().press("Enter");
        assertThat(depths.last()).isFocused();
        page.keyboard().type("2");
        assertThat(next).containsText("see whether it may be mended");
        // The second pulled onto the first: it is said.
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Dent 2, middle"))
                .focus();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("Shift+ArrowLeft");
        }
        assertThat(Depot.seen(page.getByText("Dent 2 lies on dent 1"))).isVisible();
        for (int i = 0; i < 30; i++) {
            page.keyboard().press("Shift+ArrowRight");
        }
        assertThat(Depot.seen(page.getByText("Dent 2 lies on dent 1"))).isHidden();
        tam.choose("Next");
        assertThat(Depot.seen(page.getByText("Mend", new Page.GetByTextOptions().setExact(true)))
                        .first())
                .isVisible();
        tam.choose("Next");
        assertThat(next).containsText("begin the work");
    }
}
