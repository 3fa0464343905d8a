package vanemend.app.device;

import java.time.Instant;
import java.util.List;

/** A gauge that measures when a hand presses it, and holds what it measured until the next time. */
abstract class HeldGauge extends StandIn {
    private long times;

    HeldGauge(long seed) {
        super(seed);
    }

    /** What it holds after it was pressed for the {@code time}th time, 1 or more. */
    abstract List<ShownFigure> held(long time);

    @Override
    final List<ShownFigure> shows(Instant now) {
        return times == 0 ? List.of() : held(times);
    }

    @Override
    final void pressed(String id, Instant now) {
        times++;
    }
}
