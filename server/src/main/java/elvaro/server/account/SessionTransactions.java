package elvaro.server.account;

import elvaro.server.shared.RetriedTransaction;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionOperations;

/** A session is written in a transaction of its own. It is read by one statement, to which a transaction would add three. */
final class SessionTransactions extends RetriedTransaction {
    private static final long serialVersionUID = 1;

    private final transient ThreadLocal<Boolean> reading = ThreadLocal.withInitial(() -> false);

    SessionTransactions(PlatformTransactionManager manager) {
        super(manager);
        setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    <T> @Nullable T reading(Supplier<@Nullable T> work) {
        reading.set(true);
        try {
            return work.get();
        } finally {
            reading.remove();
        }
    }

    @Override
    public <T> T execute(TransactionCallback<T> work) {
        return reading.get() ? TransactionOperations.withoutTransaction().execute(work) : super.execute(work);
    }
}
