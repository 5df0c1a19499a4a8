package elvaro.server.exchange;

import elvaro.core.cut.CutCatalogue;
import elvaro.server.exchange.ArchiveColumn.ColumnType;
import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.metamodel.mapping.JdbcMapping;
import org.hibernate.persister.entity.AbstractEntityPersister;
import org.hibernate.type.descriptor.converter.spi.BasicValueConverter;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What an archive holds, in the order in which rows can be taken in: none names one that comes later, but one of its own
 * table. Columns, lengths and choices follow from the database and the entities, so that none is forgotten.
 */
@Component
class ArchiveFormat {
    static final String NAME = "elvaro-archive";
    static final int VERSION = 1;
    static final String AIR = "air_reading";
    static final String PERSON = "person";
    static final String PHOTO = "look_photo";

    /** Never leaves, or is made anew where it arrives. */
    static final Set<String> NOT_CARRIED =
            Set.of("workshop_id", "version", "log_version", "next_lot_number", "token", "jpeg", "public_address");

    /** Tables that are not carried, each for a reason: decision 0023. */
    static final Set<String> STAYS_HERE = Set.of(
            "access_token",
            "account",
            "air_hour",
            "alarm",
            "alarm_answer",
            "air_source",
            "calendar_event",
            "calendar_feed",
            "chain_checkpoint",
            "chain_form",
            "chain_import",
            "chain_link",
            "delivery",
            "device",
            "house_notices",
            "known_device",
            "lesson_asked",
            "morning",
            "notice",
            "notice_choice",
            "password_code",
            "phone",
            "rehearsal",
            "rehearsal_deed",
            "seller_article", // learnt again from the next box
            "shedlock",
            "user_credentials",
            "user_entities",
            "finished_figures",
            "request_count",
            "scale_state",
            "setup_code",
            "shared_page",
            "sign_in_attempt",
            "revision",
            "workshop_change",
            "workshop",
            "flyway_schema_history",
            "SPRING_SESSION",
            "SPRING_SESSION_ATTRIBUTES");

    private static final Map<String, String> TOLD = told();

    private final List<ArchiveTable> tables;
    private final ArchiveTable workshop;

    ArchiveFormat(JdbcClient database, EntityManagerFactory entities) {
        Described described = new Described(database, entities);
        workshop = described.table("workshop", "The household or shop itself.", " t where t.id = ?");
        List<ArchiveTable> carried = new ArrayList<>();
        carried.add(new ArchiveTable(
                PERSON,
                "Somebody who wrote things down.",
                List.of(described.column("account", "id"), described.column("account", "name")),
                Map.of(),
                "account t where t.workshop_id = ?",
                Map.of()));
        TOLD.forEach((name, about) ->
                carried.add(described.table(name, about, " t where t.workshop_id = ?" + revealed(name))));
        carried.add(air());
        tables = List.copyOf(carried);
    }

    private static Map<String, String> told() {
        Map<String, String> told = new LinkedHashMap<>();
        told.put("chamber", "Where meat hangs or lies.");
        told.put("recipe", "A recipe of the shop's own.");
        told.put("pack_rule", "How many days a kind of pack keeps here.");
        told.put("ask", "A question kept from Compare.");
        told.put("taster", "Somebody who tastes.");
        told.put("lot", "What was bought or brought in.");
        told.put("plan", "What is going to be hung.");
        told.put("piece", "What was cut from a lot and hung, or set aside fresh.");
        told.put("carcass", "An animal: the whole piece and the lot it is.");
        told.put("carcass_part", "A part of an animal that became a piece.");
        told.put(
                "log_entry", "What was written down about a piece. Nothing is overwritten; an entry corrects another.");
        told.put("carcass_core", "The core of an animal, measured while it cools.");
        told.put("piece_plan", "What was expected of a piece when it was hung.");
        told.put("piece_move", "From which chamber into which a piece went; the entry of the log has the same id.");
        told.put("decision", "A value that was questioned and kept, and why.");
        told.put("fact_change", "What was changed of what an inspector is shown: old, new, when, by whom and why.");
        told.put("preparation_tick", "A step of preparing that was done.");
        told.put("task_decision", "A task that was put off or dropped, and why.");
        told.put("look", "What was seen on a piece; the entry of the log has the same id.");
        told.put(PHOTO, "A photo of a look, or of a piece at another moment; the picture itself is photos/ID.jpg.");
        told.put("treatment", "What a piece was treated with; the entry of the log has the same id.");
        told.put(
                "treatment_used",
                "How much of a treatment was used, told afterwards; the entry of the log has the same id.");
        told.put("treatment_step", "A step of a treatment; the entry of the log has the same id.");
        told.put("trial", "A question put to pieces.");
        told.put("trial_arm", "What is done to some pieces of a trial.");
        told.put("trial_piece", "Which piece is in which arm.");
        told.put("protocol_file", "A file of another house: a protocol, or what came of one there.");
        told.put("tasting", "A blind tasting that was revealed.");
        told.put("tasting_sample", "What was tasted.");
        told.put("tasting_place", "Who sat where.");
        told.put("tasting_sheet", "What a taster handed in.");
        told.put("tasting_note", "A taster's words on a sample.");
        told.put("making", "A blend that was ground, or tallow that was rendered.");
        told.put("making_bought", "What was bought for it.");
        told.put("pack", "A pack.");
        told.put("pack_out", "What left a pack, and how.");
        told.put("air_origin", "Where readings are from that did not come as they were measured.");
        told.put("filled_silence", "A silence into which readings came afterwards.");
        told.put("air_decision", "What was decided about warm or missing air.");
        return told;
    }

    /** What lies under which code stays unknown until the tasting is revealed, to whoever reads an archive as well. */
    private static String revealed(String table) {
        if (table.equals("tasting")) {
            return " and t.state = 'REVEALED'";
        }
        return table.startsWith("tasting_")
                ? " and exists (select 1 from tasting v where v.id = t.tasting_id and v.state = 'REVEALED')"
                : "";
    }

    /** A reading in the units people speak; the database keeps seconds and hundredths. */
    private static ArchiveTable air() {
        return new ArchiveTable(
                AIR,
                "The air of a chamber at one moment, as far as it was measured.",
                List.of(
                        ArchiveColumn.reference("chamber_id", "chamber"),
                        ArchiveColumn.moment("taken_at"),
                        ArchiveColumn.hundredths("celsius", -40, 60),
                        ArchiveColumn.hundredths("humidity_percent", 0, 100),
                        ArchiveColumn.hundredths("metres_per_second", 0, 20)),
                Map.of(
                        "chamber_id",
                        "s.chamber_id",
                        "taken_at",
                        "timestamp('1970-01-01') + interval t.taken_at second",
                        "celsius",
                        "t.celsius / 100.0",
                        "humidity_percent",
                        "t.humidity / 100.0",
                        "metres_per_second",
                        "t.speed / 100.0"),
                "air_reading t join air_source s on s.id = t.source_id where s.workshop_id = ?",
                Map.of());
    }

    /** In the order of an archive. */
    List<ArchiveTable> tables() {
        return tables;
    }

    ArchiveTable workshop() {
        return workshop;
    }

    /** Reads what the database and the entities say of a table. */
    private static final class Described {
        private final Map<String, List<ArchiveColumn>> columns = new HashMap<>();
        private final Map<String, Class<? extends Enum<?>>> choices = new HashMap<>();
        private final Map<String, UnaryOperator<String>> meanings = new HashMap<>();
        private final Map<String, String> references = new HashMap<>();

        Described(JdbcClient database, EntityManagerFactory entities) {
            entities.unwrap(SessionFactoryImplementor.class)
                    .getMappingMetamodel()
                    .forEachEntityDescriptor(entity -> {
                        if (entity instanceof AbstractEntityPersister persister) {
                            mapped(persister);
                        }
                    });
            database.sql(
                            "select table_name, column_name, referenced_table_name from information_schema.key_column_usage"
                                    + " where table_schema = database() and referenced_table_name is not null"
                                    + " and column_name <> 'workshop_id'")
                    .query((row, number) -> references.put(row.getString(1) + "." + row.getString(2), row.getString(3)))
                    .list();
            database.sql("select table_name, column_name, column_type, is_nullable, character_maximum_length,"
                            + " numeric_precision, numeric_scale from information_schema.columns"
                            + " where table_schema = database() order by table_name, ordinal_position")
                    .query((row, number) -> {
                        String table = row.getString(1);
                        String key = table + "." + row.getString(2);
                        columns.computeIfAbsent(table, each -> new ArrayList<>())
                                .add(column(
                                        key,
                                        row.getString(3),
                                        row.getString(4).equals("YES"),
                                        row.getLong(5),
                                        row.getInt(6),
                                        row.getInt(7)));
                        return key;
                    })
                    .list();
        }

        /** Which columns hold the names of an enumeration, and which a text that only the entity understands. */
        private void mapped(AbstractEntityPersister entity) {
            for (String property : entity.getPropertyNames()) {
                String[] names = entity.getPropertyColumnNames(property);
                if (names.length != 1 || !(entity.getPropertyType(property) instanceof JdbcMapping mapping)) {
                    continue;
                }
                String key = entity.getTableName() + "." + names[0];
                Class<?> type = mapping.getJavaTypeDescriptor().getJavaTypeClass();
                if (type.isEnum()) {
                    @SuppressWarnings("unchecked")
                    Class<? extends Enum<?>> choice = (Class<? extends Enum<?>>) type;
                    choices.put(key, choice);
                } else if (mapping.getValueConverter() != null) {
                    @SuppressWarnings("unchecked")
                    BasicValueConverter<Object, Object> converter =
                            (BasicValueConverter<Object, Object>) mapping.getValueConverter();
                    meanings.put(key, text -> {
                        converter.toDomainValue(text);
                        return text;
                    });
                }
            }
        }

        private ArchiveColumn column(
                String key, String type, boolean optional, long characters, int precision, int scale) {
            ColumnType kind = kind(key, type);
            long most = switch (kind) {
                case TEXT -> characters;
                case WHOLE -> type.startsWith("bigint") ? Long.MAX_VALUE : Integer.MAX_VALUE;
                case DECIMAL -> (long) Math.pow(10, precision - scale) - 1;
                default -> 0;
            };
            long least = switch (kind) {
                case WHOLE -> type.startsWith("bigint") ? Long.MIN_VALUE : 0;
                case DECIMAL -> -most;
                default -> 0;
            };
            Class<? extends Enum<?>> choice = choices.get(key);
            return new ArchiveColumn(
                    key.substring(key.indexOf('.') + 1),
                    kind,
                    optional,
                    least,
                    most,
                    scale,
                    choice == null
                            ? List.of()
                            : Arrays.stream(choice.getEnumConstants())
                                    .map(Enum::name)
                                    .toList(),
                    kind == ColumnType.ID ? pointsAt(key) : null,
                    key.endsWith(".cut_code")
                            ? code -> CutCatalogue.get(code).code()
                            : meanings.getOrDefault(key, UnaryOperator.identity()));
        }

        private @Nullable String pointsAt(String key) {
            String table = references.get(key);
            return "account".equals(table) ? PERSON : table;
        }

        private ColumnType kind(String key, String type) {
            if (choices.containsKey(key)) {
                return ColumnType.CHOICE;
            }
            String name = type.replaceAll("[( ].*", "");
            return switch (name) {
                case "uuid" -> ColumnType.ID;
                case "char", "varchar", "text" -> ColumnType.TEXT;
                case "tinyint" -> ColumnType.TRUTH;
                case "date" -> ColumnType.DAY;
                case "datetime" -> ColumnType.MOMENT;
                case "decimal" -> ColumnType.DECIMAL;
                case "double" -> ColumnType.REAL;
                default -> ColumnType.WHOLE;
            };
        }

        ArchiveColumn column(String table, String name) {
            return columns.getOrDefault(table, List.of()).stream()
                    .filter(column -> column.name().equals(name))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("There is no " + table + "." + name));
        }

        ArchiveTable table(String name, String about, String where) {
            Map<String, String> fixed = new HashMap<>();
            List<ArchiveColumn> carried = new ArrayList<>();
            for (ArchiveColumn column : columns.getOrDefault(name, List.of())) {
                if (!NOT_CARRIED.contains(column.name())) {
                    carried.add(column);
                } else if (column.name().endsWith("version")) {
                    fixed.put(column.name(), "0");
                } else if (column.name().equals("jpeg")) {
                    fixed.put(column.name(), "''"); // follows by itself
                }
            }
            return new ArchiveTable(name, about, List.copyOf(carried), Map.of(), name + where, Map.copyOf(fixed));
        }
    }
}
