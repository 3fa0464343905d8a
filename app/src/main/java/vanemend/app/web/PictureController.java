package vanemend.app.web;

import java.io.IOException;
import java.io.InputStream;
import java.security.Principal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Account;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Bell;
import vanemend.app.bench.PictureFile;
import vanemend.app.bench.RepairWork;
import vanemend.app.bench.StepPictures;
import vanemend.app.problem.Refused;
import vanemend.app.store.Audit;
import vanemend.app.store.Pictures;
import vanemend.core.trade.Check;

/** Pictures of a repair before, during and after. */
@RestController
@RequestMapping("/api")
class PictureController {
    private static final int LONGEST_WHY = 200;
    private static final Duration KEPT_BY_BROWSER = Duration.ofDays(1);

    private final RepairWork work;
    private final Pictures pictures;
    private final StepPictures steps;
    private final Audit audit;
    private final Bell bell;
    private final People people;

    PictureController(RepairWork work, Pictures pictures, StepPictures steps, Audit audit, Bell bell, People people) {
        this.work = work;
        this.pictures = pictures;
        this.steps = steps;
        this.audit = audit;
        this.bell = bell;
        this.people = people;
    }

    /** Why a picture is taken away. */
    record AwayDraft(String reason) {}

    @GetMapping("/repairs/{id}/pictures")
    List<Pictures.Picture> all(@PathVariable long id) {
        work.repair(id);
        return pictures.of(id);
    }

    /** The body is the file itself, JPEG or PNG; {@code step} is the step of the run that it was taken at, if at one. */
    @Needs(Right.WORK)
    @PostMapping("/repairs/{id}/pictures")
    List<Pictures.Picture> add(
            @PathVariable long id,
            @RequestParam Pictures.Moment moment,
            @RequestParam UUID clientId,
            @RequestParam Optional<String> step,
            InputStream body,
            Principal me)
            throws IOException {
        work.repair(id);
        if (pictures.of(id).size() >= Pictures.MOST) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Picture",
                    "This repair has " + Pictures.MOST + " pictures already: take one away first.");
        }
        Check check = new Check();
        // One byte more than is taken tells a file that is too large, without reading all of it.
        PictureFile p = PictureFile.of(body.readNBytes(PictureFile.MOST_BYTES + 1), check)
                .orElseThrow(() -> new Refused("Picture", check));
        Account who = people.of(me);
        pictures.add(id, clientId, moment, p.jpeg(), p.width(), p.height(), p.sha256(), who.id());
        step.ifPresent(s -> steps.taken(id, clientId, s, who));
        bell.ring(id);
        return pictures.of(id);
    }

    @GetMapping("/pictures/{id}.jpg")
    ResponseEntity<byte[]> jpeg(@PathVariable long id) {
        byte[] dots = pictures.jpeg(id).orElseThrow(() -> gone(id));
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(KEPT_BY_BROWSER).cachePrivate())
                .header("Content-Disposition", "inline; filename=\"picture-" + id + ".jpg\"")
                .body(dots);
    }

    @Needs(Right.PICTURE_AWAY)
    @PostMapping("/pictures/{id}/away")
    List<Pictures.Picture> away(@PathVariable long id, @RequestBody AwayDraft draft, Principal me) {
        long repair = pictures.repairOf(id).orElseThrow(() -> gone(id));
        Check check = new Check();
        String why = check.text("reason", "The reason", draft.reason(), LONGEST_WHY);
        Refused.unlessClean("Picture", check);
        Account who = people.of(me);
        if (!pictures.takenBy(id).equals(Optional.of(who.id()))) {
            Right.PICTURE_AWAY_OTHERS.demand(who);
        }
        pictures.away(id, why, who.id());
        steps.takenAway(repair, pictures.clientId(id), why, who);
        audit.did(who.id(), Audit.Act.PICTURE, "Picture " + id + " of repair " + repair + " taken away: " + why);
        bell.ring(repair);
        return pictures.of(repair);
    }

    private static Refused gone(long id) {
        return new Refused(HttpStatus.NOT_FOUND, "Picture", "There is no picture " + id + ".");
    }
}
