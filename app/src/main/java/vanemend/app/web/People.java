package vanemend.app.web;

import java.security.Principal;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Accounts;
import vanemend.app.problem.Refused;

/** Finds the person behind a request. */
@Component
class People {
    private final Accounts accounts;

    People(Accounts accounts) {
        this.accounts = accounts;
    }

    Account of(Principal principal) {
        return accounts.find(principal.getName())
                .orElseThrow(() -> new Refused(HttpStatus.UNAUTHORIZED, "Sign-in", "Please sign in again."));
    }
}
