package vanemend.app.device;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * What is known of a device now.
 *
 * @param name what it is called, in records too
 * @param figures the last that could be believed
 * @param at when those were shown; empty where there were none yet
 * @param state whether they are what it shows now
 * @param steady whether they have settled
 * @param said what is wrong, and what to do; empty where nothing is
 */
public record Shown(
        Device.Kind kind,
        String name,
        List<ShownFigure> figures,
        Optional<Instant> at,
        State state,
        boolean steady,
        String said) {
    /** How it stands. */
    public enum State {
        LIVE,
        SILENT,
        NONSENSE
    }
}
