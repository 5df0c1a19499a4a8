package elvaro.server.tasting;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What a sheet must know of its table, in one statement of plain SQL: hundreds of phones may hand in within seconds
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
     * @param places how many sit at the table
     * @param samples of the table, in their order
     * @param handedIn the sheet that was handed in for the round; null while there is none
     */
    record Seat(
            int position,
            int places,
            List<UUID> samples,
            @Nullable UUID handedIn) {}

    /**
     * The place, which stays locked to the end of the transaction; the others at the table do not.
     *
     * @throws Refusal if there is none
     */
    Seat lock(UUID placeId, int round) {
        return database.sql("select p.position, s.id handed_in,"
                        + " (select count(*) from tasting_place o"
                        + " where o.workshop_id = p.workshop_id and o.tasting_id = p.tasting_id) places,"
                        + " (select group_concat(m.id order by m.position) from tasting_sample m"
                        + " where m.workshop_id = p.workshop_id and m.tasting_id = p.tasting_id) samples"
                        + " from tasting_place p left join tasting_sheet s"
                        + " on s.workshop_id = p.workshop_id and s.place_id = p.id and s.round = ?"
                        + " where p.workshop_id = ? and p.id = ? for update")
                .params(round, current.person().workshopId(), placeId)
                .query((row, number) -> new Seat(
                        row.getInt("position"),
                        row.getInt("places"),
                        Stream.of(row.getString("samples").split(","))
                                .map(UUID::fromString)
                                .toList(),
                        row.getObject("handed_in", UUID.class)))
                .optional()
                .orElseThrow(() -> Refusal.notFound("place"));
    }
}
