package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@DisplayName(
        "the whole job of every family in the browser, from the first step to the record, each through a stop and out of it")
@ExtendWith(Depot.Leave.class)
class EveryFamilyTest {
    private static final InView LOOKS = new InView();

    private static Technician begun(String name) {
        return Technician.running("tam", name).lookedAtBy(LOOKS, name);
    }

    /** Figure, clock, answers, readings: in every step of all these runs, at four sizes, wholly in view. */
    @AfterAll
    static void nothingThatMattersIsCut() {
        org.assertj.core.api.Assertions.assertThat(LOOKS.looks()).isGreaterThan(200);
        org.assertj.core.api.Assertions.assertThat(LOOKS.wrong()).isEmpty();
    }

    private static void stopped(Technician t, String title) {
        assertThat(t.page().getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Stop: " + title)))
                .isVisible();
        // Neither foot nor key passes it.
        String at = t.inHand();
        t.page().keyboard().press("PageDown");
        assertThat(t.page().locator("[data-step='" + at + "']")).isVisible();
    }

    private static void recorded(Technician t, String... words) {
        t.sent();
        t.page().navigate(Depot.url() + "/repairs/" + t.number() + "/record");
        for (String w : words) {
            assertThat(Depot.seen(t.page().getByText(w)).first()).isVisible();
        }
    }

    /** What was seen stops the work; looked at again it holds, and both stand in the record. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Cab-door ding, paint kept | paint-sound | The paint lets go",
                "Load-door scratch | nail | Pits stay dark",
                "Roof-hatch ding | creases | A crack at a crease",
                "Step-edge cover, rust pits | probe | A pit goes through",
                "Battery-lid through-crack | tap | Dull beyond the dish",
                "Roof-pod gelcoat hairline | bottom | It goes through, or sounds dull",
                "Welded skirt seam, cosmetic | weld | A crack or a hole in the weld",
                "Rear-corner pulled dent | pulled | It springs",
                "Bonnet hail, some pushed out | pushed-out | Still there, or the paint is cracked",
                "Door-skin weld seam | weld | Light through pinholes",
                "Skirt-end locating tab | root | Air or dry cloth in it",
                "Front-skirt knock: split, rash, tab | 3-root | Air or dry cloth in it",
                "Mirror shell, corner missing | bites | It stays hard, or crazes",
                "Driver's-console trim, glue and gouge | trial-spot | It crazes, softens or peels"
            })
    void lookedAtAgain(String name, String gate, String seen) {
        Technician t = begun(name);
        t.workTo(gate);
        t.answerNo(seen);
        stopped(t, seen.toLowerCase(java.util.Locale.ROOT));
        t.page().reload();
        stopped(t, seen.toLowerCase(java.util.Locale.ROOT));
        t.button("Look again").click();
        t.type("What did you see?", "a scratch of the cleaner, wiped off");
        t.button("It holds: go on").click();
        t.left(gate);
        t.workTo("finished");
        recorded(t, "a scratch of the cleaner, wiped off");
    }

    /** Gelcoat is used from 18 °C: in the depot's 17 there is no plan, and in a warmer shop it goes to its record. */
    @Test
    void gelcoatInAWarmerShop() {
        Technician isla = new Technician(Depot.as("isla", 1280, 800));
        isla.page().navigate(Depot.url() + Depot.path("Roof-pod gelcoat chips", "steps"));
        assertThat(Depot.seen(isla.page().getByText("Does not cure below 18")).first())
                .isVisible();
        try {
            isla.air("20");
            assertThat(isla.page().getByText("Does not cure below 18")).hasCount(0);
            lookedAtAgain("Roof-pod gelcoat chips", "bottom", "Fibre seen");
        } finally {
            isla.air("17");
        }
    }

    /** A reading stops the work until one passes. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Step-well corner torn at the edge | dew | Surface | 6 | 22 | too near the dew point",
                "Bin-flap hole | dew | Surface | 6 | 22 | too near the dew point",
                "Door-skin weld seam | depth | Depth left | 6.4 | 1.35 | too deep to fill",
                "Wing stone chips | depth | Depth left | 0.3 | 0.15 | too deep for paint alone",
                "Front-skirt road rash | depth | Depth left | 1.7 | 1.2 | too deep to fill alone",
                "Windscreen star on the nearside | glass | Surface | 31 | 21 | glass too hot"
            })
    void measuredAgain(String name, String gate, String label, String bad, String good, String title) {
        Technician t = begun(name);
        t.workTo(gate);
        t.read(label, bad);
        stopped(t, title);
        t.button("Measure again").click();
        t.read(label, good);
        assertThat(t.page().getByText("Stop: " + title)).isHidden();
        t.workTo("finished");
        recorded(t, bad);
    }

    @Test
    @DisplayName("rust that went further: planned anew for what is open, and worked to its end by the second plan")
    void rustThatWentFurther() {
        Technician t = begun("Wheel-arch rust-through");
        Page page = t.page();
        t.workTo("opening");
        int planned =
                Integer.parseInt(page.locator("main").innerText().replaceAll("(?s).*Nothing over (\\d+).*", "$1"));
        t.read("Opening across", String.valueOf(planned + 3));
        stopped(t, "wider than it was planned");
        t.sent();
        t.button("Plan anew from here").click();
        t.button("Open the draft").click();
        assertThat(Depot.seen(page.getByText("Planned anew while the work goes on")))
                .isVisible();
        Depot.seen(page.getByText("Go on by the new plan")).click();
        t.button("Go on by this plan").click();
        page.locator("[data-step]").waitFor();
        t.learnThePlan();
        t.workTo("finished");
        recorded(t, "Plan 2: steps, planned against done");
    }

    /** What no stop is met in is worked straight through, so that each of its steps is looked at too. */
    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"Crown nail, rear tyre", "Front-skirt split", "Run on the mirror arm cover"})
    void straightThrough(String name) {
        Technician t = begun(name);
        t.workTo("finished");
        recorded(t, "Steps, planned against done");
    }

    @Test
    @DisplayName("three dents, each read by itself: one is straightened again, the rest of the job goes to its end")
    void threeDents() {
        Technician t = begun("Load-door hail dings");
        t.workTo("depth-2");
        t.read("Depth left", "7");
        stopped(t, "too deep to fill");
        t.button("Straighten again").click();
        t.page()
                .locator("[data-step='depth-2:deep/straighten']")
                .getByText("Done")
                .first()
                .click();
        assertThat(t.page().locator("[data-step='depth-2~2']")).isVisible();
        t.button("Measure again").click();
        t.read("Depth left", "2.2");
        assertThat(t.page().getByText("Stop: too deep")).isHidden();
        t.page().keyboard().press("PageDown");
        t.left("depth-2~2");
        t.workTo("finished");
        recorded(t, "Straighten again");
    }

    /**
     * The longest steps that any school of any way to mend writes, each put into the hands of one run: what is long in one school only is in view
     * too. What is weighed or has just been mixed is looked at in the runs above.
     */
    @Test
    @DisplayName("the longest steps of every school are wholly in view")
    void everySchool() {
        Technician t = begun("Load-door hail dings");
        Page page = t.page();
        List<?> runs = (List<?>) page.evaluate(LONGEST, t.number());
        org.assertj.core.api.Assertions.assertThat(runs).hasSizeGreaterThan(30);
        String[] told = {""};
        page.route(
                "**/api/repairs/" + t.number() + "/run",
                r -> r.fulfill(new Route.FulfillOptions()
                        .setContentType("application/json")
                        .setBody(told[0])));
        for (int i = 0; i < runs.size(); i++) {
            told[0] = (String) runs.get(i);
            page.reload();
            page.locator("[data-figure]").waitFor();
            LOOKS.look(page, "a step of some school", String.valueOf(i));
        }
    }

    private static final String LONGEST = """
            async number => {
              const get = path => fetch(path).then(r => r.json());
              const post = body => fetch('/api/preview', {method: 'POST', body: JSON.stringify(body), headers: {'Content-Type': 'application/json',
                'X-XSRF-TOKEN': /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]}}).then(r => r.json());
              const planned = (await get('/api/repairs')).filter(r => r.standing === 'PLANNED');
              const {schools} = await get('/api/rules');
              const steps = new Map();
              for (const {id} of planned) {
                const {draft, workup} = await get('/api/repairs/' + id);
                for (const s of workup.plan?.schools ?? []) {
                  const {school} = schools.find(x => x.school.id === s.school);
                  for (const o of school.options.filter(o => o.planned)) {
                    const other = await post({...draft, houseRules: {...draft.houseRules, [s.school]: o.id}});
                    for (const {step} of other.workup?.plan?.steps ?? []) {
                      if (step.kind !== 'MIX' && step.kind !== 'SPREAD') steps.set(JSON.stringify([step.title, step.detail, step.gate]), step);
                    }
                  }
                }
              }
              const size = s => s.title.length * 2 + s.detail.length + s.cautions.reduce((n, c) => n + c.text.length, 0)
                + (s.gate ? s.gate.question.length + s.gate.yesNote.length : 0);
              const run = await get(`/api/repairs/${number}/run`);
              const at = run.state.steps.findIndex(s => s.id === run.state.current);
              return [...steps.values()].sort((a, b) => size(b) - size(a)).slice(0, 60).map(step => {
                const told = structuredClone(run);
                told.state.steps[at].step = step;
                if (step.clock) told.state.clocks = [{agedMin: 1, neededMin: 20, kind: step.clock.kind, label: step.clock.label, note: step.clock.note,
                  warning: '', step: run.state.current, startedAt: run.now, endsAt: new Date(Date.parse(run.now) + 20 * 60000).toISOString()}];
                return JSON.stringify(told);
              });
            }
            """;

    /** Every end that work can come to before its last step, each told on the Bench and in the record. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Step-edge cover, rust pits | probe | A pit goes through | Referred | referred",
                "Crown nail, rear tyre | probe | Plies separated or run soft | Scrapped or replaced | scrapped",
                "Driver's-console trim, glue and gouge | trial-spot | It crazes, softens or peels | Customer withdrew | withdrew"
            })
    void endedHere(String name, String gate, String seen, String how, String told) {
        Technician t = begun(name);
        t.workTo(gate);
        t.answerNo(seen);
        stopped(t, seen.toLowerCase(java.util.Locale.ROOT));
        t.button("End here").click();
        Depot.seen(t.page().getByLabel(how)).check();
        t.button("End the work").click();
        assertThat(t.page().locator("h1").filter(new Locator.FilterOptions().setHasText("Ended")))
                .isVisible();
        recorded(t, "Ended before the last step");
        assertThat(t.page().locator("main")).containsText(told);
    }
}
