package vanemend.app.web;

import org.springframework.context.event.EventListener;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import vanemend.app.bench.Bell;
import vanemend.app.day.BetterOrders;
import vanemend.app.store.Json;

/** The day as it is sent to everybody: all look at the same order. */
@Component
class KeptDay {
    private static final int LIVES_SECONDS = 30;

    private final DayViews views;
    private final KeptAnswer<DayView> kept;
    private final Bell bell;

    KeptDay(DayViews views, Bell bell, Json json) {
        this.views = views;
        this.bell = bell;
        this.kept = new KeptAnswer<>(bell, json, LIVES_SECONDS);
    }

    /** The day for somebody who {@code takes} it zipped or not. */
    ResponseEntity<byte[]> answer(String takes) {
        return kept.answer(views::day, takes);
    }

    DayView value() {
        return kept.value(views::day);
    }

    /** A better order was found: everybody asks for it. */
    @EventListener
    void looked(BetterOrders.Happened.Looked went) {
        if (went.better()) {
            bell.ring();
            kept.drop();
        }
    }

    /** The day after something was said of it. */
    DayView anew() {
        bell.ring();
        kept.drop();
        return value();
    }
}
