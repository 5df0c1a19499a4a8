package elvaro.server.shared;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What of the record was not written here but came with an archive. */
@Component
public class ChainOrigins {
    private static final int AT_ONCE = 1000;

    private final JdbcClient database;
    private final CurrentWorkshop current;

    ChainOrigins(JdbcClient database, CurrentWorkshop current) {
        this.database = database;
        this.current = current;
    }

    /** A sentence for each of the rows that came with an archive, by its id. */
    public Map<UUID, String> of(Collection<UUID> rows) {
        String workshop = current.person().workshopId().toString();
        List<UUID> all = List.copyOf(rows);
        Map<UUID, String> told = new HashMap<>();
        boolean any = database.sql("select exists (select 1 from chain_import where workshop_id = ?)")
                .param(workshop)
                .query(Boolean.class)
                .single();
        for (int from = 0; any && from < all.size(); from += AT_ONCE) {
            database.sql("select l.row_id, i.house, i.key_print from chain_link l join chain_import i on i.id ="
                            + " l.import_id where l.workshop_id = :workshop and l.row_id in (:rows)")
                    .param("workshop", workshop)
                    .param(
                            "rows",
                            all.subList(from, Math.min(all.size(), from + AT_ONCE)).stream()
                                    .map(UUID::toString)
                                    .toList())
                    .query(row -> {
                        String key = row.getString("key_print");
                        told.put(
                                UUID.fromString(row.getString("row_id")),
                                "Came with an archive of %s, %s."
                                        .formatted(
                                                row.getString("house"),
                                                key == null ? "not signed" : "signed with the key " + key));
                    });
        }
        return told;
    }
}
