package elvaro.core.schedule;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.Optional;

/**
 * One thing that needs a person, due or coming.
 *
 * @param work what to do
 * @param on the day it is to be done
 * @param plannedOn the day the plan put it, by which a task is named; empty for work that follows from no plan
 */
public record Due(Work work, LocalDate on, Optional<LocalDate> plannedOn) {
    /** The most urgent first: pulls before benches before weighings, the longest overdue first within each. */
    public static final Comparator<Due> BY_URGENCY =
            Comparator.comparing(Due::work).thenComparing(Due::on);

    /** What follows from no plan. */
    public static Due since(Work work, LocalDate on) {
        return new Due(work, on, Optional.empty());
    }

    /** For how many days it has been due; 0 on its day, below 0 before. */
    public long days(LocalDate today) {
        return ChronoUnit.DAYS.between(on, today);
    }

    /** The day it stands on: what is past its own stands on today until it is done. */
    public LocalDate standsOn(LocalDate today) {
        return on.isBefore(today) ? today : on;
    }

    /** Whether it is put before people today. */
    public boolean isShown(LocalDate today) {
        return !on.isAfter(today.plusDays(work.noticeDays()));
    }
}
