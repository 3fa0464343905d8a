package vanemend.app.web;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.security.Principal;
import java.time.DayOfWeek;
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
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.export.ICalendar;
import vanemend.app.problem.Refused;
import vanemend.app.store.Json;
import vanemend.app.store.ShopSettings;
import vanemend.core.day.Hours;
import vanemend.core.trade.Check;

/** The day, and when the shop works. */
@RestController
@RequestMapping("/api")
class DayController {
    private static final int LIVES_SECONDS = 30;

    private final DayViews views;
    private final ShopSettings settings;
    private final Bell bell;
    private final People people;
    private final KeptAnswer<DayView> kept;

    DayController(DayViews views, ShopSettings settings, Bell bell, Json json, People people) {
        this.views = views;
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

    @Needs(Right.RULES)
    @PutMapping("/shop/hours")
    DayView hours(@RequestBody HoursDraft draft, Principal me) {
        Check check = new Check();
        Hours hours = Hours.typed(Optional.ofNullable(draft.hours()).orElse(Map.of()), check);
        Refused.unlessClean("Hours", check);
        settings.hours(hours, people.of(me).id());
        bell.ring();
        kept.drop();
        return kept.value(views::day);
    }
}
