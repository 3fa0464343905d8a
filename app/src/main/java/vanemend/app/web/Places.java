package vanemend.app.web;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import vanemend.app.problem.Refused;
import vanemend.app.store.ClosedRuns.Place;

/** A place in a list as an address says it: when the one before was closed, and which it is. */
final class Places {
    private Places() {}

    static String written(Place p) {
        return p.closedAt().toEpochMilli() + "-" + p.repair();
    }

    /** The place that {@code text} says; empty for the beginning. */
    static Optional<Place> read(String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        String[] parts = text.split("-", 2);
        try {
            Instant at = Instant.ofEpochMilli(Long.parseLong(parts[0]));
            if (parts.length == 2 && !at.isAfter(Place.TOP.closedAt())) {
                return Optional.of(new Place(at, Long.parseLong(parts[1])));
            }
        } catch (NumberFormatException | DateTimeException e) {
            // Said below, with what was expected.
        }
        throw new Refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "List",
                "after=" + text + " is no place in this list: expected what the page before gave as next.");
    }
}
