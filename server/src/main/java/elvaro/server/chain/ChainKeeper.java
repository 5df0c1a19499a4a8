package elvaro.server.chain;

import elvaro.server.shared.Chain;
import elvaro.server.shared.ChainForms;
import elvaro.server.shared.LongWork;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes over at the start what was written before there were chains, and closes the days. */
@Component
@EnableScheduling
@Order(Ordered.HIGHEST_PRECEDENCE)
class ChainKeeper implements ApplicationRunner {
    private final Chain chain;
    private final ChainForms forms;
    private final Checkpoints checkpoints;
    private final LongWork longWork;
    private final JdbcTemplate database;
    private final TransactionTemplate transaction;

    ChainKeeper(
            Chain chain,
            ChainForms forms,
            Checkpoints checkpoints,
            LongWork longWork,
            JdbcTemplate database,
            TransactionTemplate transaction) {
        this.chain = chain;
        this.forms = forms;
        this.checkpoints = checkpoints;
        this.longWork = longWork;
        this.database = database;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        database.queryForList(
                        "select id from workshop w where not exists"
                                + " (select 1 from chain_link l where l.workshop_id = w.id)"
                                + " and not exists (select 1 from chain_checkpoint c where c.workshop_id = w.id)",
                        String.class)
                .forEach(workshop -> transaction.executeWithoutResult(status -> takeOver(UUID.fromString(workshop))));
    }

    private void takeOver(UUID workshop) {
        longWork.allow();
        for (String table : forms.tables()) {
            List<String> ids = database.queryForList(
                    "select id from %s where workshop_id = ? order by id".formatted(table),
                    String.class,
                    workshop.toString());
            if (!ids.isEmpty()) {
                database.execute((ConnectionCallback<Boolean>) connection -> {
                    chain.append(connection, workshop, table, ids, Optional.empty());
                    return true;
                });
            }
        }
    }

    @Scheduled(initialDelayString = "PT1M", fixedDelayString = "PT30M")
    void closeDays() {
        checkpoints.closeDays();
    }
}
