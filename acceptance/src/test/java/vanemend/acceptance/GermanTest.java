package vanemend.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

@DisplayName(
        "a screen that speaks German: the Bench and every step of whole runs, in view, with no English left but names")
@ExtendWith(Depot.Leave.class)
class GermanTest {
    /**
     * What is said on the glass and to a screen reader that still reads as English, what says itself that it is English and names of repairs, vehicles and
     * items left out.
     */
    private static final String ENGLISH = """
            async () => {
              const asked = p => fetch(p).then(r => r.json());
              const [repairs, shelf] = await Promise.all([asked('/api/repairs'), asked('/api/shelf')]);
              const names = [...repairs.flatMap(r => [r.name, r.vehicle]), ...shelf.map(l => l.item.name)].sort((a, b) => b.length - a.length);
              const said = new Set();
              const nodes = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              while (nodes.nextNode()) {
                const holder = nodes.currentNode.parentElement;
                if (holder && !holder.closest('script, style, [lang=en]')) said.add(nodes.currentNode.textContent.trim());
              }
              for (const e of document.querySelectorAll('[aria-label]')) said.add(e.getAttribute('aria-label'));
              const bare = t => names.reduce((left, n) => left.replaceAll(n, ''), t);
              return [...said].filter(t => /\\b(?:the|and|of|with|from|until|is|not|by|to|for|it|on|at|no|step|clock|done|hands|read|paper|wait)\\b/i.test(bare(t)));
            }
            """;

    private static Page german(String who) {
        Page page = Depot.stranger(1280, 800);
        Depot.seen(page.getByText("Deutsch")).click();
        Depot.seen(page.getByLabel("Passwort")).waitFor();
        Depot.seen(page.getByLabel("Name")).fill(who);
        Depot.seen(page.getByLabel("Passwort")).fill(Depot.PASSWORD);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Anmelden"))
                .click();
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Orte"))
                .waitFor();
        return page;
    }

    @Test
    @DisplayName("the Bench, with what runs, what is ready and what is held up")
    void bench() {
        Page page = german("isla");
        Depot.seen(page.getByText("Bereit zum Beginn")).first().waitFor();
        assertThat((List<?>) page.evaluate(ENGLISH)).isEmpty();
        assertThat(page.evaluate("() => document.documentElement.lang")).isEqualTo("de");
    }

    /** Worked in English on one screen, followed in German on another. */
    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "Load-door hail dings",
                "Front-skirt split",
                "Crown nail, rear tyre",
                "Windscreen star on the nearside"
            })
    void everyStep(String name) {
        Technician t = Technician.running("tam", name);
        Page page = german("priya");
        page.navigate(Depot.url() + "/repairs/" + t.number() + "/run");
        InView view = new InView();
        List<String> english = new ArrayList<>();
        t.followedBy(step -> {
            page.waitForFunction("id => document.querySelector('[data-step]')?.dataset.step === id", step);
            view.look(page, name, step);
            ((List<?>) page.evaluate(ENGLISH)).forEach(text -> english.add(step + ": " + text));
        });
        t.workTo("finished");
        Depot.seen(page.getByText("Abgeschlossen")).first().waitFor();
        assertThat(english.stream().distinct()).isEmpty();
        assertThat(view.wrong()).isEmpty();
        assertThat(view.looks()).isGreaterThan(10);
    }
}
