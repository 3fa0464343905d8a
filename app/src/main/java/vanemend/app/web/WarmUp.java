package vanemend.app.web;

import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import vanemend.app.store.Repairs;
import vanemend.app.store.Shop;
import vanemend.app.web.Views.PreviewView;
import vanemend.core.plan.Planner;
import vanemend.core.plan.RepairDraft;
import vanemend.core.trade.Check;

/**
 * The first few hundred plans after a start take several times as long as the ones after, until their code is compiled. The shop's
 * own newest repairs are planned in the background meanwhile, as a preview would be, so that whoever types first need not wait for it.
 * Nothing is kept of it.
 */
@Component
class WarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);

    /** Kinds of repair enough to meet all the ways to mend. */
    private static final int NEWEST = 40;

    private final Repairs repairs;
    private final Shop shop;
    private final JsonMapper json;
    private final Duration longest;

    WarmUp(Repairs repairs, Shop shop, JsonMapper json, @Value("${vanemend.warm-up}") Duration longest) {
        this.repairs = repairs;
        this.shop = shop;
        this.json = json;
        this.longest = longest;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (longest.isPositive()) {
            Thread.ofPlatform().name("warm-up").daemon().start(this::run);
        }
    }

    /** Each repair once at least, then again and again while there is time; gives how often was planned. */
    int run() {
        long begun = System.nanoTime();
        List<RepairDraft> drafts =
                repairs.newest(NEWEST).stream().map(Repairs.Stored::draft).toList();
        int plans = 0;
        while (plans < drafts.size() || (plans > 0 && System.nanoTime() - begun < longest.toNanos())) {
            preview(drafts.get(plans % drafts.size()));
            plans++;
        }
        LOG.info("planned {} times to warm up", plans);
        return plans;
    }

    /** As a preview is answered: read, planned, written. */
    private void preview(RepairDraft draft) {
        RepairDraft read = json.readValue(json.writeValueAsBytes(draft), RepairDraft.class);
        Check check = new Check();
        json.writeValueAsBytes(new PreviewView(Planner.sketch(read, shop.conditions(false), check), check.problems()));
    }
}
