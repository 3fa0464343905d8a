package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@DisplayName("every family: what is it, may it be mended, and with what")
@ExtendWith(Depot.Leave.class)
class FamiliesTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A new part of {@code material} with its size. */
    private static Technician fresh(String material, String name, String width, String height) {
        Technician tam = new Technician(Depot.as("tam", 1280, 800));
        tam.touch(
                switch (material) {
                    case "Plastic" -> "Bumper cover";
                    case "Composite" -> "Lid, pod";
                    case "Glass" -> "Windscreen";
                    default -> material;
                });
        tam.type("What is it", name);
        tam.type("Vehicle and number", "Ridge, no. 7");
        if (!material.equals("Tyre") && !material.equals("Glass")) {
            tam.choose("Both");
        }
        tam.type(material.equals("Tyre") ? "Tread width" : "Part width", width);
        tam.type(material.equals("Tyre") ? "Length shown" : "Part height", height);
        tam.noneOfThese();
        return tam;
    }

    @Test
    void aMouldedMarkIsReadAndAWrongOneShowsTheCharacter() {
        Technician tam = fresh("Plastic", "Marked skirt", "900", "300");
        Page page = tam.page();
        tam.type("Wall thickness", "3");
        tam.type("Moulded mark, as it stands there", ">PP+EPDM-GQ20<");
        assertThat(Depot.seen(page.getByText("Character 11: unknown filler form letter Q."))
                        .first())
                .isVisible();
        tam.type("Moulded mark, as it stands there", ">PP+EPDM-TD20<");
        assertThat(Depot.seen(page.getByText("TD: talc powder"))).isVisible();
        // Read before the damage is whole: with the last of it a plan may take this place at any moment.
        assertThat(Depot.seen(page.getByText("Low surface energy", new Page.GetByTextOptions().setExact(true))))
                .isVisible();
        assertThat(Depot.seen(page.getByText("Surface at most 55\u202f°C; recalled, verify.")))
                .isVisible();
        tam.station("Damage");
        tam.button("Add crack").click();
        button(page, "Through").click();
        button(page, "Both").click();
        tam.station("Stack");
        assertThat(Depot.seen(page.getByText("Back adhesive and cloth, then the face"))
                        .first())
                .isVisible();
        Depot.seen(page.getByText("Flexible patch, then the face")).first().click();
        tam.button("Take this one").click();
        assertThat(Depot.seen(page.getByText("Plastic, one-sided with flexible patch: flexible patch, then the face.")))
                .isVisible();
    }

    @Test
    void anUnmarkedPlasticIsNarrowedDownInThreeTests() {
        Technician tam = fresh("Plastic", "Unmarked cover", "300", "260");
        Page page = tam.page();
        tam.type("Wall thickness", "2.5");
        assertThat(Depot.seen(page.getByText("Too thin to plan on"))).isVisible();
        Depot.seen(page.getByText("All other tests")).click();
        for (String reading : new String[] {"Floats", "No change", "Fuzzy"}) {
            button(page, reading).first().click();
            Locator done = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Tests done"));
            assertThat(done.getByText(reading)).isVisible();
        }
        assertThat(Depot.seen(page.getByText("Settled: polyolefin"))).isVisible();
        button(page, "Take back").last().click();
        button(page, "Take back").last().click();
        assertThat(Depot.seen(page.getByText("Too thin to plan on"))).isVisible();
    }

    @Test
    void aTyreCutInTheShoulderIsRefused() {
        Technician tam = fresh("Tyre", "Front tyre", "190", "360");
        Page page = tam.page();
        button(page, "Car, light truck").click();
        button(page, "Front").click();
        tam.type("Shallowest groove", "5");
        tam.type("Date code", "0824");
        Depot.seen(page.getByLabel("Speed symbol")).selectOption("T");
        tam.station("Damage");
        tam.button("Add injury").click();
        tam.type("Diameter, cleaned out", "4");
        tam.station("Verdict");
        assertThat(Depot.seen(page.getByText("one-piece unit", new Page.GetByTextOptions().setExact(true))))
                .isVisible();
        tam.station("Damage");
        button(page, "Shoulder").click();
        tam.station("Verdict");
        assertThat(Depot.seen(page.getByLabel("Verdict")).getByText("injury in the shoulder"))
                .isVisible();
        assertThat(page.getByRole(AriaRole.NOTE).getByText("No repair is drawn."))
                .isVisible();
        assertThat(Depot.seen(page.getByText("Scrap the tyre.")).first()).isVisible();
        tam.station("Run");
        assertThat(tam.button("Begin the work")).isDisabled();
    }

    @Test
    void aChipInTheDriversViewIsJudgedByBothStandards() {
        Technician tam = fresh("Glass", "Windscreen", "1800", "900");
        Page page = tam.page();
        Depot.seen(page.getByLabel("Stamp on the pane")).selectOption("II");
        tam.type("Middle of the steering wheel, from the left as drawn", "900");
        tam.station("Damage");
        tam.button("Add stone chip").click();
        button(page, "Star").click();
        tam.type("Body across", "8");
        tam.type("With its legs", "18");
        tam.type("Pit across", "3");
        button(page, "Yes").click();
        tam.station("Verdict");
        assertThat(Depot.seen(page.getByLabel("Verdict")).getByText("18\u202fmm of at most 10\u202fmm"))
                .isVisible();
        assertThat(page.locator("[data-rule='glass-uk-a']")).containsText("BS AU 242a:1998; recalled, verify");
        assertThat(page.locator("[data-rule='glass-us-view-ok']")).containsText("common practice");
        tam.station("Damage");
        tam.type("With its legs", "9.5");
        tam.station("Verdict");
        assertThat(Depot.seen(page.getByText("9.5\u202fmm of at most 10\u202fmm")))
                .isVisible();
        assertThat(Depot.seen(page.getByText("Mend with limits")).first()).isVisible();
    }

    @Test
    void aShelfFileWithThreeBadLinesTakesTheGoodOnes() {
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        Page page = isla.page();
        isla.place("Shelf");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("In and out"))
                .click();
        String csv = "id,classId,name,lot,expires,quantity,unit,workMin,sand\n"
                + "file-tin,body-filler,Filler by file,BF-77,2030-01-31,500,g,5,18@21\n"
                + "bad-class,moon-dust,Dust,D-1,,1,g,,\n"
                + "bad-day,body-filler,Filler,B-2,31.1.2030,1,g,5,18@21\n"
                + "bad-time,body-filler,Filler,B-3,,1,g,5,18\n";
        page.getByLabel("A CSV or JSON file")
                .setInputFiles(new FilePayload("shelf.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8)));
        assertThat(Depot.seen(page.getByText("Would be: 1 new, 0 changed, 0 as they are, 3 refused.")))
                .isVisible();
        assertThat(Depot.seen(page.getByText("There is no class of material called moon-dust.")))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take 1 line, leave 3"))
                .click();
        assertThat(Depot.seen(page.getByText("Taken: 1 new"))).isVisible();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Items"))
                .click();
        Depot.seen(page.getByText("Filler by file")).click();
        isla.type("How much", "120");
        button(page, "Used up").click();
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("Filler by file"))
                        .getByText("380"))
                .isVisible();
        button(page, "Throw away").click();
        assertThat(page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Filler by file")))
                .hasCount(0);
    }

    @Test
    void aHouseRuleTurnedOverTurnsTheRanking() {
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        Page page = isla.page();
        String chip = Depot.url() + Depot.path("Windscreen star on the nearside", "stack");
        page.navigate(chip);
        Locator first = Depot.seen(page.locator("details")).first();
        assertThat(first).containsText("Vacuum, then pressure");
        try {
            turn(isla, "Pressure only");
            page.navigate(chip);
            assertThat(Depot.seen(page.locator("details")).first()).containsText("Pressure only");
        } finally {
            turn(isla, "Vacuum, then pressure");
        }
        page.navigate(chip);
        assertThat(Depot.seen(page.locator("details")).first()).containsText("Vacuum, then pressure");
    }

    private static void turn(Technician lead, String option) {
        lead.place("Rules");
        Locator rule = lead.page().locator("section").filter(new Locator.FilterOptions().setHasText("Filling a chip"));
        rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + option)))
                .click();
        assertThat(rule.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^" + option + ".*in force"))))
                .isVisible();
    }

    @Test
    void damageIsDraggedOnTheDrawing() {
        Technician tam = fresh("Composite", "Pod", "600", "400");
        Page page = tam.page();
        button(page, "SMC").click();
        tam.type("Wall thickness", "3");
        tam.station("Damage");
        tam.button("Add hairline").click();
        Locator drawing =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Part to scale, with its damage"));
        // Down where it is: the whole of it under one finger, then by its last handle.
        drawing.click();
        Locator handle = drawing.locator("circle[fill=transparent]").last();
        handle.waitFor();
        double[] at = {handle.boundingBox().x + 28, handle.boundingBox().y + 28};
        page.mouse().move(at[0], at[1]);
        page.mouse().down();
        page.mouse().move(at[0] + 60, at[1] - 40);
        page.mouse().up();
        assertThat(Depot.seen(page.getByLabel("End, across", new Page.GetByLabelOptions().setExact(true))))
                .not()
                .hasValue("350");
        assertThat(Depot.seen(page.getByText("Saved", new Page.GetByTextOptions().setExact(true))))
                .isVisible();
        Object kept = tam.ask("/api/repairs/" + tam.number());
        assertThat(kept.toString()).contains("HAIRLINE").doesNotContain("350, 200");
    }
}
