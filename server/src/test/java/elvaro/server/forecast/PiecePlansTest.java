package elvaro.server.forecast;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** When what was expected of a piece is written anew, and when it stays. */
@ExtendWith(MockitoExtension.class)
class PiecePlansTest {
    private static final LocalDate HUNG = LocalDate.of(2026, 11, 20);

    @Mock
    private EntityManager entities;

    @Mock
    private OutlookService outlooks;

    @Mock
    private PieceReader pieces;

    @Mock
    private PieceLogs logs;

    @Mock
    private TypedQuery<PiecePlan> kept;

    private final Piece piece = mock(Piece.class);
    private final PiecePlan plan = mock(PiecePlan.class);

    @BeforeEach
    void a_piece_hangs_with_a_plan() {
        when(piece.hungOn()).thenReturn(Optional.of(HUNG));
        lenient().when(piece.id()).thenReturn(new UUID(0, 1));
        lenient().when(piece.lot()).thenReturn(mock());
        lenient().when(piece.hanging()).thenReturn(Optional.empty());
        lenient().when(entities.createQuery(anyString(), eq(PiecePlan.class))).thenReturn(kept);
        lenient().when(kept.setParameter(anyString(), any())).thenReturn(kept);
        lenient().when(kept.getResultStream()).thenReturn(Stream.of(plan));
    }

    private void log(LogFact... facts) {
        lenient().when(logs.of(List.of(piece))).thenReturn(Map.of(new UUID(0, 1), PieceLog.of(4000, List.of(facts))));
    }

    private void coated(LocalDate on) {
        new PiecePlans(entities, pieces, outlooks, logs, Clock.systemUTC()).coatChanged(piece, on);
    }

    @Test
    void a_coat_given_as_it_is_hung_belongs_to_what_is_expected() {
        log();
        coated(HUNG);
        verify(entities).remove(plan);
    }

    @Test
    void a_coat_given_later_does_not_change_what_was_expected() {
        log();
        coated(HUNG.plusDays(1));
        verify(entities, never()).remove(any());
    }

    @Test
    void what_was_weighed_meanwhile_keeps_what_was_expected_of_it() {
        Instant weighed = Instant.parse("2026-11-21T09:00:00Z");
        log(new LogFact(UUID.randomUUID(), null, LogFactKind.WEIGHED, weighed, 3950, null));
        coated(HUNG);
        verify(entities, never()).remove(any());
    }
}
