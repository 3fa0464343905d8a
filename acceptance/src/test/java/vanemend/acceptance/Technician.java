package vanemend.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** What a technician does with the screens, in a technician's words. */
final class Technician {
    private final Page page;

    /** Branches still to be answered, by gate. */
    private final Map<String, String> notYet = new HashMap<>();

    /** What passes at each reading of each gate of the plan, by gate and place among its readings. */
    private Map<String, Object> passing = Map.of();

    /** What looks at each step on the way. */
    private Consumer<String> looks = step -> {};

    private static final Locator.WaitForOptions HIDDEN =
            new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN);

    Technician(Page page) {
        this.page = page;
    }

    /** A repair of its own with the draft of the demo's {@code name}, at its {@code station}. */
    static Technician at(String station, String who, String name) {
        Technician t = new Technician(Depot.as(who, 1280, 800));
        t.page().navigate(Depot.url() + "/repairs/" + t.copied(name, name) + "/" + station);
        return t;
    }

    /** Somebody before a glass of {@code width} by {@code height}, with a repair like the demo's {@code name} that is {@code called} otherwise. */
    static Technician called(String who, int width, int height, String name, String called) {
        Technician t = new Technician(Depot.as(who, width, height));
        t.copied(name, called);
        return t;
    }

    /** The number of a new repair with the draft of the demo's {@code name}, whose part is {@code called} so. */
    private Object copied(String name, String called) {
        return page.evaluate("""
                async ([name, called]) => {
                  const all = await (await fetch('/api/repairs')).json();
                  const draft = (await (await fetch('/api/repairs/' + all.find(r => r.name === name).id)).json()).draft;
                  draft.part.name = called;
                  const made = await fetch('/api/repairs', {method: 'POST', body: JSON.stringify({clientId: crypto.randomUUID(), draft}),
                    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': /XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]}});
                  return (await made.json()).id;
                }""", List.of(name, called));
    }

    /** A repair of its own with the draft of the demo's {@code name}, its run begun. */
    static Technician running(String who, String name) {
        Technician t = at("run", who, name);
        t.button("Begin the work").click();
        t.page().locator("[data-step]").waitFor();
        t.learnThePlan();
        return t;
    }

    /** Each step that is worked on is looked at by {@code each}. */
    Technician lookedAtBy(InView each, String name) {
        followedBy(step -> each.look(page, name, step));
        return this;
    }

    /** Each step that is worked on is told to {@code each}, by its id. */
    void followedBy(Consumer<String> each) {
        looks = each;
    }

    Page page() {
        return page;
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(false));
    }

    void place(String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                .getByText(name, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    void station(String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Stations"))
                .getByText(name, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    void type(String label, String text) {
        Depot.seen(page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)))
                .fill(text);
    }

    /** A new repair of a painted steel door with one dent of {@code depth}. */
    void newRepair(String name, String depth) {
        touch("Door");
        type("What is it", name);
        type("Vehicle and number", "Ridge, no. 7");
        choose("Steel");
        choose("Both");
        type("Sheet gauge", "0.9");
        type("Part width", "700");
        type("Part height", "48 cm");
        noneOfThese();
        station("Damage");
        button("Add dent").click();
        type("Depth left", depth);
        type("Length", "120");
        type("Width", "100");
        assertThat(Depot.seen(page.getByText("Saved", new Page.GetByTextOptions().setExact(true))))
                .isVisible();
    }

    /** A new repair of the part whose picture is called {@code part}, at its first station. */
    void touch(String part) {
        place("Repairs");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New repair"))
                .click();
        choose(part);
        choose("Next");
        page.waitForURL(Pattern.compile(".*/part$"));
    }

    /** Presses the button that is called {@code name} and nothing more. */
    void choose(String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    /** Answers each question about the part, one after the other, with no. */
    void noneOfThese() {
        Locator asked = page.locator("[data-question]");
        asked.or(Depot.seen(page.getByText("all answered"))).first().waitFor();
        while (asked.count() > 0) {
            String which = asked.getAttribute("data-question");
            asked.getByText("No", new Locator.GetByTextOptions().setExact(true)).click();
            page.waitForFunction("q => document.querySelector('[data-question]')?.dataset.question !== q", which);
        }
    }

    void begin() {
        station("Run");
        button("Begin the work").click();
        assertThat(page.locator("[data-step='wash']")).isVisible();
        learnThePlan();
    }

    /** The next time {@code gate} is asked the answer is {@code branch}. */
    void willFind(String gate, String branch) {
        notYet.put(gate, branch);
    }

    String inHand() {
        Locator step = page.locator("[data-step], h1:text-is('Finished')").first();
        step.waitFor();
        String id = step.getAttribute("data-step");
        return id == null ? "finished" : id;
    }

    /** Works on until {@code stop} is in hand; {@code finished} for the end. */
    void workTo(String stop) {
        inHand();
        if (passing.isEmpty()) {
            learnThePlan();
        }
        for (int i = 0; i < 200; i++) {
            String id = inHand();
            if (!id.equals("finished")) {
                looks.accept(id);
            }
            if (id.equals(stop)) {
                return;
            }
            one(id);
            left(id);
        }
        throw new AssertionError("never came to " + stop);
    }

    /** Says what the shop's air is, °C, for everybody. */
    void air(String celsius) {
        button("Shop air: change it").click();
        type("Air", celsius);
        button("Take this air").click();
        assertThat(button("Take this air")).isHidden();
    }

    /** Answers the gate in hand with {@code branch}. */
    void answerNo(String branch) {
        // A field that waits for a reading has the keys.
        page.evaluate("document.activeElement?.blur()");
        String at = inHand();
        page.keyboard().press("n");
        // One answer alone is taken at once; of several one is chosen.
        page.waitForFunction(
                "([at, branch]) => [...document.querySelectorAll('button')].some(b => b.innerText.includes(branch))"
                        + " || document.querySelector('[role=alert] h1') !== null"
                        + " || document.querySelector('[data-step]')?.dataset.step !== at",
                List.of(at, branch));
        if (button(branch).count() > 0) {
            button(branch).click();
        }
    }

    /** Waits until another step than {@code id} is in hand. */
    void left(String id) {
        page.waitForFunction("id => (document.querySelector('[data-step]')?.dataset.step ?? 'finished') !== id", id);
    }

    /** Does what is in hand. */
    void one(String id) {
        if (Depot.seen(page.getByLabel("Filler on the scale")).count() > 0) {
            mix();
        } else if (notYet.containsKey(id)) {
            answerNo(notYet.remove(id));
        } else {
            readWhatIsAsked(id);
            String pedal = page.locator("footer").innerText();
            if (pedal.contains("too early") || pedal.contains("does not end by waiting")) {
                page.locator("[data-yes]").click();
                type("What was it judged by?", "nail leaves no mark");
                page.getByRole(AriaRole.DIALOG).locator("button.go").click();
            } else if (pedal.contains("say it by hand")) {
                page.locator("[data-yes]").click();
                // A wait whose other answer stops the work may be early as well.
                page.waitForFunction(
                        "id => document.querySelector('[role=dialog]') !== null"
                                + " || (document.querySelector('[data-step]')?.dataset.step ?? 'finished') !== id",
                        id);
                if (page.getByRole(AriaRole.DIALOG).count() > 0) {
                    type("What was it judged by?", "nail leaves no mark");
                    page.getByRole(AriaRole.DIALOG).locator("button.go").click();
                }
            } else if (pedal.contains("the house wants something first")) {
                // Without its picture, by hand: that stands in the record.
                page.locator("[data-yes]").click();
            } else {
                page.keyboard().press("PageDown");
            }
        }
    }

    /** What passes as reading {@code i} of the step {@code id}, as it is typed. */
    String passing(String id, int i) {
        return String.valueOf(passing.get(id.split("~")[0] + " " + i));
    }

    /** What a gate takes a reading for is read so that it passes. */
    private void readWhatIsAsked(String id) {
        Locator fields = page.locator("section[aria-label='Read it'] input");
        List<Locator> asked = fields.all();
        for (int i = 0; i < asked.size(); i++) {
            Locator field = page.locator("section[aria-label='Read it'] input").first();
            field.fill(passing(id, i));
            field.press("Enter");
            if (i + 1 < asked.size()) {
                page.waitForFunction(
                        "n => document.querySelectorAll(\"section[aria-label='Read it'] input\").length < n",
                        asked.size() - i);
            }
        }
        if (!asked.isEmpty()) {
            Depot.seen(page.getByText("it asks for a reading first")).first().waitFor(HIDDEN);
        }
    }

    /** Learns from the plan what passes at each of its gates: as planned, else a little inside the limit. */
    @SuppressWarnings("unchecked")
    void learnThePlan() {
        passing = (Map<String, Object>) page.evaluate("""
                async n => {
                  const plan = (await (await fetch(`/api/repairs/${n}/run`)).json()).frozen.workup.plan;
                  const out = {};
                  for (const { step } of plan.steps) {
                    (step.gate?.reads ?? []).forEach((q, i) => {
                      const of = s => step.watches.filter(w => w.quantity === q && w.sense === s).map(w => w.limit);
                      const [planned] = of('PLANNED');
                      out[`${step.id} ${i}`] = planned
                        ?? (of('OVER_DEW').length ? plan.air.tempC
                        : of('AT_LEAST').length ? Math.ceil(Math.max(...of('AT_LEAST'))) + 1
                        : Math.floor(Math.min(...of('AT_MOST'))) - 1);
                    });
                  }
                  return out;
                }""", number());
    }

    /** Weighs a little over what is asked, and the cream that this asks. */
    private void mix() {
        // Off the screen, not from the server: it may be out of reach.
        String asked = Depot.seen(page.getByText(Pattern.compile("asked .* a little over is fine")))
                .innerText()
                .replaceAll("[^0-9.]", "");
        Locator filler = Depot.seen(page.getByLabel("Filler on the scale"));
        filler.fill(String.format(Locale.ROOT, "%.1f", Double.parseDouble(asked) + 0.4));
        filler.press("Enter");
        Locator cream = Depot.seen(page.getByLabel(Pattern.compile("Cream, asked")));
        cream.waitFor();
        cream.fill(((String) cream.evaluate("e => e.labels[0]?.textContent ?? e.getAttribute('aria-label')"))
                .replaceAll("(?s).*asked ([0-9.]+).*", "$1"));
        cream.press("Enter");
        Depot.seen(page.getByLabel(Pattern.compile("Cream weighed"))).waitFor();
        page.keyboard().press("PageDown");
        assertThat(button("Mixed, one colour")).isVisible();
        page.keyboard().press("PageDown");
    }

    /** Waits until nothing is kept in the browser alone. */
    void sent() {
        page.locator("header[data-outbox='empty']").waitFor();
    }

    /** Types and waits until the server has it. */
    void typeAndSave(String label, String text) {
        page.waitForResponse(r -> r.request().method().equals("PUT") && r.status() == 200, () -> type(label, text));
    }

    /** Reads {@code value} at the step in hand: on the screen of a gate that takes it, else in the sheet. */
    void read(String label, String value) {
        Locator here = page.locator("section[aria-label='Read it']").getByLabel(label);
        if (here.count() > 0) {
            here.fill(value);
            here.press("Enter");
        } else {
            button("Reading").click();
            type(label, value);
            button("Take the reading").click();
        }
    }

    /** Asks the server as this page would. */
    Object ask(String path) {
        return page.evaluate("p => fetch(p).then(r => r.json())", path);
    }

    /** Filler that the run asks for in its newest mix, g, as the server says. */
    double plannedFillerG() {
        return ((Number) page.evaluate(
                        "n => fetch(`/api/repairs/${n}/run`).then(r => r.json()).then(r => r.state.mixes.at(-1).fillerTargetG)",
                        number()))
                .doubleValue();
    }

    /** Number of the repair on screen. */
    String number() {
        return page.url().replaceAll(".*/repairs/(\\d+)/.*", "$1");
    }
}
