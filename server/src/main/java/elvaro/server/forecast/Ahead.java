package elvaro.server.forecast;

import elvaro.core.air.Climate;
import elvaro.core.forecast.Drift;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.core.yield.TrimModel;
import java.util.List;
import java.util.function.Supplier;

/**
 * What is expected of one piece.
 *
 * @param forecast of its weight
 * @param daily the forecast on each day from the hanging on, as far as it is usually asked for
 * @param trimModel how it would be cut here
 * @param taught what the shop's finished pieces have to say about it
 * @param climate the air it hangs in, recorded and set; made when it is asked for, as it is long
 * @param observed its weighings, as the forecast sees them
 * @param drift whether it dries otherwise than its own past says
 */
public record Ahead(
        Forecast forecast,
        List<Forecast.Day> daily,
        TrimModel trimModel,
        ShopLessons taught,
        Supplier<Climate> climate,
        List<Observed> observed,
        Drift drift) {

    /** The forecast at a moment, straight between whole days: the curve bends little within one. */
    public Forecast.Day at(double day) {
        int whole = (int) Math.floor(Math.max(0, day));
        if (whole + 1 >= daily.size()) {
            return forecast.on(Math.max(0, day));
        }
        Forecast.Day before = daily.get(whole);
        Forecast.Day after = daily.get(whole + 1);
        double part = Math.max(0, day) - whole;
        return new Forecast.Day(
                day,
                between(before.lost(), after.lost(), part),
                between(before.least(), after.least(), part),
                between(before.most(), after.most(), part),
                between(before.sd(), after.sd(), part));
    }

    private static double between(double from, double to, double part) {
        return from + (to - from) * part;
    }
}
