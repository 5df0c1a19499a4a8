package elvaro.server.chain;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Closes the days of the chains: what was written until midnight (UTC) is signed soon after it. */
@Component
class Checkpoints {
    private static final RowMapper<Checkpoint> ROW = (row, number) -> new Checkpoint(
            UUID.fromString(row.getString("workshop_id")),
            row.getLong("number"),
            row.getString("hash"),
            row.getLong("made_at"),
            row.getString("public_key"),
            row.getString("signature"));

    private final JdbcClient database;
    private final HouseKey key;
    private final Clock clock;

    Checkpoints(JdbcClient database, HouseKey key, Clock clock) {
        this.database = database;
        this.key = key;
        this.clock = clock;
    }

    /** Those of every workshop whose day is over and not signed yet. */
    @Transactional
    public void closeDays() {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        long midnight = today.atStartOfDay(ZoneOffset.UTC).toInstant().toEpochMilli();
        database.sql("select l.workshop_id, max(l.number) number from chain_link l where l.linked_at < ?"
                        + " and l.number > (select coalesce(max(c.number), 0) from chain_checkpoint c"
                        + " where c.workshop_id = l.workshop_id) group by l.workshop_id")
                .param(midnight)
                .query((row, index) -> new Object[] {UUID.fromString(row.getString(1)), row.getLong(2)})
                .list()
                .forEach(open -> sign((UUID) open[0], (Long) open[1]));
    }

    /** Up to now, for what goes out of the house. */
    @Transactional
    public void closeNow(UUID workshop) {
        database.sql("select max(number) from chain_link where workshop_id = ? having max(number) >"
                        + " (select coalesce(max(number), 0) from chain_checkpoint where workshop_id = ?)")
                .params(workshop.toString(), workshop.toString())
                .query(Long.class)
                .optional()
                .ifPresent(number -> sign(workshop, number));
    }

    private void sign(UUID workshop, long number) {
        String hash = database.sql("select hash from chain_link where workshop_id = ? and number = ?")
                .params(workshop.toString(), number)
                .query(String.class)
                .single();
        Checkpoint signed = Checkpoint.signed(workshop, number, hash, clock.millis(), key);
        // Several instances close the same day: one of them does.
        database.sql("insert ignore into chain_checkpoint"
                        + " (workshop_id, number, hash, made_at, key_print, public_key, signature)"
                        + " values (?, ?, ?, ?, ?, ?, ?)")
                .params(
                        workshop.toString(),
                        number,
                        hash,
                        signed.madeAt(),
                        HouseKey.print(signed.key()),
                        signed.key(),
                        signed.signature())
                .update();
    }

    /** In order. */
    List<Checkpoint> of(UUID workshop) {
        return database.sql("select * from chain_checkpoint where workshop_id = ? order by number")
                .param(workshop.toString())
                .query(ROW)
                .list();
    }

    static Instant at(Checkpoint point) {
        return Instant.ofEpochMilli(point.madeAt());
    }
}
