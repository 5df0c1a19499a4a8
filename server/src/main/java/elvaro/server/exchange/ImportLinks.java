package elvaro.server.exchange;

import elvaro.server.chain.HouseKey;
import elvaro.server.shared.Chain;
import elvaro.server.shared.ChainForms;
import elvaro.server.shared.CurrentWorkshop;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Links what an archive brought into the chain, and keeps with each link which archive that was and whose key had signed it. */
@Component
class ImportLinks {
    private static final int LONGEST_NAME = 80;

    private final Chain chain;
    private final ChainForms forms;
    private final JdbcTemplate database;
    private final CurrentWorkshop current;
    private final Clock clock;

    ImportLinks(Chain chain, ChainForms forms, JdbcTemplate database, CurrentWorkshop current, Clock clock) {
        this.chain = chain;
        this.forms = forms;
        this.database = database;
        this.current = current;
        this.clock = clock;
    }

    /** @param fresh the ids of the rows that are new here, by table */
    void keep(Map<String, List<String>> fresh, String house, Instant madeAt, Optional<String> key) {
        UUID workshop = current.person().workshopId();
        UUID archive = UUID.randomUUID();
        database.update(
                "insert into chain_import (id, workshop_id, house, made_at, taken_in_at, account_id, key_print)"
                        + " values (?, ?, ?, ?, ?, ?, ?)",
                archive.toString(),
                workshop.toString(),
                house.substring(0, Math.min(house.length(), LONGEST_NAME)),
                LocalDateTime.ofInstant(madeAt, ZoneOffset.UTC),
                LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
                current.person().accountId().toString(),
                key.map(HouseKey::print).orElse(null));
        database.execute((ConnectionCallback<Boolean>) connection -> {
            for (String table : forms.tables()) {
                List<String> ids = fresh.getOrDefault(table, List.of());
                if (!ids.isEmpty()) {
                    chain.append(connection, workshop, table, ids, Optional.of(archive));
                }
            }
            return true;
        });
    }
}
