package elvaro.server.forecast;

import elvaro.core.forecast.Forecast;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * When a shrink is reached.
 *
 * @param lost the shrink asked for, share of the green weight
 * @param earliest the day the upper end of the band reaches it
 * @param latest the day the lower end does; absent where it never does
 */
public record ReachView(
        double lost,
        LocalDate expected,
        LocalDate earliest,
        @Nullable LocalDate latest) {

    public static ReachView of(LocalDate hungOn, double lost, Forecast.Reached reached) {
        return new ReachView(
                lost,
                day(hungOn, reached.expected()),
                day(hungOn, reached.earliest()),
                reached.latest().map(latest -> day(hungOn, latest)).orElse(null));
    }

    private static LocalDate day(LocalDate hungOn, double days) {
        return hungOn.plusDays((long) Math.ceil(days));
    }
}
