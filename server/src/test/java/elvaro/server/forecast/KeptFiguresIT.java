package elvaro.server.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.forecast.FinishedPieces.ClosedLog;
import elvaro.server.forecast.FinishedPieces.FinishedKey;
import elvaro.server.forecast.FinishedPieces.FinishedPiece;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

@ExtendWith(RunningApp.class)
class KeptFiguresIT {
    private final FinishedPieces pieces = RunningApp.bean(FinishedPieces.class);
    private final KeptFigures kept = RunningApp.bean(KeptFigures.class);

    private static <T> T as(Someone person, java.util.function.Supplier<T> work) {
        return RunningApp.bean(CurrentWorkshop.class).actingAs(person.person(), work);
    }

    @Test
    void what_a_log_says_is_kept_as_it_says_it(Someone owner) {
        UUID piece = UUID.fromString(owner.client().cut());
        FinishedPiece read = as(owner, pieces::all).get(0);
        Map<FinishedKey, Optional<ClosedLog>> all = as(owner, kept::all);
        assertThat(all).hasSize(1);
        ClosedLog log = all.values().iterator().next().orElseThrow();
        assertThat(all.keySet().iterator().next().pieceId()).isEqualTo(piece);
        assertThat(log.ledger()).isEqualTo(read.ledger());
        assertThat(log.closedBy()).isEqualTo(owner.person().accountId());
        assertThat(as(owner, pieces::keptOtherwise)).isEmpty();
    }

    /** By a hand in the database, or by a rule that was changed and not said to be. */
    @Test
    void what_is_kept_otherwise_than_the_log_says_is_found_and_made_anew(Someone owner, JdbcClient database) {
        String piece = owner.client().cut();
        as(owner, pieces::all);
        database.sql("update finished_figures set aged = aged + 1 where piece_id = ?")
                .param(UUID.fromString(piece))
                .update();
        List<String> otherwise = as(owner, pieces::keptOtherwise);
        assertThat(otherwise).hasSize(1);
        assertThat(as(owner, kept::all)).isEmpty();
    }

    @Test
    void nobody_else_sees_it(Someone owner, Someone stranger) {
        owner.client().cut();
        as(owner, pieces::all);
        assertThat(as(stranger, kept::all)).isEmpty();
    }

    @Test
    void houses_are_told_by_how_much_of_theirs_is_kept(Someone owner) {
        owner.client().cut();
        as(owner, pieces::all);
        assertThat(pieces.largestHouses(1, 10_000)).contains(owner.person().workshopId());
        assertThat(pieces.largestHouses(2, 10_000))
                .doesNotContain(owner.person().workshopId());
    }
}
