package vanemend.app.access;

import java.security.Principal;
import java.util.List;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.problem.Refused;
import vanemend.app.store.Audit;
import vanemend.core.trade.Check;

/** The people of the shop; for a lead. Nobody is ever taken away, since records name them: a new password shuts the door. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final Accounts accounts;
    private final QuietSessions sessions;
    private final Audit audit;
    private final SecondFactor factor;

    PeopleController(Accounts accounts, QuietSessions sessions, Audit audit, SecondFactor factor) {
        this.factor = factor;
        this.accounts = accounts;
        this.sessions = sessions;
        this.audit = audit;
    }

    /** A password as typed by a lead. */
    record PasswordDraft(String password) {}

    @Needs(Right.PEOPLE)
    @GetMapping
    List<Account> all() {
        return accounts.all();
    }

    @Needs(Right.PEOPLE)
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Account add(@RequestBody PersonDraft draft, Principal me) {
        Check check = new Check();
        Account fresh = draft.check(check);
        Refused.unlessClean("Person", check);
        try {
            accounts.add(fresh, draft.password());
        } catch (DuplicateKeyException e) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    "Person",
                    "Somebody signs in as " + fresh.id() + " already: choose another sign-in name.");
        }
        audit.did(me.getName(), Audit.Act.PERSON, "new: " + fresh.name() + ", signs in as " + fresh.id());
        return fresh;
    }

    /** Gives a new password; whoever is signed in with the old one is out. */
    @Needs(Right.PEOPLE)
    @PutMapping("/{id}/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(@PathVariable String id, @RequestBody PasswordDraft draft, Principal me) {
        Account of = accounts.find(id)
                .orElseThrow(() -> new Refused(HttpStatus.NOT_FOUND, "Person", "Nobody signs in as " + id + "."));
        Check check = new Check();
        PersonDraft.password(check, draft.password(), of.id(), of.name(), "vane", "mend");
        Refused.unlessClean("Person", check);
        accounts.password(of, draft.password());
        sessions.endAllOf(of);
        audit.did(me.getName(), Audit.Act.PERSON, "new password: " + of.name());
    }

    /** Takes away the second factor of somebody whose phone is gone. */
    @Needs(Right.PEOPLE)
    @DeleteMapping("/{id}/factor")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void factorOff(@PathVariable String id, Principal me) {
        Account of = accounts.find(id)
                .orElseThrow(() -> new Refused(HttpStatus.NOT_FOUND, "Person", "Nobody signs in as " + id + "."));
        factor.drop(of);
        audit.did(me.getName(), Audit.Act.PERSON, "second factor off: " + of.name());
    }
}
