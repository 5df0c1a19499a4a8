package elvaro.core.logger;

import elvaro.core.table.MonthName;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A moment as a logger wrote it: a day and a time with or without an offset, or seconds or milliseconds since 1970.
 *
 * @param local by the logger's own clock
 * @param offset what it says of its clock itself, if it does
 */
public record MomentText(LocalDateTime local, @Nullable ZoneOffset offset) {
    private static final int CENTURY = 2000;
    private static final int FOUR_DIGITS = 1000;
    private static final int NOON = 12;

    private static final String DAY =
            "(?:(\\d{1,4})[-/. ]\\s?(\\d{1,2}|\\p{L}{3,9}\\.?)[-/., ]\\s?(\\d{2,4})|(\\d{4})(\\d{2})(\\d{2})"
                    + "|(\\p{L}{3,9})\\.? (\\d{1,2}),? (\\d{4}))";
    private static final String TIME =
            "(\\d{1,2})[:.h](\\d{2})(?:[:.](\\d{2})(?:[.,]\\d{1,9})?)?(?: ?([AaPp])\\.? ?[Mm]\\.?)?";
    private static final String COMPACT_TIME = "(\\d{2})(\\d{2})(\\d{2})?";
    private static final String OFFSET = " ?(?:Z|UTC|GMT|(?:UTC|GMT)? ?([+-])(\\d{1,2})(?::?(\\d{2}))?)";
    private static final Pattern WHOLE =
            Pattern.compile(DAY + "(?:T|,? | - |_)(?:" + TIME + "|" + COMPACT_TIME + ")(" + OFFSET + ")?");
    private static final Pattern DAY_ALONE = Pattern.compile(DAY);
    private static final Pattern TIME_ALONE = Pattern.compile(TIME + "(?:" + OFFSET + ")?");
    private static final Pattern WEEKDAY = Pattern.compile("^(\\p{L}{2,10})\\.?,? (?=\\d|\\p{L})");
    private static final Pattern SECONDS = Pattern.compile("(\\d{9,10})(?:[.,]\\d+)?");
    private static final Pattern MILLISECONDS = Pattern.compile("\\d{12,13}");

    /** @return nothing if it is no moment, or none in this order */
    public static Optional<MomentText> of(String text, DayOrder order) {
        String plain = plain(text);
        try {
            if (SECONDS.matcher(plain).matches()) {
                return Optional.of(counted(Long.parseLong(plain.split("[.,]")[0])));
            }
            if (MILLISECONDS.matcher(plain).matches()) {
                return Optional.of(counted(Math.floorDiv(Long.parseLong(plain), 1000L)));
            }
            Matcher whole = WHOLE.matcher(plain);
            return whole.matches()
                    ? day(whole, order).map(day -> new MomentText(day.atTime(time(whole)), offset(whole)))
                    : Optional.empty();
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** Whether a column holds the day of a moment whose time stands in another. */
    public static boolean isDay(String text) {
        return DAY_ALONE.matcher(plain(text)).matches();
    }

    /** Whether a column holds the time of a moment whose day stands in another. */
    public static boolean isTime(String text) {
        return TIME_ALONE.matcher(plain(text)).matches();
    }

    private static String plain(String text) {
        String plain = text.strip().replaceAll("[\\s\\u00a0\\u202f]+", " ");
        Matcher weekday = WEEKDAY.matcher(plain);
        return weekday.find() && MonthName.of(weekday.group(1)).isEmpty() ? plain.substring(weekday.end()) : plain;
    }

    private static MomentText counted(long seconds) {
        return new MomentText(LocalDateTime.ofInstant(Instant.ofEpochSecond(seconds), ZoneOffset.UTC), ZoneOffset.UTC);
    }

    private static Optional<LocalDate> day(Matcher whole, DayOrder order) {
        if (whole.group(4) != null) {
            return Optional.of(day(whole.group(4), whole.group(5), whole.group(6)));
        }
        if (whole.group(7) != null) {
            return Optional.of(day(whole.group(9), whole.group(7), whole.group(8)));
        }
        String first = whole.group(1);
        String second = whole.group(2);
        String third = whole.group(3);
        if (first.length() == 4) {
            return Optional.of(day(first, second, third));
        }
        if (first.length() > 2 || third.length() == 3) {
            return Optional.empty();
        }
        if (Character.isLetter(second.charAt(0))) {
            return Optional.of(day(third, second, first));
        }
        return switch (order) {
            case DAY_FIRST -> Optional.of(day(third, second, first));
            case MONTH_FIRST -> Optional.of(day(third, first, second));
            case YEAR_FIRST -> third.length() == 4 ? Optional.empty() : Optional.of(day(first, second, third));
        };
    }

    private static LocalDate day(String year, String month, String day) {
        int number = Integer.parseInt(year);
        int named = Character.isDigit(month.charAt(0))
                ? Integer.parseInt(month)
                : MonthName.of(month).orElseThrow(() -> new DateTimeException(month));
        return LocalDate.of(number < FOUR_DIGITS ? CENTURY + number : number, named, Integer.parseInt(day));
    }

    private static LocalTime time(Matcher whole) {
        if (whole.group(14) != null) {
            return LocalTime.of(
                    Integer.parseInt(whole.group(14)), Integer.parseInt(whole.group(15)), number(whole.group(16)));
        }
        int hour = Integer.parseInt(whole.group(10));
        String half = whole.group(13);
        if (half != null) {
            if (hour < 1 || hour > NOON) {
                throw new DateTimeException(half);
            }
            hour = hour % NOON + (half.equalsIgnoreCase("p") ? NOON : 0);
        }
        return LocalTime.of(hour, Integer.parseInt(whole.group(11)), number(whole.group(12)));
    }

    private static @Nullable ZoneOffset offset(Matcher whole) {
        if (whole.group(17) == null) {
            return null;
        }
        int minutes = number(whole.group(19)) * 60 + number(whole.group(20));
        return ZoneOffset.ofTotalSeconds(("-".equals(whole.group(18)) ? -1 : 1) * minutes * 60);
    }

    private static int number(@Nullable String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
