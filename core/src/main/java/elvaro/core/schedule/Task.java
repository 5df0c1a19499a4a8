package elvaro.core.schedule;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * Something the plan of a piece asks for on a day.
 *
 * @param work what to do
 * @param on the day the plan puts it
 */
public record Task(Work work, LocalDate on) {
    /** Weigh on days 1, 3 and 7, then weekly. Common practice, no source. */
    private static final List<Integer> FIRST_WEIGHINGS = List.of(1, 3, 7);

    private static final int TURN_DAY = 7;
    private static final int WEEK = 7;

    /** A sticky face hides mould: it is looked at so often. Common practice, no source. */
    private static final int STICKY_DAYS = 3;

    /**
     * All the work of one piece from its hanging to its pull. Weigh on days 1, 3 and 7, then weekly; turn once after a week;
     * look weekly. Reference section 8; common practice, no source.
     *
     * @param care what lies on ice is drained and topped up instead of weighed and turned: it does not dry
     * @param hungOn day 0
     * @param targetDays when it is pulled, 1 or more
     */
    public static List<Task> of(Care care, LocalDate hungOn, int targetDays) {
        boolean iced = care.method() == Method.ON_ICE;
        int lookDays = care.coating() == Coating.SYRUP ? STICKY_DAYS : WEEK;
        List<Task> tasks = new ArrayList<>();
        for (int day = 1; day < targetDays; day++) {
            LocalDate on = hungOn.plusDays(day);
            if (!iced && isWeighingDay(day)) {
                tasks.add(new Task(Work.WEIGH, on));
            }
            if (day == TURN_DAY && !iced && !care.hungFree() && care.method() != Method.VACUUM) {
                tasks.add(new Task(Work.TURN, on));
            }
            if (day % lookDays == 0) {
                tasks.add(new Task(Work.LOOK, on));
            }
            if (iced && day % care.iceDays() == 0) {
                tasks.add(new Task(Work.CHANGE_ICE, on));
            }
        }
        tasks.add(new Task(Work.PULL, hungOn.plusDays(targetDays)));
        return tasks;
    }

    private static boolean isWeighingDay(int day) {
        return FIRST_WEIGHINGS.contains(day) || (day > WEEK && day % WEEK == 0);
    }
}
