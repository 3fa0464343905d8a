package vanemend.app.access;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import vanemend.core.trade.Check;

/** Lets somebody into an empty installation, who then adds the people of the shop. A store with people in it is left alone. */
@Component
@ConditionalOnProperty(name = "vanemend.demo", havingValue = "false", matchIfMissing = true)
class FirstLead implements ApplicationRunner {
    private static final Account LEAD = new Account("lead", "First lead", Role.LEAD);

    private final Accounts accounts;
    private final String password;

    FirstLead(Accounts accounts, @Value("${vanemend.first-password}") String password) {
        this.accounts = accounts;
        this.password = password;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (!accounts.all().isEmpty()) {
            return;
        }
        Check check = new Check();
        PersonDraft.password(check, password);
        if (!check.clean()) {
            throw new IllegalStateException("an empty installation needs VANEMEND_FIRST_PASSWORD for its first lead: "
                    + check.problems().getFirst().message());
        }
        accounts.add(LEAD, password);
    }
}
