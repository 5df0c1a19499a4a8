package elvaro.server.tasting;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What a sheet must know of its table, in two statements of plain SQL: hundreds of phones may hand in within seconds
 * (decision 0053).
 */
@Component
class Seats {
    private final JdbcClient database;
    private final CurrentWorkshop current;

    Seats(JdbcClient database, CurrentWorkshop current) {
        this.database = database;
        this.current = current;
    }

    /**
     * A place at a table.
     *
     * @param position from 0
     * @param handedIn the sheet that was handed in for the round; null while there is none
     */
    record Seat(int position, @Nullable UUID handedIn) {}

    /** @param samples in their order @param places how many sit there */
    record Laid(List<UUID> samples, int places) {}

    private record SampleRow(UUID id, int places) {}

    /**
     * The place, which stays locked to the end of the transaction.
     *
     * @throws Refusal if there is none
     */
    Seat lock(UUID placeId, int round) {
        return database.sql("select p.position, s.id from tasting_place p left join tasting_sheet s"
                        + " on s.workshop_id = p.workshop_id and s.place_id = p.id and s.round = ?"
                        + " where p.workshop_id = ? and p.id = ? for update")
                .params(round, workshop(), placeId)
                .query((row, number) -> new Seat(row.getInt(1), row.getObject(2, UUID.class)))
                .optional()
                .orElseThrow(() -> Refusal.notFound("place"));
    }

    Laid laid(UUID tastingId) {
        List<SampleRow> rows = database.sql("select s.id, (select count(*) from tasting_place p"
                        + " where p.workshop_id = s.workshop_id and p.tasting_id = s.tasting_id)"
                        + " from tasting_sample s where s.workshop_id = ? and s.tasting_id = ? order by s.position")
                .params(workshop(), tastingId)
                .query((row, number) -> new SampleRow(row.getObject(1, UUID.class), row.getInt(2)))
                .list();
        return new Laid(
                rows.stream().map(SampleRow::id).toList(),
                rows.isEmpty() ? 0 : rows.get(0).places());
    }

    private UUID workshop() {
        return current.person().workshopId();
    }
}
