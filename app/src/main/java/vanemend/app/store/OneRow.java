package vanemend.app.store;

import java.util.Optional;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;

/** One row of many: what cannot be read is said in the log and harms no other. A store that does not answer is not a row's fault. */
public final class OneRow {
    private static final Logger LOG = LoggerFactory.getLogger(OneRow.class);

    private OneRow() {}

    /** What {@code read} makes of the repair {@code id}; empty where it cannot be read. */
    public static <T> Optional<T> of(long id, Supplier<T> read) {
        try {
            return Optional.of(read.get());
        } catch (DataAccessException e) {
            throw e;
        } catch (RuntimeException e) {
            LOG.warn("repair {} cannot be read: {}", id, e.toString());
            return Optional.empty();
        }
    }
}
