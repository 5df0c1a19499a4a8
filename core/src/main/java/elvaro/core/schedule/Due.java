package elvaro.core.schedule;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One thing that needs a person.
 *
 * @param work what to do
 * @param days how many days it has been due, 0 for today
 * @param plannedOn the day the plan put it, by which a task is named; empty for work that follows from no plan
 */
public record Due(Work work, long days, Optional<LocalDate> plannedOn) {
    /** The most urgent first: pulls before benches before weighings, the longest overdue first within each. */
    public static final Comparator<Due> BY_URGENCY =
            Comparator.comparing(Due::work).thenComparing(Due::days, Comparator.reverseOrder());

    /** Weigh on days 1, 3 and 7, then weekly. Common practice, no source. */
    private static final List<Integer> FIRST_WEIGHINGS = List.of(1, 3, 7);

    /** What a person is asked to do, most urgent first. */
    public enum Work {
        /** A look that said stop: what is bad is still there. */
        STOP,
        PULL_OVERDUE,
        PULL,
        /** Air that was too warm, or a probe that fell silent. */
        DECIDE,
        /** A membrane that leaks: reseal or rewrap. */
        RESEAL,
        /** What smelled faintly acid: unwrap, a day in the cold. */
        REST,
        /** Folds and cuts: trim them even. */
        TRIM,
        /** A step of a treatment. */
        TREAT,
        CUT,
        /** A purchase that was planned. */
        BUY,
        /** A lot that came in and hangs nowhere yet. */
        HANG,
        CHANGE_ICE,
        WEIGH,
        TURN,
        LOOK
    }

    /** Whether the plan has a weighing on this day of the hanging. */
    static boolean isWeighingDay(int day) {
        return FIRST_WEIGHINGS.contains(day) || (day > 7 && day % 7 == 0);
    }

    /**
     * Days hung: 0 on the day of hanging.
     *
     * @throws IllegalArgumentException if the day lies before the hanging
     */
    public static long dayNumber(LocalDate hungOn, LocalDate today) {
        long day = ChronoUnit.DAYS.between(hungOn, today);
        if (day < 0) {
            throw new IllegalArgumentException("The piece was not hung yet on " + today);
        }
        return day;
    }
}
