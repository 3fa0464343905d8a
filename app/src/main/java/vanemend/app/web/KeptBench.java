package vanemend.app.web;

import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import vanemend.app.access.Account;
import vanemend.app.access.Role;
import vanemend.app.bench.Bell;
import vanemend.app.store.Json;
import vanemend.app.web.Views.BenchView;

/** The bench as it is sent: whether hands are an apprentice's is all that is in it of who asks. */
@Component
class KeptBench {
    private static final int LIVES_SECONDS = 5;

    private final BenchViews views;
    private final KeptAnswer<BenchView> apprentice;
    private final KeptAnswer<BenchView> others;

    KeptBench(BenchViews views, Bell bell, Json json) {
        this.views = views;
        this.apprentice = new KeptAnswer<>(bell, json, LIVES_SECONDS);
        this.others = new KeptAnswer<>(bell, json, LIVES_SECONDS);
    }

    /** The bench for {@code who}, who {@code takes} it zipped or not. */
    ResponseEntity<byte[]> answer(Account who, String takes) {
        return (who.role() == Role.APPRENTICE ? apprentice : others).answer(() -> views.bench(who), takes);
    }
}
