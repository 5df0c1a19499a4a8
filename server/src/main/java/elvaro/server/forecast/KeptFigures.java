package elvaro.server.forecast;

import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.server.forecast.FinishedPieces.ClosedLog;
import elvaro.server.forecast.FinishedPieces.FinishedKey;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.RetriedTransaction;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedRuntimeException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What the logs of finished pieces say, kept so that a house of tens of thousands answers right after a start. Each row is made
 * from a log as it was at a version and is of no use for another; all of it may be thrown away at any time.
 */
@Component
class KeptFigures {
    /** To be raised when what a log says is read otherwise: what was kept before is then made anew. */
    private static final int RULES = 1;

    private static final Logger LOG = LoggerFactory.getLogger(KeptFigures.class);

    private static final Instant NEVER = Instant.EPOCH;

    private final JdbcTemplate database;
    private final CurrentWorkshop current;
    private final TransactionTemplate byItself;

    KeptFigures(JdbcTemplate database, CurrentWorkshop current, PlatformTransactionManager transactions) {
        this.database = database;
        this.current = current;
        byItself = new RetriedTransaction(transactions);
        byItself.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** Houses with so many kept figures at least, the largest first. It crosses workshops, and so tells nothing but which they are. */
    List<UUID> largest(int figures, int houses) {
        return database.queryForList(
                "select workshop_id from finished_figures where rules = ? group by workshop_id having count(*) >= ?"
                        + " order by count(*) desc limit ?",
                UUID.class,
                RULES,
                figures,
                houses);
    }

    /** @return what is kept of this house; nothing where a log has no figures, which is kept too */
    Map<FinishedKey, Optional<ClosedLog>> all() {
        Map<FinishedKey, Optional<ClosedLog>> kept = new HashMap<>();
        database.query(
                "select * from finished_figures where workshop_id = ? and rules = ?",
                row -> {
                    kept.put(
                            new FinishedKey(
                                    UUID.fromString(row.getString("piece_id")),
                                    row.getInt("log_version"),
                                    row.getInt("green_grams")),
                            row.getBoolean("measured") ? Optional.of(read(row)) : Optional.empty());
                },
                current.person().workshopId(),
                RULES);
        return kept;
    }

    private static ClosedLog read(ResultSet row) throws SQLException {
        String closedBy = row.getString("closed_by");
        return new ClosedLog(
                new Ledger(
                        row.getInt("green_grams"),
                        row.getInt("withdrawn"),
                        row.getInt("aged"),
                        piles(row.getString("piles")),
                        row.getInt("cut_away"),
                        row.getDouble("remaining")),
                row.getInt("steaks"),
                row.getObject("pulled_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
                closedBy == null ? null : UUID.fromString(closedBy));
    }

    private static Piles piles(String kept) {
        Map<Stream, Integer> grams = new EnumMap<>(Stream.class);
        Arrays.stream(kept.split(" ")).filter(each -> !each.isEmpty()).forEach(each -> {
            String[] pile = each.split("=");
            grams.put(Stream.valueOf(pile[0]), Integer.valueOf(pile[1]));
        });
        return new Piles(grams);
    }

    private static String words(Piles piles) {
        return piles.grams().entrySet().stream()
                .filter(each -> each.getValue() > 0)
                .map(each -> each.getKey() + "=" + each.getValue())
                .collect(Collectors.joining(" "));
    }

    /**
     * In a transaction of its own: whoever asks only reads, and has the answer although nothing can be kept, as on a disk that
     * is full.
     */
    void keep(Map<FinishedKey, Optional<ClosedLog>> fresh) {
        UUID workshop = current.person().workshopId();
        List<Object[]> rows = fresh.entrySet().stream()
                .map(each -> row(workshop, each.getKey(), each.getValue().orElse(null)))
                .toList();
        try {
            byItself.executeWithoutResult(status -> database.batchUpdate(
                    "replace into finished_figures values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)", rows));
        } catch (NestedRuntimeException notNow) { // of the database or of the transaction
            LOG.warn("Figures of {} finished pieces were not kept: {}", rows.size(), notNow.getMessage());
        }
    }

    private static Object[] row(UUID workshop, FinishedKey key, @Nullable ClosedLog log) {
        boolean measured = log != null;
        Ledger ledger = measured ? log.ledger() : new Ledger(1, 0, 0, Piles.NONE);
        return new Object[] {
            key.pieceId(),
            workshop,
            RULES,
            key.logVersion(),
            key.green(),
            measured,
            ledger.withdrawn(),
            ledger.aged(),
            ledger.cutAway(),
            ledger.left(),
            words(ledger.piles()),
            measured ? log.steaks() : 0,
            Timestamp.valueOf(LocalDateTime.ofInstant(measured ? log.pulledAt() : NEVER, ZoneOffset.UTC)),
            measured ? log.closedBy() : null
        };
    }

    /** So that they are made anew. */
    void forget(UUID piece) {
        byItself.executeWithoutResult(
                status -> database.update("delete from finished_figures where piece_id = ?", piece));
    }
}
