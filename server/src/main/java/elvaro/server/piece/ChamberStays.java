package elvaro.server.piece;

import elvaro.server.shared.CurrentWorkshop;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who shared a chamber and for how long. Every figure asks for it, so it is plain SQL (decision 0053). */
@Component
public class ChamberStays {
    private static final String STAYS = """
            select p.id, p.chamber_id, p.green_grams, p.hung_on, if(p.state = 'HANGING', null,
                (select max(e.happened_at) from log_entry e
                where e.workshop_id = p.workshop_id and e.piece_id = p.id and e.kind = 'PULLED' and not exists
                    (select 1 from log_entry c where c.workshop_id = e.workshop_id and c.corrects_id = e.id and not exists
                        (select 1 from log_entry t where t.workshop_id = c.workshop_id and t.corrects_id = c.id
                        and t.kind = 'TAKEN_BACK'))))
            from piece p where p.workshop_id = :workshop and p.chamber_id in (:chambers)
            and p.hung_on between :earliest and :latest
            """;

    private final JdbcClient database;
    private final CurrentWorkshop current;

    ChamberStays(JdbcClient database, CurrentWorkshop current) {
        this.database = database;
        this.current = current;
    }

    /** A stay in a chamber; the pull is empty while the piece hangs. */
    public record StayRow(
            UUID pieceId,
            UUID chamberId,
            int greenGrams,
            LocalDate hungOn,
            @Nullable Instant pulledAt) {}

    /** Of what was hung from the first to the last day. */
    public List<StayRow> in(Collection<UUID> chambers, LocalDate earliest, LocalDate latest) {
        return database.sql(STAYS)
                .param("workshop", current.person().workshopId())
                .param("chambers", chambers)
                .param("earliest", earliest)
                .param("latest", latest)
                .query((row, number) -> {
                    LocalDateTime pulled = row.getObject(5, LocalDateTime.class);
                    return new StayRow(
                            row.getObject(1, UUID.class),
                            row.getObject(2, UUID.class),
                            row.getInt(3),
                            row.getObject(4, LocalDate.class),
                            pulled == null ? null : pulled.toInstant(ZoneOffset.UTC));
                })
                .list();
    }
}
