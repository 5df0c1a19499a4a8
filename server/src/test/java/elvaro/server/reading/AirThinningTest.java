package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.mockingDetails;

import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

class AirThinningTest {
    /** Whether the database is asked for anything. */
    private static boolean works(String wholeFor, boolean onlyLookedAt) {
        JdbcClient database = mock(JdbcClient.class, RETURNS_DEEP_STUBS);
        new AirThinning(database, mock(TransactionTemplate.class), Clock.systemUTC(), wholeFor, onlyLookedAt).work();
        return !mockingDetails(database).getInvocations().isEmpty();
    }

    @Test
    void readings_become_hours_where_a_time_is_set_and_the_house_was_not_restored_to_be_looked_at() {
        assertThat(works("P2Y", false)).isTrue();
        assertThat(works("", false)).isFalse();
        assertThat(works("P2Y", true)).isFalse();
    }
}
