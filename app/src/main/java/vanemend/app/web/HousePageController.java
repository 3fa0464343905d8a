package vanemend.app.web;

import java.io.IOException;
import java.io.InputStream;
import java.security.Principal;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.access.Role;
import vanemend.app.bench.Bell;
import vanemend.app.bench.RepairWork;
import vanemend.app.problem.Refused;
import vanemend.app.store.PageRules;
import vanemend.app.store.Shop;
import vanemend.core.house.HouseChange;
import vanemend.core.house.PageRuleDraft;
import vanemend.core.house.PageRuleFile;
import vanemend.core.method.Act;
import vanemend.core.method.Conditions;
import vanemend.core.method.House;
import vanemend.core.method.HousePages;
import vanemend.core.method.Interlock;
import vanemend.core.method.PageRule;
import vanemend.core.plan.Plan;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Workup;
import vanemend.core.stack.Recipe;
import vanemend.core.trade.Check;
import vanemend.core.trade.InputProblem;
import vanemend.core.trade.MethodId;
import vanemend.core.trade.Quantity;

/** The house's own pages: what leads changed of the methods' pages, for every repair that is started from then on. */
@RestController
@RequestMapping("/api/house-pages")
class HousePageController {
    private static final String TITLE = "House rule";

    private final Shop shop;
    private final PageRules rules;
    private final Bell bell;
    private final People people;
    private final Clock clock;

    HousePageController(Shop shop, PageRules rules, Bell bell, People people, Clock clock) {
        this.shop = shop;
        this.rules = rules;
        this.bell = bell;
        this.people = people;
        this.clock = clock;
    }

    /**
     * A rule of the house's own pages.
     *
     * @param methodTitle the method as said
     * @param said what it says
     * @param endedBy who took it back; empty while it is in force
     */
    record PageRuleView(
            long id,
            MethodId method,
            String methodTitle,
            String said,
            String reason,
            String by,
            Instant at,
            String endedBy,
            Optional<Instant> endedAt) {}

    /** What a step of the house's own may say that it does. */
    record HandworkView(Act act, String word) {}

    /**
     * The house's own pages.
     *
     * @param rules all that were ever signed, in the order of signing
     * @param acts what a step of the house's own may say that it does
     * @param readable what may be wanted at a step
     * @param maySign whether who asks may sign and take back
     */
    record HousePagesView(
            List<PageRuleView> rules, List<HandworkView> acts, List<Quantity> readable, boolean maySign) {}

    /** A rule, with the repair in whose plan its steps are seen. */
    record PageRuleOnPlan(PageRuleDraft rule, RepairDraft repair) {}

    /**
     * What a rule would do to a plan.
     *
     * @param change what it does; empty where it is not whole yet
     * @param broken interlocks that it breaks there
     * @param problems what is missing of it
     */
    record TriedView(Optional<HouseChange> change, List<Interlock.Broken> broken, List<InputProblem> problems) {}

    @GetMapping
    HousePagesView all(Principal me) {
        return new HousePagesView(
                rules.all().stream().map(HousePageController::view).toList(),
                HousePages.HANDWORK.stream()
                        .map(a -> new HandworkView(a, a.word()))
                        .toList(),
                List.copyOf(HousePages.READABLE),
                Right.RULES.of(people.of(me).role()));
    }

    /** What a rule would do to the plan at hand, saving nothing. */
    @Needs(Right.RULES)
    @PostMapping("/tried")
    TriedView tried(@RequestBody PageRuleOnPlan asked, Principal me) {
        Check check = new Check();
        Account who = people.of(me);
        PageRule rule = signed(asked, who, check);
        return check.clean()
                ? tried(rule, asked.repair(), who)
                : new TriedView(Optional.empty(), List.of(), check.problems());
    }

    @Needs(Right.RULES)
    @PostMapping
    HousePagesView sign(@RequestBody PageRuleOnPlan asked, Principal me) {
        Check check = new Check();
        Account who = people.of(me);
        PageRule rule = signed(asked, who, check);
        Refused.unlessClean(TITLE, check);
        HouseChange change = tried(rule, asked.repair(), who)
                .change()
                .orElseThrow(() -> new Refused(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        TITLE,
                        "There is no plan to see this rule in: sign it where its steps can be seen."));
        if (!change.bears()) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, TITLE, change.why());
        }
        shop.sign(List.of(rule), who.id());
        bell.ring();
        return all(me);
    }

    /** Takes a rule back; plans that were started with it keep it. */
    @Needs(Right.RULES)
    @PostMapping("/{id}/back")
    HousePagesView back(@PathVariable long id, Principal me) {
        PageRule rule = rules.all().stream()
                .map(PageRules.Line::rule)
                .filter(r -> r.id() == id)
                .findFirst()
                .orElseThrow(
                        () -> new Refused(HttpStatus.NOT_FOUND, TITLE, "There is no rule " + id + " of the house."));
        if (!shop.takeBack(rule, people.of(me).id())) {
            throw new Refused(HttpStatus.CONFLICT, TITLE, "This rule was taken back already.");
        }
        bell.ring();
        return all(me);
    }

    /** The rules in force, for another shop. */
    @GetMapping(path = "/house-pages.yaml", produces = "application/yaml")
    ResponseEntity<String> file() {
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"house-pages.yaml\"")
                .body(PageRuleFile.write(now().rules()));
    }

    /** Takes the rules of a file, all or none, signed by who sends it. The body is the file itself. */
    @Needs(Right.RULES)
    @PostMapping("/file")
    HousePagesView take(InputStream body, Principal me) throws IOException {
        Check check = new Check();
        Account who = people.of(me);
        // One byte more than is taken tells a file that is too large, without reading all of it.
        byte[] file = body.readNBytes(PageRuleFile.MOST_BYTES + 1);
        List<PageRule> fresh = PageRuleFile.read(file, now(), who.name(), at(), check);
        Refused.unlessClean("House pages", check);
        shop.sign(fresh, who.id());
        bell.ring();
        return all(me);
    }

    private HousePages now() {
        return shop.conditions(false).house().pages();
    }

    private Instant at() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    private PageRule signed(PageRuleOnPlan asked, Account who, Check check) {
        PageRuleDraft draft = asked.rule();
        if (draft == null || asked.repair() == null) {
            throw new Refused(HttpStatus.BAD_REQUEST, TITLE, "A rule comes with the repair that it is seen in.");
        }
        return draft.signed("", now(), who.name(), at(), check);
    }

    private TriedView tried(PageRule rule, RepairDraft repair, Account who) {
        Conditions today = shop.conditions(who.role() == Role.APPRENTICE);
        House with = new House(today.house().schools(), today.house().pages().with(List.of(rule)));
        RepairWork.Worked after = RepairWork.work(repair, today.under(with));
        Optional<Plan> plan = after.workup().flatMap(Workup::plan).filter(p -> p.method() == rule.method());
        List<Interlock.Broken> broken = new ArrayList<>(plan.map(Plan::broken).orElse(List.of()));
        RepairWork.work(repair, today)
                .workup()
                .flatMap(Workup::plan)
                .ifPresent(before -> broken.removeAll(before.broken()));
        return new TriedView(
                plan.flatMap(p -> p.house().stream().reduce((first, last) -> last)), broken, after.problems());
    }

    private static PageRuleView view(PageRules.Line l) {
        PageRule r = l.rule();
        return new PageRuleView(
                r.id(),
                r.method(),
                Recipe.all().stream()
                        .filter(x -> x.method() == r.method())
                        .findFirst()
                        .map(Recipe::title)
                        .orElseThrow(),
                r.said(),
                r.reason(),
                r.by(),
                r.at(),
                l.endedBy(),
                l.endedAt());
    }
}
