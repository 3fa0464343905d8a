package vanemend.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
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
    private static final String OFFERED = "offered";
    private static final int MOST_CODE = 40;

    private final Freshness freshness;
    private final SecondFactor factor;
    private final Door door;
    private final Clock clock;

    SessionController(
            Accounts accounts,
            QuietSessions sessions,
            Audit audit,
            SecurityContextRepository contexts,
            Freshness freshness,
            SecondFactor factor,
            Door door,
            Clock clock) {
        this.factor = factor;
        this.door = door;
        this.freshness = freshness;
        this.accounts = accounts;
        this.sessions = sessions;
        this.audit = audit;
        this.contexts = contexts;
        this.clock = clock;
    }

    /**
     * What is typed at the door.
     *
     * @param code of the second factor, for who has one
     */
    record SignInDraft(String name, String password, String code) {}

    /**
     * Who is signed in.
     *
     * @param account absent when nobody is
     * @param rights what they may do
     * @param now the server's clock, which bench times are corrected to
     */
    record Session(Optional<Account> account, List<Right> rights, Instant now) {}

    private Session session(Optional<Account> account) {
        return new Session(
                account,
                account.map(a -> Arrays.stream(Right.values())
                                .filter(r -> r.of(a.role()))
                                .toList())
                        .orElse(List.of()),
                clock.instant());
    }

    @GetMapping
    Session who(HttpServletRequest request) {
        ((CsrfToken) request.getAttribute(CsrfToken.class.getName())).getToken(); // reading it writes the cookie
        Optional<Principal> principal = Optional.ofNullable(request.getUserPrincipal());
        return session(principal.flatMap(p -> accounts.find(p.getName())));
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
        Accounts.SignIn outcome = accounts.signIn(name, password, request.getRemoteAddr());
        if (outcome instanceof Accounts.SignIn.Welcome w) {
            second(w.account(), draft.code(), request.getRemoteAddr());
        }
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
    @Needs(Right.OWN_PASSWORD)
    @PutMapping("/password")
    Session password(
            @RequestBody OwnPasswordDraft draft,
            Principal me,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account own = accounts.find(me.getName()).orElseThrow();
        Check check = new Check();
        PersonDraft.password(check, draft.password(), own.id(), own.name(), "vane", "mend");
        String old = draft.old() == null ? "" : draft.old();
        if (old.isEmpty() || old.length() > PersonDraft.MOST_BYTES) {
            notOwn(check, "Type the password that you sign in with now.");
        }
        Refused.unlessClean("Password", check);
        Accounts.SignIn outcome = accounts.signIn(own.id(), old, request.getRemoteAddr());
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
                + Door.SHUT.toMinutes() + " minutes.";
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
            case Accounts.SignIn.Wrong w -> audit.did(null, Audit.Act.WRONG, told(name));
            case Accounts.SignIn.Locked l -> audit.did(null, Audit.Act.LOCKED, told(name));
        }
    }

    /** A name as the audit has it: one that nobody has is now and then a password, typed in the wrong field. */
    private String told(String name) {
        String known = name.strip().toLowerCase(Locale.ROOT);
        return accounts.find(known).isPresent() ? known : "a name that nobody has";
    }

    /** Refuses who has a second factor and did not give it; a wrong code is a try at the door like a wrong password. */
    private void second(Account account, String code, String address) {
        if (!factor.has(account)) {
            return;
        }
        String typed = code == null ? "" : code;
        if (typed.isBlank() || typed.length() > MOST_CODE) {
            throw new Refused(
                    HttpStatus.UNAUTHORIZED,
                    "Second factor",
                    "Type the code that your phone shows now, or one of those you wrote down.",
                    Map.of("code", true));
        }
        Door.Try knock = door.knock(account.id() + " code", address);
        if (knock.shutUntil().isPresent()) {
            throw locked(new Accounts.SignIn.Locked(knock.shutUntil().get()));
        }
        if (!factor.opens(account, typed)) {
            audit.did(account.id(), Audit.Act.WRONG, "second factor");
            throw new Refused(
                    HttpStatus.UNAUTHORIZED,
                    "Second factor",
                    "That code does not open: it may be used already, or the phone's clock is off.",
                    Map.of("code", true));
        }
        door.forget(account.id() + " code", address);
    }

    /**
     * A second factor that could be.
     *
     * @param on whether there is one
     * @param secret for a new one, as it is typed into a phone
     * @param uri the same for a phone that opens it
     */
    record FactorView(boolean on, String secret, String uri) {}

    /** Offers a secret, which is kept with the session until a code of it comes back. */
    @Needs(Right.OWN_PASSWORD)
    @PostMapping("/factor")
    FactorView offer(Principal me, HttpServletRequest request) {
        Account own = accounts.find(me.getName()).orElseThrow();
        byte[] secret = factor.fresh();
        request.getSession().setAttribute(OFFERED, secret);
        String base32 = Totp.base32(secret);
        return new FactorView(
                factor.has(own),
                base32,
                "otpauth://totp/Vane%20Mend:" + own.id() + "?secret=" + base32 + "&issuer=Vane%20Mend");
    }

    /** A code off the phone, and the password. */
    record FactorDraft(String code, String password) {}

    /** Codes for when the phone is gone; shown once. */
    record RecoveryView(List<String> codes) {}

    /** Takes the second factor that was offered, once the phone shows its code. */
    @Needs(Right.OWN_PASSWORD)
    @PutMapping("/factor")
    RecoveryView take(@RequestBody FactorDraft draft, Principal me, HttpServletRequest request) {
        Account own = ownWith(draft.password(), me, request);
        if (!(request.getSession().getAttribute(OFFERED) instanceof byte[] secret)) {
            throw new Refused(
                    HttpStatus.CONFLICT, "Second factor", "No secret was offered in this session: begin again.");
        }
        String code = draft.code() == null ? "" : draft.code().replaceAll("\\s", "");
        OptionalLong step = factor.fits(secret, code);
        if (step.isEmpty()) {
            throw new Refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Second factor",
                    "That is not the code of this secret now: is it typed whole, is the phone's clock right?");
        }
        List<String> codes = factor.take(own, secret, step.getAsLong());
        request.getSession().removeAttribute(OFFERED);
        audit.did(own.id(), Audit.Act.PERSON, "own second factor: on");
        return new RecoveryView(codes);
    }

    /** Goes on without one. */
    @Needs(Right.OWN_PASSWORD)
    @PostMapping("/factor/off")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void off(@RequestBody FactorDraft draft, Principal me, HttpServletRequest request) {
        Account own = ownWith(draft.password(), me, request);
        factor.drop(own);
        audit.did(own.id(), Audit.Act.PERSON, "own second factor: off");
    }

    private Account ownWith(String password, Principal me, HttpServletRequest request) {
        again(new AgainDraft(password), me, request);
        return accounts.find(me.getName()).orElseThrow();
    }

    /** The password once more, for what a lead does a while after signing in. */
    record AgainDraft(String password) {}

    /** Answers where the password was typed a short while ago; else refuses, so that it is asked for before something is signed. */
    @GetMapping("/again")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fresh(HttpServletRequest request) {
        freshness.demand(request.getSession(false));
    }

    /** Takes the password once more; wrong tries count as they do at the door. */
    @Needs(Right.READ)
    @PostMapping("/again")
    Session again(@RequestBody AgainDraft draft, Principal me, HttpServletRequest request) {
        Account own = accounts.find(me.getName()).orElseThrow();
        String password = draft.password() == null ? "" : draft.password();
        if (password.isEmpty() || password.length() > PersonDraft.MOST_BYTES) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "Sign-in", "Type the password that you sign in with.");
        }
        Accounts.SignIn outcome = accounts.signIn(own.id(), password, request.getRemoteAddr());
        return switch (outcome) {
            case Accounts.SignIn.Welcome w -> {
                Freshness.now(request.getSession());
                yield session(Optional.of(own));
            }
            case Accounts.SignIn.Wrong w -> {
                told(own.id(), w);
                throw new Refused(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "Sign-in",
                        "That is not the password you sign in with. " + left(w));
            }
            case Accounts.SignIn.Locked l -> {
                told(own.id(), l);
                throw locked(l);
            }
        };
    }

    private Session welcome(Account account, HttpServletRequest request, HttpServletResponse response) {
        HttpSession old = request.getSession(false);
        if (old != null) {
            old.invalidate();
        }
        HttpSession fresh = request.getSession(true);
        Freshness.now(fresh);
        if (account.role() == Role.SCREEN) {
            // It stays in: it shows, and changes nothing.
            fresh.setMaxInactiveInterval(-1);
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(Me.authentication(account));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return session(Optional.of(account));
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        if (request.getUserPrincipal() != null) {
            audit.did(request.getUserPrincipal().getName(), Audit.Act.SIGN_OUT, "");
        }
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
