package elvaro.server.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import elvaro.server.forecast.FinishedPieces;
import elvaro.server.shared.CurrentWorkshop;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.boot.DefaultApplicationArguments;

class RowsAtStartTest {
    private final FinishedPieces pieces = mock(FinishedPieces.class);
    private final FinishedRows rows = mock(FinishedRows.class);
    private final CurrentWorkshop current = new CurrentWorkshop();

    @Test
    void each_large_house_is_read_for_itself_and_one_that_cannot_be_keeps_nobody_out() {
        UUID one = UUID.randomUUID();
        UUID other = UUID.randomUUID();
        when(pieces.largestHouses(anyInt(), anyInt())).thenReturn(List.of(one, other));
        List<UUID> read = new ArrayList<>();
        when(rows.shop()).thenAnswer(asked -> {
            read.add(current.person().workshopId());
            throw new IllegalStateException("a row that cannot be");
        });
        new RowsAtStart(pieces, rows, current).run(new DefaultApplicationArguments());
        assertThat(read).containsExactly(one, other);
    }
}
