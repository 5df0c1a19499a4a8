package elvaro.server.backup;

import elvaro.server.chain.ChainCheck;
import elvaro.server.chain.ChainCheck.ChainState;
import elvaro.server.forecast.FinishedPieces;
import elvaro.server.hanging.LedgerAudit;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Looks at the database and ends: whether every row has the rows it points at (a dump is loaded without asking), whether every
 * closed ledger closes, and whether the record is what was written. Started with {@code ELVARO_CHECK=true} by
 * {@code ./elvaro restore} and {@code ./elvaro check}.
 */
@Component
class RestoreCheck {
    /** For the launcher: loaded, but not whole. */
    private static final int NOT_WHOLE = 3;

    private final JdbcClient database;
    private final LedgerAudit ledgers;
    private final CurrentWorkshop current;
    private final ChainCheck chain;
    private final FinishedPieces finishedPieces;
    private final boolean isAsked;

    RestoreCheck(
            JdbcClient database,
            LedgerAudit ledgers,
            CurrentWorkshop current,
            ChainCheck chain,
            FinishedPieces finishedPieces,
            @Value("${elvaro.check}") boolean isAsked) {
        this.database = database;
        this.ledgers = ledgers;
        this.current = current;
        this.chain = chain;
        this.finishedPieces = finishedPieces;
        this.isAsked = isAsked;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (!isAsked) {
            return;
        }
        List<String> faults = new ArrayList<>(strays());
        int finished = 0;
        long links = 0;
        Set<String> keys = new TreeSet<>();
        List<SignedIn> owners = owners();
        for (SignedIn owner : owners) {
            LedgerAudit.AuditResult found = current.actingAs(owner, ledgers::all);
            finished += found.finished();
            found.open().forEach(tag -> faults.add("The ledger of " + tag + " does not close."));
            current.actingAs(owner, finishedPieces::keptOtherwise)
                    .forEach(tag -> faults.add(
                            "The figures kept of " + tag + " were not those of its log; they are made anew."));
            ChainState state = chain.of(owner.workshopId());
            links += state.links();
            keys.addAll(state.keys());
            faults.addAll(state.faults());
        }
        faults.forEach(fault -> System.out.println("Fault: " + fault));
        if (faults.isEmpty()) {
            System.out.printf(
                    "Checked: %d workshops, %d finished pieces, every ledger closes; %d rows of the record are as they were"
                            + " written, %s.%n",
                    owners.size(),
                    finished,
                    links,
                    keys.isEmpty() ? "not signed yet" : "signed with the key " + String.join(", ", keys));
        }
        int code = faults.isEmpty() ? 0 : NOT_WHOLE;
        System.exit(SpringApplication.exit(event.getApplicationContext(), () -> code));
    }

    private List<SignedIn> owners() {
        return database.sql("select id, workshop_id from account where role = 'OWNER' group by workshop_id")
                .query((row, number) -> new SignedIn(
                        UUID.fromString(row.getString("id")),
                        UUID.fromString(row.getString("workshop_id")),
                        Role.OWNER,
                        true,
                        null))
                .list();
    }

    /** A foreign key of the schema. */
    private record ForeignKey(String table, String columns, String to, String toColumns) {}

    /** Rows that point at nothing, by what the schema says points where. */
    List<String> strays() {
        List<ForeignKey> keys = database.sql(
                        "select table_name, group_concat(column_name order by ordinal_position) columns,"
                                + " referenced_table_name, group_concat(referenced_column_name order by ordinal_position) to_columns"
                                + " from information_schema.key_column_usage where table_schema = database()"
                                + " and referenced_table_name is not null"
                                + " group by table_name, constraint_name, referenced_table_name")
                .query((row, number) -> new ForeignKey(
                        row.getString("table_name"),
                        row.getString("columns"),
                        row.getString("referenced_table_name"),
                        row.getString("to_columns")))
                .list();
        List<String> faults = new ArrayList<>();
        for (ForeignKey key : keys) {
            long strays = database.sql(strays(key)).query(Long.class).single();
            if (strays > 0) {
                faults.add("%d rows of %s point at no %s.".formatted(strays, key.table(), key.to()));
            }
        }
        return faults;
    }

    private static String strays(ForeignKey key) {
        String[] from = key.columns().split(",");
        String[] to = key.toColumns().split(",");
        StringBuilder same = new StringBuilder();
        StringBuilder there = new StringBuilder();
        for (int column = 0; column < from.length; column++) {
            same.append(column == 0 ? "" : " and ").append("t.%s = f.%s".formatted(to[column], from[column]));
            there.append(" and f.%s is not null".formatted(from[column]));
        }
        return "select count(*) from %s f where not exists (select 1 from %s t where %s)%s"
                .formatted(key.table(), key.to(), same, there);
    }
}
