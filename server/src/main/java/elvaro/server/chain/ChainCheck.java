package elvaro.server.chain;

import elvaro.core.working.Quantity;
import elvaro.server.shared.Chain;
import elvaro.server.shared.Chain.Link;
import elvaro.server.shared.ChainForms;
import elvaro.server.shared.LongWork;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Goes along the chain of a workshop and says where the record is no longer what was written. */
@Service
public class ChainCheck {
    private static final int MOST_TOLD = 20;
    private static final int AT_ONCE = 1000;

    private final Chain chain;
    private final ChainForms forms;
    private final Checkpoints checkpoints;
    private final LongWork longWork;
    private final JdbcTemplate database;

    ChainCheck(Chain chain, ChainForms forms, Checkpoints checkpoints, LongWork longWork, JdbcTemplate database) {
        this.chain = chain;
        this.forms = forms;
        this.checkpoints = checkpoints;
        this.longWork = longWork;
        this.database = database;
    }

    /**
     * What was found.
     *
     * @param links how many were looked at
     * @param head the hash of the last one; what a person may keep on paper
     * @param signedUntil when the last checkpoint was made; null before the first day is over
     * @param keys whose signatures they are, by the first digits
     * @param faults the first of what differs, in order; empty where all is as it was written
     */
    public record ChainState(
            long links, String head, @Nullable Instant signedUntil, List<String> keys, List<String> faults) {}

    /** At one moment, while others write on. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public ChainState of(UUID workshop) {
        longWork.allow();
        List<Checkpoint> signed = checkpoints.of(workshop);
        Walk walk = new Walk(workshop, signed);
        database.execute((ConnectionCallback<Boolean>) connection -> {
            walk.links(connection);
            walk.rowsWithoutLink(connection);
            return true;
        });
        walk.unmet();
        return new ChainState(
                walk.number,
                walk.hash,
                signed.isEmpty() ? null : Checkpoints.at(signed.get(signed.size() - 1)),
                signed.stream()
                        .map(each -> HouseKey.print(each.key()))
                        .distinct()
                        .toList(),
                walk.faults);
    }

    /** For what goes out of the house: with all that was written until now signed. */
    @Transactional
    public ChainState signed(UUID workshop) {
        checkpoints.closeNow(workshop);
        return of(workshop);
    }

    private final class Walk {
        private final UUID workshop;
        private final Map<Long, Checkpoint> signed;
        private final List<String> faults = new ArrayList<>();
        private long number;
        private String hash = Chain.BEGIN;

        Walk(UUID workshop, List<Checkpoint> signed) {
            this.workshop = workshop;
            this.signed = signed.stream()
                    .collect(Collectors.toMap(Checkpoint::number, each -> each, (a, b) -> a, LinkedHashMap::new));
        }

        private void tell(String fault) {
            if (faults.size() < MOST_TOLD) {
                faults.add(fault);
            }
        }

        void links(Connection connection) throws SQLException {
            long from = 0;
            List<Stored> some;
            do {
                some = read(connection, from);
                Map<String, String> rows = rowsOf(connection, some);
                some.forEach(each -> step(each, rows));
                from = some.isEmpty() ? from : some.get(some.size() - 1).link().number();
            } while (some.size() == AT_ONCE);
        }

        private void step(Stored stored, Map<String, String> rows) {
            Link link = stored.link();
            String what = "%s of %s".formatted(forms.label(link.table()), day(link.linkedAt()));
            if (link.number() != number + 1) {
                tell("Between link %d and %d links are missing.".formatted(number, link.number()));
            } else if (!link.hash(hash).equals(stored.hash())) {
                tell("Link %d (%s) is not the one that was written, or not in its place."
                        .formatted(link.number(), what));
            }
            String now = rows.get(link.table() + link.rowId());
            if (now == null) {
                tell("Link %d: a %s was deleted.".formatted(link.number(), what));
            } else if (!now.equals(link.rowHash())) {
                tell("Link %d: a %s was changed after it was written.".formatted(link.number(), what));
            }
            number = link.number();
            hash = stored.hash();
            Optional.ofNullable(signed.remove(number)).ifPresent(point -> {
                if (!point.isSigned() || !point.hash().equals(stored.hash())) {
                    tell("What was signed on %s of the first %d links is not what they are."
                            .formatted(day(point.madeAt()), point.number()));
                }
            });
        }

        /** Signed and gone: the end of the chain was cut off. */
        void unmet() {
            signed.values().stream()
                    .findFirst()
                    .ifPresent(point -> tell("%d links were signed on %s, of which the last is missing."
                            .formatted(point.number(), day(point.madeAt()))));
        }

        private List<Stored> read(Connection connection, long after) throws SQLException {
            List<Stored> some = new ArrayList<>(AT_ONCE);
            try (PreparedStatement asked = connection.prepareStatement(
                    "select number, table_name, row_id, form, row_hash, linked_at, import_id, hash from chain_link"
                            + " where workshop_id = ? and number > ? order by number limit " + AT_ONCE)) {
                asked.setString(1, workshop.toString());
                asked.setLong(2, after);
                ResultSet row = asked.executeQuery();
                while (row.next()) {
                    some.add(new Stored(
                            new Link(
                                    row.getLong("number"),
                                    row.getString("table_name"),
                                    row.getString("row_id"),
                                    row.getInt("form"),
                                    row.getString("row_hash"),
                                    row.getLong("linked_at"),
                                    row.getString("import_id")),
                            row.getString("hash")));
                }
            }
            return some;
        }

        private Map<String, String> rowsOf(Connection connection, List<Stored> some) throws SQLException {
            Map<String, Map<Integer, List<String>>> asked = new HashMap<>();
            some.forEach(each -> asked.computeIfAbsent(each.link().table(), table -> new HashMap<>())
                    .computeIfAbsent(each.link().form(), form -> new ArrayList<>())
                    .add(each.link().rowId()));
            Map<String, String> rows = new HashMap<>();
            Set<String> known = new HashSet<>(forms.tables());
            for (var table : asked.entrySet()) {
                for (var form : table.getValue().entrySet()) {
                    if (known.contains(table.getKey())) {
                        chain.hashes(connection, workshop, table.getKey(), form.getKey(), form.getValue())
                                .forEach((id, now) -> rows.put(table.getKey() + id, now));
                    }
                }
            }
            return rows;
        }

        void rowsWithoutLink(Connection connection) throws SQLException {
            for (String table : forms.tables()) {
                try (PreparedStatement asked =
                        connection.prepareStatement(("select count(*) from %s r where r.workshop_id = ? and not exists"
                                        + " (select 1 from chain_link l where l.row_id = r.id and l.table_name = '%s')")
                                .formatted(table, table))) {
                    asked.setString(1, workshop.toString());
                    ResultSet row = asked.executeQuery();
                    if (row.next() && row.getLong(1) > 0) {
                        tell(
                                "%d of the kind \"%s\" stand in the record without a link: they were not written by Elvaro."
                                        .formatted(row.getLong(1), forms.label(table)));
                    }
                }
            }
        }

        private static String day(long millis) {
            return Quantity.date(LocalDate.ofInstant(Instant.ofEpochMilli(millis), ZoneOffset.UTC));
        }
    }

    private record Stored(Link link, String hash) {}
}
