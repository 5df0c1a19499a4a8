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
public record Task(Due.Work work, LocalDate on) {
    private static final int TURN_DAY = 7;
    private static final int WEEK = 7;

    /** A sticky face hides mould: it is looked at so often. Common practice, no source. */
    private static final int STICKY_DAYS = 3;

    /** Melt water is drained and ice renewed this often (EST, until the heat balance of the chest is known). */
    private static final int ICE_DAYS = 2;

    /**
     * All the work of one piece from its hanging to its pull. Weigh on days 1, 3 and 7, then weekly; turn once after a week;
     * look weekly; change ice every second day. Reference section 8; common practice, no source.
     *
     * @param method how it is aged: what lies on ice or in a vacuum bag is not weighed for its shrink
     * @param coating what is on it: sugar is looked at every three days
     * @param hungOn day 0
     * @param targetDays when it is pulled, 1 or more
     */
    public static List<Task> of(Method method, Coating coating, LocalDate hungOn, int targetDays) {
        int lookDays = coating == Coating.SYRUP ? STICKY_DAYS : WEEK;
        List<Task> tasks = new ArrayList<>();
        for (int day = 1; day < targetDays; day++) {
            LocalDate on = hungOn.plusDays(day);
            if (Due.isWeighingDay(day)) {
                tasks.add(new Task(Due.Work.WEIGH, on));
            }
            if (day == TURN_DAY && method != Method.ON_ICE && method != Method.VACUUM) {
                tasks.add(new Task(Due.Work.TURN, on));
            }
            if (day % lookDays == 0) {
                tasks.add(new Task(Due.Work.LOOK, on));
            }
            if (method == Method.ON_ICE && day % ICE_DAYS == 0) {
                tasks.add(new Task(Due.Work.CHANGE_ICE, on));
            }
        }
        tasks.add(new Task(Due.Work.PULL, hungOn.plusDays(targetDays)));
        return tasks;
    }
}
