package elvaro.server.task;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Sha256;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What calendars were told of each event: RFC 5545 wants an event that is told anew with other content to carry a higher
 * number and the time it was changed. That cannot be computed from the work: it is about what was said of it before.
 */
@Component
class CalendarRevisions {
    /** An event that is gone is forgotten once no calendar will ask for it again. */
    private static final int KEPT_DAYS = 500;

    private final JdbcTemplate database;
    private final CurrentWorkshop current;
    private final Clock clock;

    CalendarRevisions(JdbcTemplate database, CurrentWorkshop current, Clock clock) {
        this.database = database;
        this.current = current;
        this.clock = clock;
    }

    /**
     * How an event stands.
     *
     * @param sequence 0 at first, one more with each change
     */
    record Revision(int sequence, Instant modifiedAt) {}

    private record Told(String hash, Revision revision) {}

    /**
     * Keeps what is told now.
     *
     * @param contents what each event says, by its uid
     */
    Map<String, Revision> tell(Map<String, String> contents) {
        UUID workshop = current.person().workshopId();
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Map<String, Told> before = told(workshop);
        Map<String, Told> told = contents.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        each -> next(
                                before.get(each.getKey()),
                                Sha256.of(each.getValue().getBytes(StandardCharsets.UTF_8)),
                                now),
                        (first, second) -> first,
                        TreeMap::new)); // In one order, so that two who tell at once do not lock each other out.
        List<Object[]> changed = told.entrySet().stream()
                .filter(each -> !each.getValue().equals(before.get(each.getKey())))
                .map(each -> row(workshop, each.getKey(), each.getValue()))
                .toList();
        database.batchUpdate("replace into calendar_event values (?, ?, ?, ?, ?)", changed);
        List<Object[]> forgotten = before.entrySet().stream()
                .filter(each -> !told.containsKey(each.getKey())
                        && each.getValue().revision().modifiedAt().isBefore(now.minus(KEPT_DAYS, ChronoUnit.DAYS)))
                .map(each -> new Object[] {workshop, each.getKey()})
                .toList();
        database.batchUpdate("delete from calendar_event where workshop_id = ? and uid = ?", forgotten);
        return told.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, each -> each.getValue().revision()));
    }

    private static Told next(@Nullable Told before, String hash, Instant now) {
        if (before == null) {
            return new Told(hash, new Revision(0, now));
        }
        return before.hash().equals(hash)
                ? before
                : new Told(hash, new Revision(before.revision().sequence() + 1, now));
    }

    private Map<String, Told> told(UUID workshop) {
        Map<String, Told> told = new TreeMap<>();
        database.query(
                "select uid, content_hash, sequence, modified_at from calendar_event where workshop_id = ?",
                row -> {
                    Instant modified =
                            row.getObject("modified_at", LocalDateTime.class).toInstant(ZoneOffset.UTC);
                    told.put(
                            row.getString("uid"),
                            new Told(row.getString("content_hash"), new Revision(row.getInt("sequence"), modified)));
                },
                workshop);
        return told;
    }

    private static Object[] row(UUID workshop, String uid, Told told) {
        Revision revision = told.revision();
        return new Object[] {
            workshop,
            uid,
            told.hash(),
            revision.sequence(),
            LocalDateTime.ofInstant(revision.modifiedAt(), ZoneOffset.UTC)
        };
    }
}
