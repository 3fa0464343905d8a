package vanemend.app.web;

import java.security.Principal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.export.ICalendar;
import vanemend.app.problem.Refused;
import vanemend.app.store.CalendarAddresses;

/** What hands do, for other calendars: as a file, and at an address that another program reads again and again. */
@RestController
class CalendarController {
    private static final String CALENDAR = "text/calendar";
    private static final String EVERYBODY = "Day";

    private final KeptDay day;
    private final CalendarAddresses addresses;
    private final People people;

    CalendarController(KeptDay day, CalendarAddresses addresses, People people) {
        this.day = day;
        this.addresses = addresses;
        this.people = people;
    }

    /**
     * The day as a file.
     *
     * @param person whose; everybody's where none is named
     * @param repair of the vehicle of this repair alone
     */
    @GetMapping(path = "/api/day/calendar", produces = CALENDAR)
    ResponseEntity<String> calendar(@RequestParam Optional<String> person, @RequestParam Optional<Long> repair) {
        DayView now = day.value();
        String name = person.map(id -> now.people().stream()
                        .filter(a -> a.id().equals(id))
                        .map(Account::name)
                        .findFirst()
                        .orElseThrow(() -> none("Nobody whose hands are planned signs in as " + id + ".")))
                .orElse(EVERYBODY);
        Optional<String> vehicle = repair.map(id -> now.jobs().stream()
                .filter(j -> j.repair() == id)
                .map(DayView.DayJob::vehicle)
                .findFirst()
                .orElseThrow(() -> none("Repair " + id + " has no time on the day.")));
        String of = person.map(id -> "-" + id).orElse("")
                + repair.map(id -> "-vehicle-" + id).orElse("");
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("day" + of + ".ics")
                                .build()
                                .toString())
                .body(written(
                        vehicle.filter(v -> !v.isBlank()).orElse(name),
                        now,
                        b -> person.isEmpty() || b.person().equals(person),
                        j -> vehicle.isEmpty() || j.vehicle().equals(vehicle.get())));
    }

    /** Since when one has an address; empty without any. */
    record AddressView(Optional<Instant> since) {}

    /** An address of one's own, told this once: a path on this server. */
    record AddressMade(String path, Instant since) {}

    @GetMapping("/api/day/calendar/address")
    AddressView address(Principal me) {
        return new AddressView(addresses.since(people.of(me).id()));
    }

    @Needs(Right.CALENDAR)
    @PostMapping("/api/day/calendar/address")
    AddressMade make(Principal me) {
        String id = people.of(me).id();
        String secret = addresses.anew(id);
        return new AddressMade(
                "/calendar/" + secret + ".ics", addresses.since(id).orElseThrow());
    }

    @Needs(Right.CALENDAR)
    @DeleteMapping("/api/day/calendar/address")
    AddressView away(Principal me) {
        addresses.away(people.of(me).id());
        return address(me);
    }

    /** What one's own hands do, for whoever knows the {@code secret}; everybody's for one whose hands are not planned. */
    @GetMapping(path = "/calendar/{secret}.ics", produces = CALENDAR)
    ResponseEntity<String> subscribed(@PathVariable String secret) {
        String id = addresses
                .personOf(secret)
                .orElseThrow(() -> none("No calendar is read here: its address was taken away, or never was."));
        DayView now = day.value();
        Optional<Account> hands =
                now.people().stream().filter(p -> p.id().equals(id)).findFirst();
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(written(
                        hands.map(Account::name).orElse(EVERYBODY),
                        now,
                        b -> hands.isEmpty() || b.person().equals(Optional.of(id)),
                        j -> true));
    }

    private static String written(
            String name, DayView day, Predicate<DayView.DayBlock> whose, Predicate<DayView.DayJob> which) {
        Map<Integer, DayView.DayJob> jobs = day.jobs().stream()
                .filter(which)
                .collect(Collectors.toMap(DayView.DayJob::number, Function.identity()));
        List<ICalendar.Event> events = day.blocks().stream()
                .filter(b -> b.work() == DayView.Work.HANDS || b.work() == DayView.Work.LIVE)
                .filter(b -> jobs.containsKey(b.number()))
                .filter(whose)
                .map(b -> event(b, jobs.get(b.number())))
                .toList();
        return ICalendar.of(name, day.now(), events);
    }

    private static ICalendar.Event event(DayView.DayBlock b, DayView.DayJob job) {
        return new ICalendar.Event(
                job.repair() + "-" + b.task() + "@day.vane-mend",
                b.from(),
                b.to(),
                job.name() + ": " + b.title(),
                job.vehicle());
    }

    private static Refused none(String why) {
        return new Refused(HttpStatus.NOT_FOUND, "Calendar", why);
    }
}
