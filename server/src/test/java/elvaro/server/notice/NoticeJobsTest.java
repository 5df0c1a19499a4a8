package elvaro.server.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.mockingDetails;
import static org.mockito.Mockito.verifyNoInteractions;

import elvaro.server.shared.CurrentWorkshop;
import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;

class NoticeJobsTest {
    private final JdbcClient database = mock(JdbcClient.class, RETURNS_DEEP_STUBS);

    private NoticeJobs jobs(boolean onlyLookedAt) {
        return new NoticeJobs(
                mock(NoticeEngine.class),
                mock(Outbox.class),
                mock(CurrentWorkshop.class),
                database,
                Clock.systemUTC(),
                onlyLookedAt);
    }

    private static void work(NoticeJobs jobs) {
        jobs.look();
        jobs.sendMail();
        jobs.push();
        jobs.callPrograms();
        jobs.forget();
    }

    @Test
    void nobody_looks_at_a_house_or_sends_for_it_while_it_is_being_filled() {
        NoticeJobs jobs = jobs(false);
        work(jobs);
        verifyNoInteractions(database);

        jobs.open();
        jobs.look();
        assertThat(mockingDetails(database).getInvocations()).isNotEmpty();
    }

    @Test
    void a_house_that_was_restored_to_be_looked_at_tells_nobody_anything() {
        NoticeJobs jobs = jobs(true);
        jobs.open();
        work(jobs);
        verifyNoInteractions(database);
    }
}
