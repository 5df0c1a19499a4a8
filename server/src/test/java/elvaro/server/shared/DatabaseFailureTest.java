package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import jakarta.servlet.http.HttpServletRequest;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.web.context.request.ServletWebRequest;

class DatabaseFailureTest {
    /** MariaDB's error codes and SQL states, from its documentation, from memory. */
    @ParameterizedTest
    @CsvSource({
        "connection refused, 08000, 0, AWAY",
        "read timed out, 08000, 0, AWAY",
        "Connection is closed, , 0, AWAY",
        "WSREP has not yet prepared node for application use, 08S01, 1047, AWAY",
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

    @Test
    void a_database_that_goes_away_as_the_answer_begins_is_said_to_be_away() throws Exception {
        var lost = new HttpMessageNotWritableException(
                "Could not write JSON", new IllegalStateException(new SQLException("Connection is closed")));
        var request = new ServletWebRequest(mock(HttpServletRequest.class));
        var answer = new Problems().handleException(lost, request);
        assertThat(answer.getStatusCode().value()).isEqualTo(503);
        assertThat(answer.getBody())
                .extracting(body -> ((ProblemDetail) body).getType().toString())
                .isEqualTo("urn:elvaro:database-away");
        assertThat(answer.getHeaders().getFirst("Retry-After")).isNotBlank();
    }
}
