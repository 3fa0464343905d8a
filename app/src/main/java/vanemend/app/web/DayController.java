package vanemend.app.web;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Accounts;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.bench.RepairWork;
import vanemend.app.export.ICalendar;
import vanemend.app.problem.Refused;
import vanemend.app.store.DaySaid;
import vanemend.app.store.Json;
import vanemend.app.store.ShopSettings;
import vanemend.core.day.DayBook;
import vanemend.core.day.Hours;
import vanemend.core.trade.Check;

/** The day, and when the shop works. */
@RestController
@RequestMapping("/api")
class DayController {
    private static final int LIVES_SECONDS = 30;
    private static final String A_MOMENT = "a day and a time";

    private final DayViews views;
    private final RepairWork work;
    private final Accounts accounts;
    private final DaySaid said;
    private final ShopSettings settings;
    private final Clock clock;
    private final Bell bell;
    private final People people;
    private final KeptAnswer<DayView> kept;

    DayController(
            DayViews views,
            RepairWork work,
            Accounts accounts,
            DaySaid said,
            ShopSettings settings,
            Clock clock,
            Bell bell,
            Json json,
            People people) {
        this.views = views;
        this.work = work;
        this.accounts = accounts;
        this.said = said;
        this.clock = clock;
        this.settings = settings;
        this.bell = bell;
        this.people = people;
        this.kept = new KeptAnswer<>(bell, json, LIVES_SECONDS);
    }

    /** When the shop works: what is typed for each weekday; one that is not named is a day off. */
    record HoursDraft(Map<DayOfWeek, String> hours) {}

    @ApiResponse(
            responseCode = "200",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = DayView.class)))
    @GetMapping(path = "/day", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> day(
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "")
                    String takes) {
        return kept.answer(views::day, takes);
    }

    /**
     * What hands do, for another calendar.
     *
     * @param person whose; everybody's where none is named
     */
    @GetMapping(path = "/day/calendar", produces = "text/calendar")
    ResponseEntity<String> calendar(@RequestParam Optional<String> person) {
        DayView day = kept.value(views::day);
        String name = person.map(id -> day.people().stream()
                        .filter(a -> a.id().equals(id))
                        .map(Account::name)
                        .findFirst()
                        .orElseThrow(() -> new Refused(
                                HttpStatus.NOT_FOUND,
                                "Calendar",
                                "Nobody whose hands are planned signs in as " + id + ".")))
                .orElse("Day");
        Map<Integer, DayView.DayJob> jobs =
                day.jobs().stream().collect(Collectors.toMap(DayView.DayJob::number, Function.identity()));
        List<ICalendar.Event> events = day.blocks().stream()
                .filter(b -> b.work() == DayView.Work.HANDS || b.work() == DayView.Work.LIVE)
                .filter(b -> person.isEmpty() || b.person().equals(person))
                .map(b -> event(b, jobs.get(b.number())))
                .toList();
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("day" + person.map(id -> "-" + id).orElse("") + ".ics")
                                .build()
                                .toString())
                .body(ICalendar.of(name, day.now(), events));
    }

    private static ICalendar.Event event(DayView.DayBlock b, DayView.DayJob job) {
        return new ICalendar.Event(
                job.repair() + "-" + b.task() + "@day.vane-mend",
                b.from(),
                b.to(),
                job.name() + ": " + b.title(),
                job.vehicle());
    }

    /** Why a repair is ready when it is, and what may be promised; {@code by} when it is asked for. */
    @GetMapping("/day/repairs/{id}")
    RepairDayView repair(@PathVariable long id, @RequestParam Optional<Instant> by) {
        kept.value(views::day);
        return views.of(id, by);
    }

    /**
     * When the shop works, or one of its people.
     *
     * @param person whose hours are not the shop's; without any they are again
     */
    @Needs(Right.RULES)
    @PutMapping("/shop/hours")
    DayView hours(@RequestParam Optional<String> person, @RequestBody HoursDraft draft, Principal me) {
        Check check = new Check();
        Hours hours = Hours.typed(Optional.ofNullable(draft.hours()).orElse(Map.of()), check);
        Refused.unlessClean("Hours", check);
        String by = people.of(me).id();
        if (person.isPresent()) {
            said.hours(handsOf(person.get(), "person", "Hours"), hours, by);
        } else {
            settings.hours(hours, by);
        }
        return anew();
    }

    /** Who is away, or what is out of order: an account's id, LAMP or OVEN. */
    record AwayDraft(String who, Instant from, Instant to) {}

    @Needs(Right.RULES)
    @PostMapping("/day/away")
    DayView away(@RequestBody AwayDraft draft, Principal me) {
        Check check = new Check();
        if (draft.from() == null) {
            check.refuse("from", null, A_MOMENT, "Since when is missing.");
        }
        if (draft.to() == null) {
            check.refuse("to", null, A_MOMENT, "Until when is missing.");
        }
        Refused.unlessClean("Away", check);
        if (!draft.from().isBefore(draft.to())) {
            check.refuse("to", draft.to(), "a moment after the first", "It ends before it begins.");
        } else if (!draft.to().isAfter(clock.instant())) {
            check.refuse("to", draft.to(), "a moment to come", "It is over already.");
        }
        Refused.unlessClean("Away", check);
        String who = DaySaid.THINGS.contains(draft.who()) ? draft.who() : handsOf(draft.who(), "who", "Away");
        said.gone(who, draft.from(), draft.to(), people.of(me).id());
        return anew();
    }

    @Needs(Right.RULES)
    @DeleteMapping("/day/away/{id}")
    DayView here(@PathVariable long id, Principal me) {
        if (!said.here(id, people.of(me).id())) {
            throw new Refused(HttpStatus.NOT_FOUND, "Away", "Nothing was said under " + id + ", or it was taken back.");
        }
        return anew();
    }

    /** A repair's place in the day: whose hands, not before when, before all others; what is left out is taken back. */
    record PinDraft(String person, Instant notBefore, boolean first) {}

    @Needs(Right.DAY)
    @PutMapping("/day/repairs/{id}/pin")
    DayView pin(@PathVariable long id, @RequestBody PinDraft draft, Principal me) {
        work.repair(id);
        Optional<String> person =
                Optional.ofNullable(draft.person()).filter(p -> !p.isBlank()).map(p -> handsOf(p, "person", "Day"));
        said.pin(
                id,
                new DayBook.Pin(person, Optional.ofNullable(draft.notBefore()), draft.first()),
                people.of(me).id());
        return anew();
    }

    /** The id of {@code person}, whose hands are planned. */
    private String handsOf(String person, String field, String title) {
        return accounts.all().stream()
                .filter(a -> a.role().works())
                .map(Account::id)
                .filter(a -> a.equals(person))
                .findFirst()
                .orElseThrow(() -> {
                    Check check = new Check();
                    check.refuse(
                            field,
                            person,
                            "a technician or an apprentice who signs in here",
                            "Nobody whose hands are planned signs in as " + (person == null ? "nobody" : person) + ".");
                    return new Refused(title, check);
                });
    }

    private DayView anew() {
        bell.ring();
        kept.drop();
        return kept.value(views::day);
    }
}
