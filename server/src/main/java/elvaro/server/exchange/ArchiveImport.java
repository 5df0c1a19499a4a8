package elvaro.server.exchange;

import elvaro.server.account.AccountService;
import elvaro.server.exchange.ArchiveColumn.ColumnType;
import elvaro.server.exchange.ArchiveTaken.TableTaken;
import elvaro.server.look.Photos;
import elvaro.server.reading.AirHistory;
import elvaro.server.shared.Refusal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.LongConsumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** Writes the rows of one archive into one workshop, within the caller's transaction. Used once. */
final class ArchiveImport implements ArchiveSource.Taker {
    private static final Logger LOG = LoggerFactory.getLogger(ArchiveImport.class);
    private static final int ROWS_AT_ONCE = 1000;
    private static final int READINGS_AT_ONCE = 20_000;

    private final JdbcTemplate database;
    private final UUID workshop;
    private final IdRemapping remapping;
    private final AccountService people;
    private final AirHistory air;
    private final ArchiveSource source;
    private final String digest;
    private final LongConsumer progress;

    private final Map<String, String> persons = new HashMap<>();
    private final List<TableTaken> taken = new ArrayList<>();
    private final List<String> changes = new ArrayList<>();
    private final Set<UUID> freshPieces = new HashSet<>();
    private final Set<String> written = new HashSet<>();
    private final Map<String, List<String>> brought = new HashMap<>();
    private final List<String> treatments = new ArrayList<>();

    private final List<Object[]> waiting = new ArrayList<>(ROWS_AT_ONCE);
    private final List<Object[]> naming = new ArrayList<>();
    private final List<AirHistory.Past> readings = new ArrayList<>(READINGS_AT_ONCE);
    private String chamber = "";
    private boolean wasKnown;
    private boolean occupied;
    private int fresh;
    private int known;
    private long done;

    ArchiveImport(
            JdbcTemplate database,
            UUID workshop,
            IdRemapping remapping,
            AccountService people,
            AirHistory air,
            ArchiveSource source,
            String digest,
            LongConsumer progress) {
        this.database = database;
        this.workshop = workshop;
        this.remapping = remapping;
        this.people = people;
        this.air = air;
        this.source = source;
        this.digest = digest;
        this.progress = progress;
    }

    @Override
    public void begin(ArchiveTable table) {
        fresh = 0;
        known = 0;
        naming.clear();
        occupied = !table.name().equals(ArchiveFormat.PERSON)
                && !table.name().equals(ArchiveFormat.AIR)
                && Boolean.TRUE.equals(database.queryForObject(
                        "select exists (select 1 from %s where workshop_id = ?)".formatted(table.name()),
                        Boolean.class,
                        workshop.toString()));
    }

    @Override
    public void row(ArchiveTable table, @Nullable Object[] values) {
        done++;
        switch (table.name()) {
            case ArchiveFormat.PERSON -> person(values);
            case ArchiveFormat.AIR -> reading(table, values);
            case ArchiveFormat.PHOTO -> photo(table, values);
            default -> {
                waiting.add(values);
                if (waiting.size() == ROWS_AT_ONCE) {
                    write(table);
                }
            }
        }
    }

    @Override
    public void end(ArchiveTable table) {
        if (table.name().equals(ArchiveFormat.AIR)) {
            keepReadings();
        } else {
            write(table);
            nameEachOther(table);
        }
        if (fresh + known > 0) {
            taken.add(new TableTaken(table.name(), table.about(), fresh, known));
        }
    }

    /** A person is the one of the same name here; whoever is not here comes along without a right to sign in. */
    private void person(@Nullable Object[] row) {
        String there = (String) row[0];
        String name = String.valueOf(row[1]);
        UUID here = UUID.fromString(remapping.id(there));
        Map<UUID, String> names = people.names();
        UUID person = names.containsKey(here)
                ? here
                : names.entrySet().stream()
                        .filter(each -> each.getValue().equals(name))
                        .map(Map.Entry::getKey)
                        .sorted()
                        .findFirst()
                        .orElse(null);
        if (person == null) {
            people.remember(here, name);
            fresh++;
            changes.add("%s comes along as a name; an owner can let them sign in.".formatted(name));
        } else {
            known++;
            if (!person.equals(here)) {
                changes.add("What %s wrote there counts as written by %s here.".formatted(name, name));
            }
        }
        persons.put(there, (person == null ? here : person).toString());
    }

    private void reading(ArchiveTable table, @Nullable Object[] row) {
        String there = String.valueOf(row[table.indexOf("chamber_id")]);
        if (!there.equals(chamber) || readings.size() == READINGS_AT_ONCE) {
            keepReadings();
            wasKnown = there.equals(chamber) ? wasKnown : air.isKnown(UUID.fromString(remapping.id(there)));
            chamber = there;
        }
        readings.add(new AirHistory.Past(
                (Instant) Objects.requireNonNull(row[table.indexOf("taken_at")]),
                figure(row[table.indexOf("celsius")]),
                figure(row[table.indexOf("humidity_percent")]),
                figure(row[table.indexOf("metres_per_second")])));
    }

    private static @Nullable Double figure(@Nullable Object value) {
        return value instanceof Number number ? number.doubleValue() : null;
    }

    private void keepReadings() {
        if (!readings.isEmpty()) {
            String name = "archive of %.100s".formatted(source.head().workshop().get("name"));
            int stored = fitting(
                    ArchiveFormat.AIR,
                    () -> air.keepFromArchive(
                            UUID.fromString(remapping.id(chamber)), List.copyOf(readings), name, digest, wasKnown));
            fresh += stored;
            known += readings.size() - stored;
            readings.clear();
            progress.accept(done);
        }
    }

    /** One at a time, since each may have megabytes. */
    private void photo(ArchiveTable table, @Nullable Object[] row) {
        byte[] jpeg = picture(source.photo(String.valueOf(row[table.indexOf("id")])));
        waiting.add(row);
        int before = fresh;
        write(table);
        if (fresh > before) {
            database.update(
                    "update look_photo set jpeg = ? where workshop_id = ? and id = ?",
                    jpeg,
                    workshop.toString(),
                    row[table.indexOf("id")]);
        }
    }

    private void write(ArchiveTable table) {
        if (waiting.isEmpty()) {
            return;
        }
        List<Object[]> rows = new ArrayList<>(waiting);
        waiting.clear();
        if (table.name().equals("treatment")) {
            rows.forEach(row -> treatments.add((String) row[table.indexOf("id")]));
        }
        rows.forEach(row -> remapIds(table, row));
        Set<String> here = occupied ? here(table, rows) : Set.of();
        int id = table.indexOf("id");
        List<Object[]> news = new ArrayList<>(rows.size());
        for (Object[] row : rows) {
            if (!here.contains((String) row[id])) {
                if (remapping.remap(table, row)) {
                    news.add(row);
                }
            } else if (table.name().equals("lot")) {
                remapping.knownLot(table, row);
            }
        }
        fresh += news.size();
        known += rows.size() - news.size();
        news.forEach(row -> remember(table, row));
        fitting(table.name(), () -> insert(table, news));
        progress.accept(done);
    }

    private static byte[] picture(byte[] bytes) {
        try {
            return Photos.mustBeJpeg(bytes);
        } catch (Refusal none) {
            throw new IllegalArgumentException("its picture is none.");
        }
    }

    private void remapIds(ArchiveTable table, Object[] row) {
        for (int index = 0; index < row.length; index++) {
            ArchiveColumn column = table.columns().get(index);
            if (column.kind() == ColumnType.ID && row[index] != null) {
                String there = (String) row[index];
                if (ArchiveFormat.PERSON.equals(column.pointsAt())) {
                    row[index] = persons.get(there);
                    if (row[index] == null) {
                        throw new IllegalArgumentException("%s names nobody of the archive.".formatted(column.name()));
                    }
                } else {
                    // What was changed may be a person as well.
                    row[index] = persons.getOrDefault(there, remapping.id(there));
                }
            }
        }
    }

    private Set<String> here(ArchiveTable table, List<Object[]> rows) {
        int id = table.indexOf("id");
        List<Object> wanted = new ArrayList<>(rows.size() + 1);
        wanted.add(workshop.toString());
        rows.forEach(row -> wanted.add(row[id]));
        return new HashSet<>(database.queryForList(
                "select id from %s where workshop_id = ? and id in (?%s)"
                        .formatted(table.name(), ", ?".repeat(rows.size() - 1)),
                String.class,
                wanted.toArray()));
    }

    private void remember(ArchiveTable table, Object[] row) {
        brought.computeIfAbsent(table.name(), each -> new ArrayList<>()).add((String) row[table.indexOf("id")]);
        switch (table.name()) {
            case "piece" -> freshPieces.add(UUID.fromString((String) row[table.indexOf("id")]));
            case "log_entry" -> written.add((String) row[table.indexOf("piece_id")]);
            default -> {
                // Nothing follows from it.
            }
        }
    }

    /** Rows that name another of their table are first written without, since it may come after them. */
    private int insert(ArchiveTable table, List<Object[]> rows) {
        ArchiveColumn own = table.ownReference();
        int reference = own == null ? -1 : table.indexOf(own.name());
        int id = table.indexOf("id");
        List<Object[]> parameters = new ArrayList<>(rows.size());
        for (Object[] row : rows) {
            List<Object> all = new ArrayList<>(row.length + 2);
            all.add(workshop.toString());
            for (int index = 0; index < row.length; index++) {
                all.add(index == reference ? null : parameter(row[index]));
            }
            if (reference >= 0 && row[reference] != null) {
                naming.add(new Object[] {row[reference], workshop.toString(), row[id]});
            }
            parameters.add(all.toArray());
        }
        return batch(table.insert(), parameters);
    }

    private void nameEachOther(ArchiveTable table) {
        ArchiveColumn own = table.ownReference();
        if (own != null && !naming.isEmpty()) {
            fitting(
                    table.name(),
                    () -> batch(
                            "update %s set %s = ? where workshop_id = ? and id = ?".formatted(table.name(), own.name()),
                            naming));
        }
    }

    /** Without Spring's own way, which asks the database for the type of each parameter that is null. */
    private int batch(String sql, List<Object[]> rows) {
        database.batchUpdate(sql, rows, ROWS_AT_ONCE, (statement, row) -> {
            for (int index = 0; index < row.length; index++) {
                statement.setObject(index + 1, row[index]);
            }
        });
        return rows.size();
    }

    private static @Nullable Object parameter(@Nullable Object value) {
        return value instanceof Instant moment ? LocalDateTime.ofInstant(moment, ZoneOffset.UTC) : value;
    }

    private interface Writing {
        int write();
    }

    private static int fitting(String table, Writing writing) {
        try {
            return writing.write();
        } catch (DataIntegrityViolationException clash) {
            LOG.info(
                    "A row of an archive does not fit: {}",
                    clash.getMostSpecificCause().getMessage());
            throw new IllegalArgumentException(
                    "a row up to this one of %s names what is not there, or is there twice.".formatted(table));
        }
    }

    /** What follows from the rows: numbers to come, ids made from others, figures that were kept of a piece. */
    void finish(boolean same) {
        remapping.raiseLotNumber();
        if (!same) {
            Map<String, String> coats = remapping.coats(treatments);
            brought.getOrDefault("log_entry", new ArrayList<>()).replaceAll(id -> coats.getOrDefault(id, id));
        }
        written.stream()
                .filter(piece -> !freshPieces.contains(UUID.fromString(piece)))
                .forEach(piece -> database.update(
                        "update piece set log_version = log_version + 1 where workshop_id = ? and id = ?",
                        workshop.toString(),
                        piece));
    }

    /** The ids of the rows that are new here, by table. */
    Map<String, List<String>> fresh() {
        return brought;
    }

    /** Pieces that are new here. */
    Set<UUID> freshPieces() {
        return freshPieces;
    }

    List<TableTaken> taken() {
        return taken;
    }

    List<String> changes() {
        List<String> all = new ArrayList<>(changes);
        all.addAll(remapping.changes());
        return all;
    }
}
