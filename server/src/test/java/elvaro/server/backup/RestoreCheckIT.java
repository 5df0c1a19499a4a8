package elvaro.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.chain.ChainCheck;
import elvaro.server.forecast.FinishedPieces;
import elvaro.server.hanging.LedgerAudit;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A dump is loaded without asking whether rows fit; afterwards it is asked. */
@ExtendWith(RunningApp.class)
class RestoreCheckIT {
    @Test
    void a_row_that_points_at_nothing_is_found(Someone owner, JdbcClient database) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, Bodies.entry("TURNED", 0)));
        RestoreCheck check = new RestoreCheck(
                database,
                RunningApp.bean(LedgerAudit.class),
                RunningApp.bean(CurrentWorkshop.class),
                RunningApp.bean(ChainCheck.class),
                RunningApp.bean(FinishedPieces.class),
                true);
        assertThat(check.strays()).isEmpty();
        new TransactionTemplate(RunningApp.bean(PlatformTransactionManager.class)).executeWithoutResult(planted -> {
            database.sql("set foreign_key_checks = 0").update();
            database.sql("update piece set lot_id = ? where id = ?")
                    .params(UUID.randomUUID(), UUID.fromString(piece))
                    .update();
            assertThat(check.strays()).singleElement().asString().contains("of piece point at no lot");
            planted.setRollbackOnly();
            database.sql("set foreign_key_checks = 1").update();
        });
        assertThat(check.strays()).isEmpty();
    }
}
