package elvaro.core.logger;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.number;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.logger.LoggerReader.Outcome;
import elvaro.core.logger.LoggerSpan.Gap;
import elvaro.core.logger.LoggerSpan.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a logger's file holds, in sentences. */
public final class LoggerWords {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    private LoggerWords() {}

    /** @param zone the clock of the logger */
    public static List<String> of(Outcome outcome, Optional<Span> span, ZoneId zone) {
        List<String> sentences = new ArrayList<>();
        sentences.add(span.map(all -> "%s from %s to %s%s."
                        .formatted(
                                counted(outcome.kept(), "reading"),
                                moment(all.first(), zone),
                                moment(all.last(), zone),
                                all.step().isZero() ? "" : ", one every " + length(all.step())))
                .orElse("No reading in these columns."));
        span.map(Span::gaps).filter(gaps -> !gaps.isEmpty()).ifPresent(gaps -> sentences.add(gaps(gaps, zone)));
        if (outcome.empty() > 0) {
            sentences.add("%s with a moment and no value.".formatted(counted(outcome.empty(), "line")));
        }
        if (outcome.leftOut() > 0) {
            sentences.add("%s left out as no reading, the first is line %d."
                    .formatted(counted(outcome.leftOut(), "line"), outcome.firstLeftOut()));
        }
        return List.copyOf(sentences);
    }

    private static String gaps(List<Gap> gaps, ZoneId zone) {
        Gap longest = gaps.get(0);
        return "%s; %s %s from %s."
                .formatted(
                        counted(gaps.size(), "gap"),
                        gaps.size() == 1 ? "it lasts" : "the longest lasts",
                        length(longest.length()),
                        moment(longest.from(), zone));
    }

    /** A reading as it was understood. */
    public static String reading(
            Instant at, OptionalDouble celsius, OptionalDouble humidity, OptionalDouble speed, ZoneId zone) {
        List<String> values = new ArrayList<>();
        celsius.ifPresent(value -> values.add(temperature(value)));
        humidity.ifPresent(value -> values.add(number(value, 1) + " % RH"));
        speed.ifPresent(value -> values.add(number(value, 2) + " m/s"));
        return "%s: %s".formatted(moment(at, zone), String.join(", ", values));
    }

    private static String moment(Instant at, ZoneId zone) {
        LocalDateTime local = LocalDateTime.ofInstant(at, zone);
        return date(local.toLocalDate()) + " " + TIME.format(local);
    }

    private static String length(Duration length) {
        if (length.toMinutes() < 2) {
            return counted(length.toSeconds(), "second");
        }
        if (length.toHours() < 2) {
            return counted(length.toMinutes(), "minute");
        }
        return length.toDays() < 2 ? counted(length.toHours(), "hour") : counted(length.toDays(), "day");
    }

    private static String counted(long count, String what) {
        return count == 1 ? "1 " + what : "%s %ss".formatted(number(count, 0), what);
    }
}
