package vanemend.app.web;

import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.security.PublicKey;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.bench.Records;
import vanemend.app.bench.RepairWork;
import vanemend.app.bench.Seal;
import vanemend.app.export.RecordPdf;
import vanemend.app.store.Audit;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.Origins;
import vanemend.app.store.Shop;
import vanemend.app.web.Views.FoundPage;
import vanemend.app.web.Views.FoundView;
import vanemend.app.web.Views.KeyView;
import vanemend.app.web.Views.ReadInView;
import vanemend.app.web.Views.RunView;
import vanemend.core.plan.FrozenPlan;
import vanemend.core.record.RecordCsv;
import vanemend.core.run.ReadingsCsv;

/** Records found, written out and read in. */
@RestController
@RequestMapping("/api")
class RecordController {
    private final RepairWork work;
    private final Records records;
    private final Audit audit;
    private final Shop shop;
    private final Lines lines;
    private final People people;

    RecordController(RepairWork work, Records records, Audit audit, Shop shop, Lines lines, People people) {
        this.work = work;
        this.records = records;
        this.audit = audit;
        this.shop = shop;
        this.lines = lines;
        this.people = people;
    }

    @GetMapping("/records")
    FoundPage find(@RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String after) {
        Records.Page page = records.find(find, Places.read(after));
        return new FoundPage(
                page.found().stream().map(RecordController::view).toList(),
                page.next().map(Places::written),
                page.unsorted());
    }

    private static FoundView view(Records.Found f) {
        ClosedRuns.Line l = f.line();
        return new FoundView(
                f.id(),
                l.name(),
                l.vehicle(),
                l.method(),
                l.verdict(),
                l.startedAt(),
                l.finishedAt(),
                l.people(),
                l.deviations(),
                l.signed(),
                l.again(),
                f.met());
    }

    @GetMapping("/records/key")
    KeyView key() {
        PublicKey key = records.key();
        return new KeyView(Seal.fingerprint(key), Seal.pem(key));
    }

    @GetMapping("/repairs/{id}/record.json")
    ResponseEntity<byte[]> json(@PathVariable long id) {
        return Files.attached(utf8(records.file(id)), name(id), "record", "json", MediaType.APPLICATION_JSON);
    }

    @GetMapping("/repairs/{id}/record.csv")
    ResponseEntity<byte[]> csv(@PathVariable long id) {
        return Files.attached(
                utf8(RecordCsv.of(work.record(id))), name(id), "record", "csv", MediaType.valueOf("text/csv"));
    }

    @GetMapping("/repairs/{id}/record.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable long id) {
        byte[] body = RecordPdf.of(work.running(id).frozen(), work.record(id), shop.zone(), proof(id));
        return Files.attached(body, name(id), "record", "pdf", MediaType.APPLICATION_PDF);
    }

    /** What stands behind a record, in words. */
    private List<String> proof(long id) {
        List<String> out = new ArrayList<>();
        work.proof(id)
                .signature()
                .ifPresent(s -> out.add(
                        s.holds()
                                ? "The newest signature was given for plans and events with the digest " + s.digest()
                                : "WHAT IS KEPT IS NOT WHAT WAS SIGNED: the newest signature was given for the digest "
                                        + s.digest()));
        records.origin(id)
                .ifPresent(o -> out.add(o.by().map(by -> "Read in from a file sealed by "
                                + (o.seal() == Origins.Sealed.OWN ? "this installation" : by))
                        .orElse("Read in from a file without a seal: nobody can tell whether it was changed")));
        out.add("This installation seals its records with the key " + Seal.fingerprint(records.key()));
        return out;
    }

    @GetMapping("/repairs/{id}/readings.csv")
    ResponseEntity<byte[]> readings(@PathVariable long id) {
        return Files.attached(
                utf8(ReadingsCsv.of(work.running(id).state().readings())),
                name(id),
                "readings",
                "csv",
                MediaType.valueOf("text/csv"));
    }

    @Needs(Right.WORK)
    @PostMapping("/repairs/{id}/readings.csv")
    ReadingsInView readIn(@PathVariable long id, @RequestBody String csv, Principal me) {
        return new ReadingsInView(work.readings(id, csv, people.of(me)));
    }

    /** How many readings of a file were new. */
    record ReadingsInView(int taken) {}

    @Needs(Right.RECORD_IN)
    @PostMapping("/records")
    ReadInView read(@RequestBody String text, Principal me) {
        return new ReadInView(records.read(text, people.of(me), this::told));
    }

    /** Everything that is ever told of a record; what cannot be told is not kept. */
    private void told(long id) {
        RepairWork.Running run = work.running(id);
        RunView.of(run);
        lines.of(work.repair(id), shop.conditions(false));
        for (FrozenPlan plan : run.plans()) {
            RecordPdf.of(plan, work.record(id), shop.zone(), proof(id));
        }
        RecordCsv.of(work.record(id));
        ReadingsCsv.of(run.state().readings());
        records.file(id);
    }

    @Needs(Right.AUDIT)
    @GetMapping("/audit")
    List<Audit.AuditLine> audit() {
        return audit.newest();
    }

    private String name(long id) {
        return work.running(id).frozen().workup().name();
    }

    private static byte[] utf8(String s) {
        return s.getBytes(StandardCharsets.UTF_8);
    }
}
