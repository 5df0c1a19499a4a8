package elvaro.server.shared;

import jakarta.persistence.EntityManagerFactory;
import jakarta.persistence.Table;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.hibernate.Session;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.hibernate.engine.spi.TransactionCompletionCallbacks;
import org.hibernate.engine.spi.TransactionCompletionCallbacks.AfterCompletionCallback;
import org.hibernate.engine.spi.TransactionCompletionCallbacks.BeforeCompletionCallback;
import org.hibernate.event.service.spi.EventListenerRegistry;
import org.hibernate.event.spi.EventType;
import org.hibernate.event.spi.PostInsertEvent;
import org.hibernate.event.spi.PostInsertEventListener;
import org.hibernate.persister.entity.EntityPersister;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Chains what is written into the record: each row becomes a link that holds the hash of the row and of the link before it, in
 * the transaction that writes the row. What a chain proves and what not stands in docs/record.md.
 */
@Component
public class Chain implements PostInsertEventListener {
    /** What the first link of a workshop follows. */
    public static final String BEGIN = "0".repeat(64);

    private static final int AT_ONCE = 500;

    /** The last link, without the id of a row, before the rows. */
    private static final String HEAD_AND =
            "(select null, convert(hash using utf8mb4), number from chain_link where workshop_id = ? order by number desc limit 1) union all (%s)";

    private final Map<SharedSessionContractImplementor, List<Written>> writing = new ConcurrentHashMap<>();
    private final ChainForms forms;
    private final Changes changes;
    private final Clock clock;

    Chain(ChainForms forms, Changes changes, Clock clock, EntityManagerFactory entities) {
        this.forms = forms;
        this.changes = changes;
        this.clock = clock;
        EventListenerRegistry listeners =
                entities.unwrap(SessionFactoryImplementor.class).getEventListenerRegistry();
        listeners.appendListeners(EventType.POST_INSERT, this);
    }

    private record Written(String table, String id) {}

    /**
     * One link.
     *
     * @param linkedAt in milliseconds since 1970
     * @param importId what file it came with; null for what was written here
     */
    public record Link(
            long number,
            String table,
            String rowId,
            int form,
            String rowHash,
            long linkedAt,
            @Nullable String importId) {
        /** @param before the hash of the link before */
        public String hash(String before) {
            String all = "%s|%d|%s|%s|%d|%s|%d|%s"
                    .formatted(before, number, table, rowId, form, rowHash, linkedAt, importId == null ? "" : importId);
            return Sha256.of(all.getBytes(StandardCharsets.UTF_8));
        }
    }

    @Override
    public void onPostInsert(PostInsertEvent event) {
        Class<?> type = event.getEntity().getClass();
        if (type.isAnnotationPresent(Chained.class) && event.getEntity() instanceof WorkshopRow row) {
            add(event.getSession(), type.getAnnotation(Table.class).name(), row.id());
        }
    }

    /** For a row of the record that was written in this session, in plain SQL. */
    void add(SharedSessionContractImplementor session, String table, UUID id) {
        writing.computeIfAbsent(session, each -> {
                    TransactionCompletionCallbacks transaction = each.getTransactionCompletionCallbacks();
                    transaction.registerCallback((BeforeCompletionCallback) this::link);
                    transaction.registerCallback((AfterCompletionCallback) (success, ended) -> writing.remove(ended));
                    return new ArrayList<>();
                })
                .add(new Written(table, id.toString()));
    }

    private void link(SharedSessionContractImplementor session) {
        List<Written> rows = writing.remove(session); // what is still to come in this transaction begins anew
        UUID workshop = (UUID) session.getTenantIdentifierValue();
        Map<String, List<String>> byTable = new LinkedHashMap<>();
        rows.forEach(row ->
                byTable.computeIfAbsent(row.table(), each -> new ArrayList<>()).add(row.id()));
        changes.raise(session); // and so whoever else writes for the workshop waits
        ((Session) session).doWork(connection -> {
            Head head = null;
            for (Map.Entry<String, List<String>> each : byTable.entrySet()) {
                head = appendAlone(connection, workshop, head, each.getKey(), each.getValue(), Optional.empty());
            }
        });
    }

    /**
     * Makes links of rows that were written in this transaction. Whoever else writes for the workshop waits for its end.
     *
     * @param importId what file they came with
     */
    public void append(Connection connection, UUID workshop, String table, List<String> ids, Optional<UUID> importId)
            throws SQLException {
        try (PreparedStatement lock = connection.prepareStatement(Changes.RAISE_ONE)) {
            lock.setString(1, workshop.toString());
            lock.executeUpdate();
        }
        appendAlone(connection, workshop, null, table, ids, importId);
    }

    /** Where a chain ends. */
    private record Head(long number, String hash) {}

    /**
     * @param before where the chain ends, if this transaction knows it already
     * @return where it ends now
     */
    private @Nullable Head appendAlone(
            Connection connection,
            UUID workshop,
            @Nullable Head before,
            String table,
            List<String> ids,
            Optional<UUID> importId)
            throws SQLException {
        Head head = before;
        long now = clock.millis();
        int form = forms.newest(table);
        try (PreparedStatement write = connection.prepareStatement("insert into chain_link"
                + " (workshop_id, number, table_name, row_id, form, row_hash, linked_at, import_id, hash)"
                + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)")) {
            for (int from = 0; from < ids.size(); from += AT_ONCE) {
                List<String> some = ids.subList(from, Math.min(ids.size(), from + AT_ONCE));
                Map<String, String> hashes;
                if (head == null) {
                    HashesRead read = withHead(connection, workshop, table, form, some);
                    head = read.head();
                    hashes = read.hashes();
                } else {
                    hashes = hashes(connection, workshop, table, form, some);
                }
                for (String id : some) {
                    String file = importId.map(UUID::toString).orElse(null);
                    Link link = new Link(head.number() + 1, table, id, form, hashes.get(id), now, file);
                    head = new Head(link.number(), link.hash(head.hash()));
                    int column = 0;
                    for (Object value : new Object[] {
                        workshop.toString(), head.number(), table, id, form, link.rowHash(), now, file, head.hash()
                    }) {
                        write.setObject(++column, value);
                    }
                    write.addBatch();
                }
                write.executeBatch();
            }
        }
        return head;
    }

    /** The hashes of rows as they are now, by id; those that are not there are missing. */
    public Map<String, String> hashes(Connection connection, UUID workshop, String table, int form, List<String> ids)
            throws SQLException {
        return read(connection, forms.hashes(table, form, ids.size()), List.of(workshop.toString()), ids)
                .hashes();
    }

    /** The same, and where the chain ends, in one statement: every weighing waits for it. */
    private HashesRead withHead(Connection connection, UUID workshop, String table, int form, List<String> ids)
            throws SQLException {
        String both = HEAD_AND.formatted(forms.hashes(table, form, ids.size()));
        return read(connection, both, List.of(workshop.toString(), workshop.toString()), ids);
    }

    /** @param head the beginning where there is no link yet, or it was not asked for */
    private record HashesRead(Head head, Map<String, String> hashes) {}

    private static HashesRead read(Connection connection, String sql, List<String> workshop, List<String> ids)
            throws SQLException {
        Head head = new Head(0, BEGIN);
        Map<String, String> hashes = new HashMap<>();
        try (PreparedStatement asked = connection.prepareStatement(sql)) {
            int place = 0;
            for (String each : workshop) {
                asked.setString(++place, each);
            }
            for (String id : ids) {
                asked.setString(++place, id);
            }
            ResultSet rows = asked.executeQuery();
            while (rows.next()) {
                String id = rows.getString(1);
                if (id == null) {
                    head = new Head(rows.getLong(3), rows.getString(2));
                } else {
                    hashes.put(id, rows.getString(2));
                }
            }
        }
        return new HashesRead(head, hashes);
    }

    @Override
    public boolean requiresPostCommitHandling(EntityPersister persister) {
        return false;
    }
}
