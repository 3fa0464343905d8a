package vanemend.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vanemend.app.problem.Refused;
import vanemend.app.store.Audit;
import vanemend.core.trade.Check;

/** Sign in, sign out, who am I, and a new password of one's own. */
@RestController
@RequestMapping("/api/session")
class SessionController {
    private final Accounts accounts;
    private final QuietSessions sessions;
    private final Audit audit;
    private final SecurityContextRepository contexts;
    private final Clock clock;

    SessionController(
            Accounts accounts, QuietSessions sessions, Audit audit, SecurityContextRepository contexts, Clock clock) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.audit = audit;
        this.contexts = contexts;
        this.clock = clock;
    }

    /** What is typed at the door. */
    record SignInDraft(String name, String password) {}

    /**
     * Who is signed in.
     *
     * @param account absent when nobody is
     * @param now the server's clock, which bench times are corrected to
     */
    record Session(Optional<Account> account, Instant now) {}

    @GetMapping
    Session who(HttpServletRequest request) {
        ((CsrfToken) request.getAttribute(CsrfToken.class.getName())).getToken(); // reading it writes the cookie
        Optional<Principal> principal = Optional.ofNullable(request.getUserPrincipal());
        return new Session(principal.flatMap(p -> accounts.find(p.getName())), clock.instant());
    }

    @PostMapping
    Session signIn(@RequestBody SignInDraft draft, HttpServletRequest request, HttpServletResponse response) {
        String name = draft.name() == null ? "" : draft.name();
        String password = draft.password() == null ? "" : draft.password();
        if (name.isBlank() || password.isEmpty() || name.length() > 40 || password.length() > PersonDraft.MOST_BYTES) {
            throw new Refused(
                    HttpStatus.UNAUTHORIZED,
                    "Sign-in",
                    "Type your name and your password. Names have up to 40 letters.");
        }
        Accounts.SignIn outcome = accounts.signIn(name, password);
        told(name.strip(), outcome);
        return switch (outcome) {
            case Accounts.SignIn.Welcome w -> welcome(w.account(), request, response);
            case Accounts.SignIn.Wrong w ->
                throw new Refused(HttpStatus.UNAUTHORIZED, "Sign-in", "Name or password is wrong. " + left(w));
            case Accounts.SignIn.Locked l -> throw locked(l);
        };
    }

    /**
     * A new password of one's own.
     *
     * @param old the one signed in with
     * @param password the new one
     */
    record OwnPasswordDraft(String old, String password) {}

    /** Takes a new password of one's own and begins a new session; every other one ends. Wrong tries count as they do at the door. */
    @PutMapping("/password")
    Session password(
            @RequestBody OwnPasswordDraft draft,
            Principal me,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account own = accounts.find(me.getName()).orElseThrow();
        Check check = new Check();
        PersonDraft.password(check, draft.password());
        String old = draft.old() == null ? "" : draft.old();
        if (old.isEmpty() || old.length() > PersonDraft.MOST_BYTES) {
            notOwn(check, "Type the password that you sign in with now.");
        }
        Refused.unlessClean("Password", check);
        Accounts.SignIn outcome = accounts.signIn(own.id(), old);
        return switch (outcome) {
            case Accounts.SignIn.Welcome w -> {
                accounts.password(own, draft.password());
                sessions.endAllOf(own);
                audit.did(own.id(), Audit.Act.PERSON, "own new password: " + own.name());
                yield welcome(own, request, response);
            }
            case Accounts.SignIn.Wrong w -> {
                told(own.id(), w);
                notOwn(check, "That is not the password you sign in with. " + left(w));
                throw new Refused("Password", check);
            }
            case Accounts.SignIn.Locked l -> {
                told(own.id(), l);
                throw locked(l);
            }
        };
    }

    private static void notOwn(Check check, String message) {
        check.refuse("person.old", "", "the password signed in with", message);
    }

    private static String left(Accounts.SignIn.Wrong w) {
        return w.triesLeft() + (w.triesLeft() == 1 ? " try" : " tries") + " left before a pause of "
                + Accounts.LOCK.toMinutes() + " minutes.";
    }

    private Refused locked(Accounts.SignIn.Locked l) {
        long minutes = (l.until().getEpochSecond() - clock.instant().getEpochSecond() + 59) / 60;
        return new Refused(
                HttpStatus.TOO_MANY_REQUESTS,
                "Sign-in",
                "Too many wrong tries. Wait " + Math.max(1, minutes) + " minutes, then try again.");
    }

    private void told(String name, Accounts.SignIn outcome) {
        switch (outcome) {
            case Accounts.SignIn.Welcome w ->
                audit.did(w.account().id(), Audit.Act.SIGN_IN, w.account().name());
            case Accounts.SignIn.Wrong w -> audit.did(null, Audit.Act.WRONG, name);
            case Accounts.SignIn.Locked l -> audit.did(null, Audit.Act.LOCKED, name);
        }
    }

    private Session welcome(Account account, HttpServletRequest request, HttpServletResponse response) {
        HttpSession old = request.getSession(false);
        if (old != null) {
            old.invalidate();
        }
        request.getSession(true);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(Me.authentication(account));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return new Session(Optional.of(account), clock.instant());
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
