package vanemend.app.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.access.Needs;
import vanemend.app.access.Right;
import vanemend.app.problem.Refused;
import vanemend.core.intake.Intake;

/** A line of plain words read into what it says of a part and its damage; nothing is kept of it. */
@RestController
@RequestMapping("/api/intake")
class IntakeController {
    /** A line as typed. */
    record LineDraft(String line) {}

    @Needs(Right.PLAN)
    @PostMapping
    Intake.Said read(@RequestBody LineDraft draft) {
        String line = draft.line() == null ? "" : draft.line();
        if (line.length() > Intake.LONGEST) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Line",
                    "The line has " + line.length() + " characters; at most " + Intake.LONGEST + ".");
        }
        return Intake.read(line);
    }
}
