package vanemend.app.bench;

import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import vanemend.app.store.ClosedRuns;
import vanemend.app.store.Leases;
import vanemend.app.store.OneRow;

/**
 * Sorts in what closed under a release that did not keep it ready for lists, or kept it in another form. Of several servers one does it; it is
 * done again now and then, since a server of an earlier release may be at work beside this one.
 */
@Component
class CatchUp {
    private static final Logger LOG = LoggerFactory.getLogger(CatchUp.class);
    private static final long FIRST_MS = 2_000;
    private static final long EVERY_MS = 3_600_000;
    private static final int AT_ONCE = 100;
    private static final Duration TURN = Duration.ofMinutes(2);

    private final ClosedRuns closed;
    private final RepairWork work;
    private final Leases leases;
    private final Bell bell;

    CatchUp(ClosedRuns closed, RepairWork work, Leases leases, Bell bell) {
        this.closed = closed;
        this.work = work;
        this.leases = leases;
        this.bell = bell;
    }

    @Scheduled(initialDelay = FIRST_MS, fixedDelay = EVERY_MS)
    void run() {
        try {
            long from = 0;
            for (List<Long> some = some(from); !some.isEmpty(); some = some(from)) {
                some.forEach(this::sort);
                from = some.getLast() + 1;
            }
        } catch (DataAccessException | TransactionException away) {
            LOG.warn("closed work is not sorted in just now: {}", away.getMessage());
        }
    }

    private List<Long> some(long from) {
        return leases.mine("closing", TURN) ? closed.toLookAt(from, AT_ONCE) : List.of();
    }

    private void sort(long id) {
        OneRow.of(id, () -> {
            if (work.sort(id)) {
                bell.ring(id);
            }
            return id;
        });
    }
}
