package elvaro.server.exchange;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * One column of a table that is carried: what may stand in it, and how it is read from the database and from an archive.
 *
 * @param name as in the database; figures have their unit in it
 * @param optional whether nothing may stand there
 * @param most of a text its characters, of a figure the figure itself
 * @param scale of a decimal, its places
 * @param choices of a choice
 * @param pointsAt the table whose rows it names, null where it names none
 * @param meaning throws where a text is no such text as the entity reads from it
 */
record ArchiveColumn(
        String name,
        ColumnType kind,
        boolean optional,
        long least,
        long most,
        int scale,
        List<String> choices,
        @Nullable String pointsAt,
        UnaryOperator<String> meaning) {

    /** What stands in a column. */
    enum ColumnType {
        ID,
        TEXT,
        CHOICE,
        WHOLE,
        DECIMAL,
        REAL,
        TRUTH,
        /** A date, ISO 8601. */
        DAY,
        /** An instant in UTC, ISO 8601, to the microsecond. */
        MOMENT
    }

    private static final int FIRST_YEAR = 1970;
    private static final int LAST_YEAR = 2200;
    private static final int NANOS_PER_MICRO = 1000;
    private static final String MICROS = "000000";
    private static final int DAY_END = "2026-01-31".length();
    private static final int SECONDS_END = "2026-01-31 12:00:00".length();

    /** The largest whole number that programs keep which have no others than IEEE 754 doubles. */
    private static final long LARGEST_KEPT = 1L << 53;

    /** Whether its figures are told as text, so that no program rounds them. */
    boolean isToldAsText() {
        return kind == ColumnType.WHOLE && most > LARGEST_KEPT;
    }

    /** Names a row of another table. */
    static ArchiveColumn reference(String name, String table) {
        return new ArchiveColumn(name, ColumnType.ID, false, 0, 0, 0, List.of(), table, UnaryOperator.identity());
    }

    static ArchiveColumn moment(String name) {
        return new ArchiveColumn(name, ColumnType.MOMENT, false, 0, 0, 0, List.of(), null, UnaryOperator.identity());
    }

    /** A figure with two places that may be missing. */
    static ArchiveColumn hundredths(String name, int least, int most) {
        return new ArchiveColumn(
                name, ColumnType.DECIMAL, true, least, most, 2, List.of(), null, UnaryOperator.identity());
    }

    /** From the database: a text, Long, BigDecimal, Double, Boolean or LocalDate; a moment is a text, as it is written. */
    @Nullable
    Object value(ResultSet row, int index) throws SQLException {
        Object value = switch (kind) {
            case ID, TEXT, CHOICE -> row.getString(index);
            case WHOLE -> row.getLong(index);
            case DECIMAL -> row.getBigDecimal(index);
            case REAL -> row.getDouble(index);
            case TRUTH -> row.getBoolean(index);
            case DAY -> row.getObject(index, LocalDate.class);
            case MOMENT -> written(row.getString(index));
        };
        return row.wasNull() ? null : value;
    }

    /** How it is asked for: a moment as a text, since to make it one here took half the time of reading an archive's rows. */
    String asked(String expression) {
        return kind == ColumnType.MOMENT ? "cast(%s as char)".formatted(expression) : expression;
    }

    /** A moment of the database, {@code 2026-01-31 12:00:00.120000}, as {@link Instant} writes it: with no, three or six places. */
    private static @Nullable String written(@Nullable String moment) {
        if (moment == null) {
            return null;
        }
        String places = moment.length() > SECONDS_END ? moment.substring(SECONDS_END + 1) : "";
        String micros = places.length() == MICROS.length() ? places : (places + MICROS).substring(0, MICROS.length());
        int shown = micros.equals(MICROS) ? 0 : micros.endsWith("000") ? 3 : 6;
        String fraction = shown == 0 ? "" : '.' + micros.substring(0, shown);
        return moment.substring(0, DAY_END) + 'T' + moment.substring(DAY_END + 1, SECONDS_END) + fraction + 'Z';
    }

    /**
     * From an archive, at the value's token.
     *
     * @throws IllegalArgumentException with a sentence, if such a value cannot stand here
     */
    @Nullable
    Object read(JsonParser json) {
        JsonToken token = json.currentToken();
        if (token == JsonToken.VALUE_NULL) {
            if (!optional) {
                throw new IllegalArgumentException("%s is missing.".formatted(name));
            }
            return null;
        }
        return switch (kind) {
            case ID -> id(text(json));
            case TEXT -> text(json);
            case CHOICE -> choice(text(json));
            case WHOLE -> whole(json);
            case DECIMAL -> decimal(json);
            case REAL -> real(json);
            case TRUTH -> truth(token);
            case DAY -> day(text(json));
            case MOMENT -> moment(text(json), name);
        };
    }

    private String text(JsonParser json) {
        if (json.currentToken() != JsonToken.VALUE_STRING) {
            throw new IllegalArgumentException("%s is no text.".formatted(name));
        }
        String text = json.getString();
        if (kind == ColumnType.TEXT) {
            if (text.codePointCount(0, text.length()) > most) {
                throw new IllegalArgumentException("%s is longer than %d characters.".formatted(name, most));
            }
            try {
                meaning.apply(text);
            } catch (RuntimeException unreadable) {
                throw new IllegalArgumentException("%s cannot be read.".formatted(name));
            }
        }
        return text;
    }

    private String id(String text) {
        String canonical;
        try {
            canonical = UUID.fromString(text).toString();
        } catch (IllegalArgumentException none) {
            canonical = "";
        }
        if (!canonical.equals(text)) {
            throw new IllegalArgumentException("%s is no id.".formatted(name));
        }
        return text;
    }

    private String choice(String text) {
        if (!choices.contains(text)) {
            throw new IllegalArgumentException("%s cannot be “%.40s”.".formatted(name, text));
        }
        return text;
    }

    private Long whole(JsonParser json) {
        if (json.currentToken() == JsonToken.VALUE_NUMBER_INT) {
            var value = json.getBigIntegerValue();
            if (value.bitLength() < Long.SIZE && value.longValue() >= least && value.longValue() <= most) {
                return value.longValue();
            }
        }
        throw new IllegalArgumentException("%s is no whole number from %d to %d.".formatted(name, least, most));
    }

    private BigDecimal decimal(JsonParser json) {
        if (json.currentToken().isNumeric()) {
            BigDecimal value = json.getDecimalValue();
            boolean fits =
                    value.precision() - value.scale() <= String.valueOf(most).length()
                            && value.stripTrailingZeros().scale() <= scale;
            if (fits && value.doubleValue() >= least && value.doubleValue() <= most) {
                return value;
            }
        }
        throw new IllegalArgumentException(
                "%s is no number from %d to %d with at most %d places.".formatted(name, least, most, scale));
    }

    private Double real(JsonParser json) {
        if (!json.currentToken().isNumeric() || !Double.isFinite(json.getDoubleValue()) || json.getDoubleValue() < 0) {
            throw new IllegalArgumentException("%s is no number from 0.".formatted(name));
        }
        return json.getDoubleValue();
    }

    private Boolean truth(JsonToken token) {
        if (!token.isBoolean()) {
            throw new IllegalArgumentException("%s is neither true nor false.".formatted(name));
        }
        return token == JsonToken.VALUE_TRUE;
    }

    private LocalDate day(String text) {
        try {
            LocalDate day = LocalDate.parse(text);
            if (day.getYear() >= FIRST_YEAR && day.getYear() < LAST_YEAR) {
                return day;
            }
        } catch (DateTimeException none) {
            // said below
        }
        throw new IllegalArgumentException("%s is no day such as 2026-01-31.".formatted(name));
    }

    /** An instant between 1970 and 2200. */
    static Instant moment(String text, String name) {
        try {
            Instant moment = Instant.parse(text);
            int year = moment.atOffset(ZoneOffset.UTC).getYear();
            if (year >= FIRST_YEAR && year < LAST_YEAR && moment.getNano() % NANOS_PER_MICRO == 0) {
                return moment;
            }
        } catch (DateTimeException none) {
            // said below
        }
        throw new IllegalArgumentException("%s is no moment such as 2026-01-31T12:00:00Z.".formatted(name));
    }
}
