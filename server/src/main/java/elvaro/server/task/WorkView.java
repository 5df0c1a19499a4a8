package elvaro.server.task;

import elvaro.core.ledger.LogFact;
import elvaro.core.schedule.Work;
import elvaro.server.task.WorkItem.Subject;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One thing to do, as it is shown.
 *
 * @param label what to do, in a word
 * @param done what is said by touching it, where the touch is all there is to say
 * @param logs what a touch writes into the log, where it writes anything
 * @param days for how long it has been due, 0 on its day; below 0 it lies ahead
 * @param on the day it is to be done
 * @param plannedOn the day the plan put it, by which a task is named
 * @param words how long it has been due, or what exactly
 * @param reason why it is to be done
 * @param at where it is done, as an address within the application
 */
public record WorkView(
        Work work,
        String label,
        @Nullable String done,
        LogFact.@Nullable LogFactKind logs,
        Work.WorkPlace place,
        long days,
        LocalDate on,
        @Nullable LocalDate plannedOn,
        Subject subject,
        String words,
        String reason,
        String at) {

    public static WorkView of(WorkItem item, LocalDate today) {
        Work work = item.work();
        return new WorkView(
                work,
                work.label(),
                work.done().orElse(null),
                work.logs().orElse(null),
                work.place(),
                item.due().days(today),
                item.on(),
                item.due().plannedOn().orElse(null),
                item.subject(),
                item.words(today),
                work.reason(),
                item.at());
    }
}
