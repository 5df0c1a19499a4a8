package elvaro.core.schedule;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** Days as the trade counts them. */
public final class DayNumber {
    private DayNumber() {}

    /**
     * Days hung: 0 on the day of hanging.
     *
     * @throws IllegalArgumentException if the day lies before the hanging
     */
    public static long of(LocalDate hungOn, LocalDate today) {
        long day = ChronoUnit.DAYS.between(hungOn, today);
        if (day < 0) {
            throw new IllegalArgumentException("The piece was not hung yet on " + today);
        }
        return day;
    }
}
