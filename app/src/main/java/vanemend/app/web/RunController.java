package vanemend.app.web;

import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import vanemend.app.access.Account;
import vanemend.app.access.Freshness;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.bench.EventDraft;
import vanemend.app.bench.Records;
import vanemend.app.bench.RepairWork;
import vanemend.app.problem.Refused;
import vanemend.app.web.Views.BenchView;
import vanemend.app.web.Views.NotTakenView;
import vanemend.app.web.Views.RecordView;
import vanemend.app.web.Views.RunView;
import vanemend.app.web.Views.TakenView;
import vanemend.core.run.FilmMap;

/** Run, record and work. */
@RestController
@RequestMapping("/api")
class RunController {
    private static final int MOST_EVENTS = 200;
    private final RepairWork work;
    private final Records records;
    private final KeptBench kept;
    private final Bell bell;
    private final People people;
    private final Freshness freshness;

    RunController(RepairWork work, Records records, KeptBench kept, Bell bell, People people, Freshness freshness) {
        this.freshness = freshness;
        this.work = work;
        this.records = records;
        this.kept = kept;
        this.bell = bell;
        this.people = people;
    }

    /** Begins the work. */
    record StartDraft(UUID eventId) {}

    @Needs(Right.WORK)
    @PostMapping("/repairs/{id}/start")
    RunView start(
            @PathVariable long id,
            @RequestHeader("If-Match") Optional<String> ifMatch,
            @RequestBody StartDraft draft,
            Principal me) {
        if (draft.eventId() == null) {
            throw new Refused(HttpStatus.BAD_REQUEST, "Start", "A start needs an eventId: a UUID made by the screen.");
        }
        return RunView.of(work.start(id, Versions.of(ifMatch), draft.eventId(), people.of(me)));
    }

    @GetMapping("/repairs/{id}/run")
    RunView run(@PathVariable long id) {
        return RunView.of(work.running(id));
    }

    @Needs(Right.WORK)
    @PostMapping("/repairs/{id}/events")
    TakenView take(
            @PathVariable long id, @RequestBody List<EventDraft> events, Principal me, HttpServletRequest request) {
        if (events.size() > MOST_EVENTS) {
            throw new Refused(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "Events",
                    events.size() + " events at once; at most " + MOST_EVENTS + ".");
        }
        Account who = people.of(me);
        RepairWork.Taken taken = work.take(id, events, who, freshness.is(request.getSession(false)));
        return new TakenView(
                RunView.of(taken.run()),
                taken.refused().stream()
                        .map(n -> new NotTakenView(n.id(), n.problem()))
                        .toList());
    }

    /** What lies where on the part as the run stands. */
    record FilmView(Optional<FilmMap> film) {}

    @GetMapping("/repairs/{id}/run/film")
    FilmView film(@PathVariable long id) {
        RepairWork.Running run = work.running(id);
        return new FilmView(FilmMap.of(run.frozen(), run.state()));
    }

    @GetMapping("/repairs/{id}/record")
    RecordView record(@PathVariable long id) {
        RepairWork.Proof proof = work.proof(id);
        return new RecordView(
                id, work.running(id).frozen(), work.record(id), proof.newest(), proof.signature(), records.origin(id));
    }

    @ApiResponse(
            responseCode = "200",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = BenchView.class)))
    @GetMapping(path = "/bench", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> bench(
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "")
                    String takes,
            Principal me) {
        return kept.answer(people.of(me), takes);
    }

    @Hidden
    @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(HttpSession session) {
        return bell.listen(session.getId());
    }
}
