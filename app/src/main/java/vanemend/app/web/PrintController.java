package vanemend.app.web;

import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.bench.RepairWork;
import vanemend.app.export.BenchSheetPdf;
import vanemend.app.export.TemplatePdf;
import vanemend.app.problem.Refused;
import vanemend.app.store.Repairs;
import vanemend.core.plan.Plan;
import vanemend.core.plan.Workup;
import vanemend.core.template.DxfSheet;
import vanemend.core.template.SvgSheet;
import vanemend.core.template.Template;

/** Cutting templates 1:1 and the bench sheet of a repair, as saved or as frozen. */
@RestController
@RequestMapping("/api/repairs/{id}")
class PrintController {
    private final RepairWork work;
    private final People people;

    PrintController(RepairWork work, People people) {
        this.work = work;
        this.people = people;
    }

    @GetMapping("/templates.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable long id, @RequestParam(defaultValue = "A4") TemplatePdf.Paper paper, Principal me) {
        Template t = template(id, me);
        return Files.attached(TemplatePdf.of(t, paper), t.title(), "templates", "pdf", MediaType.APPLICATION_PDF);
    }

    @GetMapping("/templates.svg")
    ResponseEntity<byte[]> svg(@PathVariable long id, Principal me) {
        Template t = template(id, me);
        return Files.attached(utf8(SvgSheet.of(t)), t.title(), "templates", "svg", MediaType.valueOf("image/svg+xml"));
    }

    @GetMapping("/templates.dxf")
    ResponseEntity<byte[]> dxf(@PathVariable long id, Principal me) {
        Template t = template(id, me);
        return Files.attached(utf8(DxfSheet.of(t)), t.title(), "templates", "dxf", MediaType.valueOf("image/vnd.dxf"));
    }

    @GetMapping("/sheet.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id, Principal me) {
        Workup w = workup(id, me);
        plan(w);
        return Files.attached(BenchSheetPdf.of(w), w.name(), "bench sheet", "pdf", MediaType.APPLICATION_PDF);
    }

    private Template template(long id, Principal me) {
        Workup w = workup(id, me);
        Plan plan = plan(w);
        if (plan.pieces().isEmpty()) {
            throw new Refused(HttpStatus.CONFLICT, "Templates", "This plan cuts nothing to shape.");
        }
        return Template.of("Repair " + id + ", " + w.name(), plan.pieces());
    }

    private static Plan plan(Workup w) {
        return w.plan()
                .orElseThrow(() -> new Refused(
                        HttpStatus.CONFLICT,
                        "Plan",
                        "There is no plan yet: "
                                + w.blockers().stream().findFirst().orElse("something is still to say.")));
    }

    private Workup workup(long id, Principal me) {
        Repairs.Stored r = work.repair(id);
        Optional<Workup> w = !r.open()
                ? Optional.of(work.running(id).frozen().workup())
                : work.work(r.draft(), people.of(me)).workup();
        return w.orElseThrow(() ->
                new Refused(HttpStatus.CONFLICT, "Plan", "There is no plan yet: the part or its damage is not whole."));
    }

    private static byte[] utf8(String s) {
        return s.getBytes(StandardCharsets.UTF_8);
    }
}
