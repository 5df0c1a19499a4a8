package elvaro.server.reading;

import elvaro.core.air.TemperatureUnit;
import elvaro.core.logger.DayOrder;
import elvaro.core.logger.LoggerMapping;
import elvaro.server.shared.Refusal;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/**
 * How a logger's file is meant; columns count from 0.
 *
 * @param name of the file
 * @param headLine the line of the heads, 0 where there is none
 * @param time the moment, or its day; none while nothing is chosen yet
 * @param timeOfDay the time of the day where it stands by itself
 * @param order of a day whose numbers could mean several; none while nobody said
 * @param zone the clock of the logger, where a moment does not say
 * @param unit of temperatures, where neither the head nor a value says
 */
record LoggerForm(
        @NotBlank(message = "The file has no name.") @Size(max = 200, message = "The name of the file is too long.")
        String name,

        @Nullable @Min(0) @Max(LoggerFile.MOST_LINES) Integer headLine,
        @Nullable @Min(0) @Max(LoggerFile.MOST_COLUMNS) Integer time,
        @Nullable @Min(0) @Max(LoggerFile.MOST_COLUMNS) Integer timeOfDay,
        @Nullable @Min(0) @Max(LoggerFile.MOST_COLUMNS) Integer temperature,
        @Nullable @Min(0) @Max(LoggerFile.MOST_COLUMNS) Integer humidity,
        @Nullable @Min(0) @Max(LoggerFile.MOST_COLUMNS) Integer speed,
        @Nullable DayOrder order,
        @NotNull @Size(max = 60) String zone,
        @Nullable TemperatureUnit unit) {

    private ZoneId clock() {
        try {
            return ZoneId.of(zone);
        } catch (DateTimeException unknown) {
            throw Refusal.wrong("invalid", "zone", "There is no such time zone.");
        }
    }

    /** As it was chosen, or as it was guessed where nothing was. */
    LoggerMapping mapping(LoggerMapping guess) {
        if (time == null) {
            return new LoggerMapping(
                    guess.headLine(),
                    guess.time(),
                    guess.timeOfDay(),
                    guess.temperature(),
                    guess.humidity(),
                    guess.speed(),
                    order == null ? guess.order() : order,
                    clock(),
                    unit == null ? guess.unit() : unit);
        }
        return new LoggerMapping(
                headLine == null ? guess.headLine() : headLine,
                time,
                timeOfDay,
                temperature,
                humidity,
                speed,
                order == null ? guess.order() : order,
                clock(),
                unit == null ? guess.unit() : unit);
    }
}
