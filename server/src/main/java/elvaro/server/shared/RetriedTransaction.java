package elvaro.server.shared;

import java.time.Duration;
import org.springframework.core.retry.RetryPolicy;
import org.springframework.core.retry.RetryTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What the database took back because somebody wrote the same rows at the same moment is done again, with the same words
 * and so the same ids: a deadlock on one database, a conflict between two nodes of a cluster. The database says with the
 * same word that nothing of it stayed. What was lost with a connection is not done again here: whether it stayed nobody
 * knows, and who sent it sends it again with its id.
 */
public class RetriedTransaction extends TransactionTemplate {
    private static final long serialVersionUID = 1;

    static final int TIMES = 5;
    static final Duration PAUSE = Duration.ofMillis(20);
    static final Duration JITTER = Duration.ofMillis(15);
    static final Duration LONGEST_PAUSE = Duration.ofMillis(500);
    static final double LONGER = 2;

    private final transient RetryTemplate again = new RetryTemplate(RetryPolicy.builder()
            .predicate(RetriedTransaction::mayBeginAnew)
            .maxRetries(TIMES)
            .delay(PAUSE)
            .jitter(JITTER)
            .multiplier(LONGER)
            .maxDelay(LONGEST_PAUSE)
            .build());

    public RetriedTransaction(PlatformTransactionManager manager) {
        super(manager);
    }

    @Override
    public <T> T execute(TransactionCallback<T> work) {
        return again.invoke(() -> super.execute(work));
    }

    /** Inside of a transaction there is nothing to begin anew: it is begun from outside. */
    static boolean mayBeginAnew(Throwable failure) {
        return DatabaseFailure.isTakenBack(failure) && !TransactionSynchronizationManager.isActualTransactionActive();
    }
}
