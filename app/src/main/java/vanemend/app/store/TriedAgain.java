package vanemend.app.store;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.lang.reflect.Method;
import org.springframework.dao.DataAccessException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.resilience.retry.MethodRetryPredicate;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Done again from the beginning, a few times within a second, where the database undid it because it crossed another change. What is undone has left
 * nothing behind: whoever asked need not know.
 */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
@Retryable(
        includes = DataAccessException.class,
        predicate = TriedAgain.Crossed.class,
        maxRetries = 6,
        delay = 10,
        jitter = 10,
        multiplier = 2,
        maxDelay = 200)
public @interface TriedAgain {
    /** Whether a change was undone as a whole for crossing another. */
    final class Crossed implements MethodRetryPredicate {
        @Override
        public boolean shouldRetry(Method method, Throwable e) {
            // Within a larger change all of it is undone: only whoever began that may begin it again.
            return !TransactionSynchronizationManager.isActualTransactionActive()
                    && e instanceof DataAccessException d
                    && Trouble.of(d) == Trouble.CROSSED;
        }
    }
}
