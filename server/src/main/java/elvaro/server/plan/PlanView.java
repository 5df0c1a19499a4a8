package elvaro.server.plan;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A planned purchase as it is shown. */
public record PlanView(
        PlanForm form,
        PlanState state,
        String cutName,
        String chamberName,
        @Nullable UUID lotId) {}
