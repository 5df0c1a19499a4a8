package elvaro.server.reading;

import elvaro.core.air.TemperatureUnit;
import elvaro.core.logger.DayOrder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A logger's file as it would be taken in.
 *
 * @param columns by their heads
 * @param headLine the line of the heads, 0 where there is none
 * @param time the column of the moment, or of its day; columns count from 0
 * @param orderSure whether the file itself tells in which order it writes its days
 * @param kept lines that measured something
 * @param says what it holds, in sentences
 * @param first its first readings as they are understood
 * @param fault the first line that cannot be, in a sentence; nothing is taken in while there is one
 */
record LoggerPreview(
        List<String> columns,
        int headLine,
        int time,
        @Nullable Integer timeOfDay,
        @Nullable Integer temperature,
        @Nullable Integer humidity,
        @Nullable Integer speed,
        DayOrder order,
        boolean orderSure,
        TemperatureUnit unit,
        int kept,
        List<String> says,
        List<String> first,
        @Nullable String fault) {}
