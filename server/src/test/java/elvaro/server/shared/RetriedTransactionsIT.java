package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.server.support.RunningApp;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** On the real database, which alone can take something back. */
@ExtendWith(RunningApp.class)
class RetriedTransactionsIT {
    /** Each takes what the other one waits for; the database ends one of them. */
    @Test
    void two_who_wait_for_one_another_both_get_through(DataSource source) throws Exception {
        JdbcClient database = JdbcClient.create(source);
        TransactionTemplate transaction = new RetriedTransaction(new JdbcTransactionManager(source));
        String first = name();
        String second = name();
        CyclicBarrier bothHaveOne = new CyclicBarrier(2);
        AtomicInteger begun = new AtomicInteger();
        List<CompletableFuture<Void>> both = List.of(List.of(first, second), List.of(second, first)).stream()
                .map(order -> CompletableFuture.runAsync(() -> transaction.executeWithoutResult(status -> {
                    count(database, order.get(0));
                    if (begun.incrementAndGet() <= 2) {
                        await(bothHaveOne);
                    }
                    count(database, order.get(1));
                })))
                .toList();
        for (CompletableFuture<Void> each : both) {
            each.get(20, TimeUnit.SECONDS);
        }
        assertThat(begun).as("one began anew").hasValueGreaterThan(2);
        assertThat(List.of(counted(database, first), counted(database, second)))
                .as("and nothing of the first time stayed")
                .containsExactly(2, 2);
    }

    @Test
    void inside_of_a_transaction_nothing_is_begun_anew(DataSource source) {
        TransactionTemplate transaction = new RetriedTransaction(new JdbcTransactionManager(source));
        AtomicInteger begun = new AtomicInteger();
        assertThatThrownBy(() -> transaction.executeWithoutResult(outer -> transaction.executeWithoutResult(inner -> {
                    begun.incrementAndGet();
                    throw new CannotAcquireLockException("", new SQLException("deadlock", "40001", 1213));
                })))
                .isInstanceOf(CannotAcquireLockException.class);
        assertThat(begun).as("five times more from outside").hasValue(6);
    }

    private static String name() {
        return "test " + UUID.randomUUID();
    }

    private static void count(JdbcClient database, String name) {
        database.sql("insert into request_count values (?, 0, 1) on duplicate key update count = count + 1")
                .param(name)
                .update();
    }

    private static int counted(JdbcClient database, String name) {
        return database.sql("select count from request_count where name = ?")
                .param(name)
                .query(Integer.class)
                .single();
    }

    private static void await(CyclicBarrier barrier) {
        try {
            barrier.await(10, TimeUnit.SECONDS);
        } catch (Exception broken) {
            throw new IllegalStateException(broken);
        }
    }
}
