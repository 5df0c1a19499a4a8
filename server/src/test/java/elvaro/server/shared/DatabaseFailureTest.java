package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DatabaseFailureTest {
    /** MariaDB's error codes and SQL states, from its documentation, from memory. */
    @ParameterizedTest
    @CsvSource({
        "connection refused, 08000, 0, AWAY",
        "read timed out, 08000, 0, AWAY",
        "server is read only, HY000, 1290, AWAY",
        "too many connections, 08004, 1040, AWAY",
        "query interrupted, 70100, 1317, AWAY",
        "lock wait timeout, HY000, 1205, BUSY",
        "deadlock, 40001, 1213, BUSY",
        "the table is full, HY000, 1114, FULL",
        "No space left on device, HY000, 3, FULL",
        "duplicate entry, 23000, 1062,",
        "no such column, 42S22, 1054,"
    })
    void what_the_database_says_is_told_apart_however_deep_it_lies(
            String words, String state, int code, DatabaseFailure told) {
        Throwable failure = new IllegalStateException(new RuntimeException(new SQLException(words, state, code)));
        assertThat(DatabaseFailure.of(failure).orElse(null)).isEqualTo(told);
    }
}
