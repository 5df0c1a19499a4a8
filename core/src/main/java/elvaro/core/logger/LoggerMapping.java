package elvaro.core.logger;

import elvaro.core.air.TemperatureUnit;
import elvaro.core.table.TableRow;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/**
 * What in a logger's file is what; columns count from 0.
 *
 * @param headLine the line of the heads, 0 where there is none
 * @param time the moment, or its day
 * @param timeOfDay the time of the day where it stands by itself
 * @param order of a day whose numbers could mean several
 * @param zone the clock of the logger, where a moment does not say
 * @param unit of temperatures, where a value does not say
 */
public record LoggerMapping(
        int headLine,
        int time,
        @Nullable Integer timeOfDay,
        @Nullable Integer temperature,
        @Nullable Integer humidity,
        @Nullable Integer speed,
        DayOrder order,
        ZoneId zone,
        TemperatureUnit unit) {

    /** @return the text of a row's moment */
    public String moment(TableRow row) {
        return timeOfDay == null ? row.cell(time) : (row.cell(time) + " " + row.cell(timeOfDay)).strip();
    }

    public LoggerMapping in(DayOrder other) {
        return new LoggerMapping(headLine, time, timeOfDay, temperature, humidity, speed, other, zone, unit);
    }
}
