package elvaro.server.stock;

import elvaro.server.shared.CurrentWorkshop;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Packs and what went out of them as rows, in one question: a lot may have ten thousand, and whoever calls them back waits
 * for the answer.
 */
@Component
class RecallRows {
    private static final String COLUMNS =
            "select k.id, k.number, k.content, coalesce(k.piece_id, k.making_id), k.grams,"
                    + " k.place, o.id, o.way, o.grams, o.words, o.happened_at, o.account_id, o.takes_back, o.making_id";
    private static final String OUTS = " left join pack_out o on o.workshop_id = k.workshop_id and o.pack_id = k.id";

    private final JdbcClient database;
    private final CurrentWorkshop current;

    RecallRows(JdbcClient database, CurrentWorkshop current) {
        this.database = database;
        this.current = current;
    }

    /**
     * A pack.
     *
     * @param origin the piece, or what was made, it was packed from
     * @param outs in the order it happened
     */
    record PackRow(UUID id, int number, Content content, UUID origin, int grams, String place, List<OutRow> outs) {}

    /** @param back the movement that was a slip */
    record OutRow(
            UUID id,
            WithdrawalPurpose way,
            int grams,
            String words,
            Instant happenedAt,
            UUID accountId,
            @Nullable UUID back,
            @Nullable UUID into)
            implements Movement {
        @Override
        public Optional<UUID> takesBack() {
            return Optional.ofNullable(back);
        }

        @Override
        public Optional<UUID> makingId() {
            return Optional.ofNullable(into);
        }
    }

    /** Of all pieces of a lot, by number. */
    Collection<PackRow> ofLot(UUID lot) {
        return read(
                COLUMNS + " from piece p join pack k on k.workshop_id = p.workshop_id and k.piece_id = p.id" + OUTS
                        + " where p.workshop_id = :workshop and p.lot_id = :of order by k.number",
                lot);
    }

    /** Of what was made, by number. */
    Collection<PackRow> ofMakings(Collection<UUID> makings) {
        return read(
                COLUMNS + " from pack k" + OUTS
                        + " where k.workshop_id = :workshop and k.making_id in (:of) order by k.number",
                makings);
    }

    private Collection<PackRow> read(String question, Object of) {
        Map<UUID, PackRow> packs = new LinkedHashMap<>();
        database.sql(question)
                .param("workshop", current.person().workshopId())
                .param("of", of)
                .query((RowCallbackHandler) row -> {
                    UUID id = row.getObject(1, UUID.class);
                    PackRow pack = packs.get(id);
                    if (pack == null) {
                        pack = pack(id, row);
                        packs.put(id, pack);
                    }
                    UUID out = row.getObject(7, UUID.class);
                    if (out != null) {
                        pack.outs().add(out(out, row));
                    }
                });
        packs.values().stream()
                .filter(pack -> pack.outs().size() > 1)
                .forEach(pack -> pack.outs()
                        .sort(java.util.Comparator.comparing(OutRow::happenedAt).thenComparing(OutRow::id)));
        return packs.values();
    }

    private static PackRow pack(UUID id, ResultSet row) throws SQLException {
        return new PackRow(
                id,
                row.getInt(2),
                Content.valueOf(row.getString(3)),
                row.getObject(4, UUID.class),
                row.getInt(5),
                row.getString(6),
                new ArrayList<>(1));
    }

    private static OutRow out(UUID id, ResultSet row) throws SQLException {
        return new OutRow(
                id,
                WithdrawalPurpose.valueOf(row.getString(8)),
                row.getInt(9),
                row.getString(10),
                row.getObject(11, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                row.getObject(12, UUID.class),
                row.getObject(13, UUID.class),
                row.getObject(14, UUID.class));
    }
}
