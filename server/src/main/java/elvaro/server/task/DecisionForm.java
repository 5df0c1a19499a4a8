package elvaro.server.task;

import elvaro.core.schedule.Agenda.TaskVerdict;
import elvaro.core.schedule.Work;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What somebody decides about a task.
 *
 * @param work and {@code plannedOn} name the task
 * @param movedTo the new day, for a task that is moved
 * @param reason why; needed for one that is skipped
 */
public record DecisionForm(
        @NotNull UUID pieceId,
        @NotNull Work work,
        @NotNull LocalDate plannedOn,
        @NotNull TaskVerdict verdict,
        @Nullable LocalDate movedTo,

        @NotNull @Size(max = 400, message = "The reason is too long.")
        String reason) {}
