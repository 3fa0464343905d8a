package vanemend.app.web;

import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.access.Role;
import vanemend.app.bench.Records;
import vanemend.app.bench.RepairWork;
import vanemend.app.problem.Refused;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.web.Views.ClosedPage;
import vanemend.app.web.Views.PreviewView;
import vanemend.app.web.Views.RepairLine;
import vanemend.app.web.Views.RepairView;
import vanemend.app.web.Views.StackView;
import vanemend.core.method.Conditions;
import vanemend.core.plan.RepairDraft;
import vanemend.core.plan.Site;
import vanemend.core.plan.Workup;

/** Repairs: list, make, change, and the computation while typing. */
@RestController
@RequestMapping("/api")
class RepairController {
    private final RepairWork work;
    private final Records records;
    private final Repairs repairs;
    private final Shop shop;
    private final Lines lines;
    private final People people;

    RepairController(RepairWork work, Records records, Repairs repairs, Shop shop, Lines lines, People people) {
        this.records = records;
        this.work = work;
        this.repairs = repairs;
        this.shop = shop;
        this.lines = lines;
        this.people = people;
    }

    /** A new repair; the same client id twice makes one. */
    record NewRepairDraft(UUID clientId, RepairDraft draft) {}

    /** Repairs that wait or run: as many as a shop has at a time. */
    @GetMapping("/repairs")
    List<RepairLine> list(Principal me) {
        Conditions today = shop.conditions(people.of(me).role() == Role.APPRENTICE);
        Map<Long, RepairWork.Live> running =
                work.underWay().live().stream().collect(Collectors.toMap(RepairWork.Live::id, l -> l));
        return repairs.notClosed().stream()
                .map(r -> lines.of(r, today, running))
                .toList();
    }

    /** Repairs that are finished or ended and answer {@code find}, a page at a time. */
    @GetMapping("/repairs/closed")
    ClosedPage closed(@RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String after) {
        Records.ClosedPage page = records.closed(find, Places.read(after));
        return new ClosedPage(
                page.closed().stream().map(Lines::closed).toList(), page.next().map(Places::written));
    }

    @Needs(Right.PLAN)
    @PostMapping("/repairs")
    ResponseEntity<RepairView> add(@RequestBody NewRepairDraft fresh, Principal me) {
        if (fresh.clientId() == null) {
            throw new Refused(
                    HttpStatus.BAD_REQUEST, "Repair", "A new repair needs a clientId: a UUID made by the screen.");
        }
        Account who = people.of(me);
        return answer(work.add(fresh.clientId(), draftOf(fresh.draft()), who), who, HttpStatus.CREATED);
    }

    @GetMapping("/repairs/{id}")
    ResponseEntity<RepairView> one(@PathVariable long id, Principal me) {
        return answer(work.repair(id), people.of(me), HttpStatus.OK);
    }

    @Needs(Right.PLAN)
    @PutMapping("/repairs/{id}")
    ResponseEntity<RepairView> change(
            @PathVariable long id,
            @RequestHeader("If-Match") Optional<String> ifMatch,
            @RequestBody RepairDraft draft,
            Principal me) {
        Account who = people.of(me);
        return answer(work.change(id, Versions.of(ifMatch), draftOf(draft), who), who, HttpStatus.OK);
    }

    @Needs(Right.DRAFT_AWAY)
    @DeleteMapping("/repairs/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void throwAway(@PathVariable long id, Principal me) {
        work.throwAway(id, people.of(me));
    }

    /** A limit of care set aside; an empty reason takes it back. */
    record OverruleDraft(String ruleId, String reason) {}

    @Needs(Right.OVERRULE)
    @PostMapping("/repairs/{id}/overrules")
    ResponseEntity<RepairView> overrule(
            @PathVariable long id,
            @RequestHeader("If-Match") Optional<String> ifMatch,
            @RequestBody OverruleDraft draft,
            Principal me) {
        Account who = people.of(me);
        return answer(work.overrule(id, Versions.of(ifMatch), draft.ruleId(), draft.reason(), who), who, HttpStatus.OK);
    }

    /** Why a run is planned anew. */
    record AnewDraft(String reason) {}

    /** Opens the draft of a run again, with what was found put into it. */
    @Needs(Right.WORK)
    @PostMapping("/repairs/{id}/anew")
    ResponseEntity<RepairView> anew(@PathVariable long id, @RequestBody AnewDraft draft, Principal me) {
        Account who = people.of(me);
        return answer(work.planAnew(id, draft.reason(), who), who, HttpStatus.OK);
    }

    /** Goes on by the plan that the run has. */
    @Needs(Right.WORK)
    @DeleteMapping("/repairs/{id}/anew")
    ResponseEntity<RepairView> keepPlan(@PathVariable long id, Principal me) {
        Account who = people.of(me);
        return answer(work.keepPlan(id, who), who, HttpStatus.OK);
    }

    @Needs(Right.PLAN)
    @PostMapping("/preview")
    PreviewView preview(@RequestBody RepairDraft draft, Principal me) {
        RepairWork.Worked w = work.sketch(draft, people.of(me));
        return new PreviewView(w.workup(), w.problems());
    }

    /** The stack of a draft with everything that speaks for and against it; what is computed while typing leaves that out. */
    @Needs(Right.PLAN)
    @PostMapping("/preview/stack")
    StackView stack(@RequestBody RepairDraft draft, Principal me) {
        Optional<Workup> workup = work.work(draft, people.of(me)).workup();
        return new StackView(
                workup.map(Workup::stack),
                workup.stream()
                        .flatMap(w -> w.sites().stream())
                        .map(Site::stack)
                        .toList());
    }

    private static RepairDraft draftOf(RepairDraft draft) {
        if (draft == null) {
            throw new Refused(HttpStatus.BAD_REQUEST, "Repair", "No draft came with the request.");
        }
        return draft;
    }

    private ResponseEntity<RepairView> answer(Repairs.Stored r, Account who, HttpStatus status) {
        Optional<Instant> frozenAt = Optional.empty();
        Optional<Workup> workup;
        List<vanemend.core.trade.InputProblem> problems = List.of();
        if (!r.open()) {
            RepairWork.Running run = work.running(r.id());
            frozenAt = Optional.of(run.frozen().frozenAt());
            workup = Optional.of(run.frozen().workup());
        } else {
            RepairWork.Worked w = work.sketch(r.draft(), who);
            workup = w.workup();
            problems = w.problems();
        }
        RepairView view = new RepairView(
                r.id(), r.version(), r.draft(), r.changedBy(), r.changedAt(), frozenAt, r.anew(), workup, problems);
        return ResponseEntity.status(status).eTag(Integer.toString(r.version())).body(view);
    }
}
