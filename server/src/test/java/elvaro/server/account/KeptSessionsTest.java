package elvaro.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;
import org.springframework.transaction.PlatformTransactionManager;

class KeptSessionsTest {
    @SuppressWarnings("unchecked")
    private final FindByIndexNameSessionRepository<MapSession> store = mock(FindByIndexNameSessionRepository.class);

    private final KeptSessions<MapSession> sessions =
            new KeptSessions<>(store, new SessionTransactions(mock(PlatformTransactionManager.class)));
    private final Instant used = Instant.now();

    @BeforeEach
    void itIsThere() {
        MapSession session = new MapSession("one");
        session.setLastAccessedTime(used);
        when(store.findById("one")).thenReturn(session);
    }

    @Test
    void it_is_read_once_in_a_request_and_anew_in_the_next_where_it_may_have_ended() {
        sessions.requestBegins();
        assertThat(sessions.findById("one")).isSameAs(sessions.findById("one"));
        sessions.requestEnds();
        verify(store, times(1)).findById("one");
        when(store.findById("one")).thenReturn(null);
        sessions.requestBegins();
        assertThat(sessions.findById("one")).isNull();
        sessions.requestEnds();
    }

    @Test
    void one_that_ends_within_a_request_is_gone_in_it() {
        sessions.requestBegins();
        sessions.findById("one");
        when(store.findById("one")).thenReturn(null);
        sessions.deleteById("one");
        assertThat(sessions.findById("one")).isNull();
        sessions.requestEnds();
    }

    @Test
    void that_it_was_used_is_written_once_a_minute() {
        KeptSession<MapSession> session = sessions.findById("one");
        session.setLastAccessedTime(used.plus(Duration.ofSeconds(59)));
        sessions.save(session);
        verify(store, never()).save(any());
        session.setLastAccessedTime(used.plus(Duration.ofSeconds(60)));
        sessions.save(session);
        verify(store).save(any());
    }

    @Test
    void whatever_else_changes_is_written_at_once() {
        KeptSession<MapSession> session = sessions.findById("one");
        session.setAttribute("who", "Idris");
        sessions.save(session);
        verify(store).save(any());
        KeptSession<MapSession> signedIn = sessions.findById("one");
        signedIn.changeSessionId();
        sessions.save(signedIn);
        verify(store, times(2)).save(any());
        when(store.createSession()).thenReturn(new MapSession());
        sessions.save(sessions.createSession());
        verify(store, times(3)).save(any());
    }
}
