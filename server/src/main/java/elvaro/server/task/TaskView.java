package elvaro.server.task;

import elvaro.core.schedule.Due.Work;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One task that lies ahead or is due.
 *
 * @param on the day it is to be done
 * @param plannedOn the day the plan put it, by which it is named; absent for a purchase
 * @param pieceId the piece, or absent for a purchase
 * @param planId the planned purchase, if it is one
 * @param words what exactly, where the work alone does not say
 */
public record TaskView(
        Work work,
        LocalDate on,
        @Nullable LocalDate plannedOn,
        @Nullable UUID pieceId,
        @Nullable UUID planId,
        String tag,
        String cutName,
        @Nullable String chamberName,
        @Nullable String words) {}
