package elvaro.server.scale;

import elvaro.core.weighing.StableWeight;
import elvaro.core.weighing.StableWeight.Shown;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * A row a scale, where several nodes serve the house: its figures may come to one of them and be watched or tared at
 * another.
 */
class StatesOfAllNodes implements ScaleStates {
    private final JdbcClient database;
    private final TransactionTemplate transaction;
    private final JsonMapper json;

    StatesOfAllNodes(JdbcClient database, TransactionTemplate transaction, JsonMapper json) {
        this.database = database;
        this.transaction = transaction;
        this.json = json;
    }

    @Override
    public Shown change(UUID scale, int divisionGrams, UnaryOperator<StableWeight> next) {
        return transaction.execute(status -> {
            // Locks the row, or the place where it will be.
            database.sql("insert ignore into scale_state (device_id, number, state, shown) values (?, 0, '', '')")
                    .param(scale)
                    .update();
            String kept = database.sql("select state from scale_state where device_id = ? for update")
                    .param(scale)
                    .query(String.class)
                    .single();
            StableWeight changed = next.apply(read(kept));
            Shown shown = changed.shown(divisionGrams);
            database.sql("update scale_state set number = number + 1, state = ?, shown = ? where device_id = ?")
                    .param(json.writeValueAsString(changed.state()))
                    .param(json.writeValueAsString(shown))
                    .param(scale)
                    .update();
            return shown;
        });
    }

    @Override
    public boolean isLookedAt() {
        return true;
    }

    @Override
    public Optional<Numbered> after(UUID scale, long number) {
        return database.sql("select number, shown from scale_state where device_id = ? and number > ?")
                .param(scale)
                .param(number)
                .query((row, each) ->
                        new Numbered(row.getLong("number"), json.readValue(row.getString("shown"), Shown.class)))
                .optional();
    }

    private StableWeight read(String kept) {
        return kept.isEmpty() ? StableWeight.begin() : StableWeight.of(json.readValue(kept, StableWeight.State.class));
    }
}
