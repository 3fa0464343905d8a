package vanemend.app.web;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
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
import vanemend.app.bench.RepairWork;
import vanemend.app.problem.Refused;
import vanemend.app.store.DaySaid;
import vanemend.app.store.Shop;
import vanemend.app.store.ShopSettings;
import vanemend.core.day.DayBook;
import vanemend.core.day.Hours;
import vanemend.core.trade.Air;
import vanemend.core.trade.AirDraft;
import vanemend.core.trade.Check;

/** The day, and when the shop works. */
@RestController
@RequestMapping("/api")
class DayController {
    private static final String A_MOMENT = "a day and a time";

    /** More than a shop would buy at once. */
    private static final int MORE = 3;

    private final DayViews views;
    private final RepairWork work;
    private final Accounts accounts;
    private final DaySaid said;
    private final ShopSettings settings;
    private final Clock clock;
    private final People people;
    private final KeptDay kept;
    private final Shop shop;

    DayController(
            DayViews views,
            RepairWork work,
            Accounts accounts,
            DaySaid said,
            ShopSettings settings,
            Clock clock,
            People people,
            KeptDay kept,
            Shop shop) {
        this.shop = shop;
        this.views = views;
        this.work = work;
        this.accounts = accounts;
        this.said = said;
        this.clock = clock;
        this.settings = settings;
        this.people = people;
        this.kept = kept;
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
        return kept.answer(takes);
    }

    /** How often the day keeps what was promised, when it is replayed with loops and minutes as they fall. */
    @GetMapping("/day/odds")
    OddsView odds() {
        kept.value();
        return views.odds();
    }

    /** Why a repair is ready when it is, and what may be promised; {@code by} when it is asked for. */
    @GetMapping("/day/repairs/{id}")
    RepairDayView repair(@PathVariable long id, @RequestParam Optional<Instant> by) {
        kept.value();
        return views.of(id, by);
    }

    /**
     * The day with something of it otherwise; nothing is changed by asking.
     *
     * @param lamps how many more
     * @param ovens how many more
     * @param without whose hands go
     * @param like a repair of the day of which another is brought in
     * @param from when that one may begin; at once where nobody said
     * @param airC °C of the air that repairs which nobody has begun are planned by, at the shop's humidity
     */
    @GetMapping("/day/what-if")
    WhatIfView whatIf(
            @RequestParam(defaultValue = "0") int lamps,
            @RequestParam(defaultValue = "0") int ovens,
            @RequestParam Optional<String> without,
            @RequestParam Optional<Long> like,
            @RequestParam Optional<Instant> from,
            @RequestParam Optional<Double> airC) {
        DayView now = kept.value();
        Check check = new Check();
        check.range("lamps", "Lamps more", (double) lamps, 0, MORE, "");
        check.range("ovens", "Ovens more", (double) ovens, 0, MORE, "");
        if (like.isPresent() && now.jobs().stream().noneMatch(j -> j.repair() == like.get())) {
            check.refuse(
                    "like", like.get(), "a repair of this day", "No repair " + like.get() + " is planned on this day.");
        }
        Optional<Air> air = airC.map(t -> new AirDraft(t, shop.air().rhPercent()).check(check));
        Refused.unlessClean("What if", check);
        return views.whatIf(
                lamps, ovens, without.map(w -> handsOf(w, "without", "What if")), like.map(String::valueOf), from, air);
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
        return kept.anew();
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
        return kept.anew();
    }

    @Needs(Right.RULES)
    @DeleteMapping("/day/away/{id}")
    DayView here(@PathVariable long id, Principal me) {
        if (!said.here(id, people.of(me).id())) {
            throw new Refused(HttpStatus.NOT_FOUND, "Away", "Nothing was said under " + id + ", or it was taken back.");
        }
        return kept.anew();
    }

    /**
     * A repair's place in the day: whose hands, not before when, before all others, whether its promise is a wish; what is left out is taken
     * back.
     */
    record PinDraft(String person, Instant notBefore, boolean first, Boolean wished) {}

    @Needs(Right.DAY)
    @PutMapping("/day/repairs/{id}/pin")
    DayView pin(@PathVariable long id, @RequestBody PinDraft draft, Principal me) {
        work.repair(id);
        Optional<String> person =
                Optional.ofNullable(draft.person()).filter(p -> !p.isBlank()).map(p -> handsOf(p, "person", "Day"));
        said.pin(
                id,
                new DayBook.Pin(
                        person,
                        Optional.ofNullable(draft.notBefore()),
                        draft.first(),
                        Boolean.TRUE.equals(draft.wished())),
                people.of(me).id());
        return kept.anew();
    }

    /** The order before what was moved last stands again, until something else is asked of the day. */
    @Needs(Right.DAY)
    @PostMapping("/day/moved/off")
    DayView keepOff(Principal me) {
        if (!views.keepOff()) {
            throw new Refused(HttpStatus.CONFLICT, "Day", "Nothing was moved that could be kept off.");
        }
        return kept.anew();
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
}
