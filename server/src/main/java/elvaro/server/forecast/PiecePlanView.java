package elvaro.server.forecast;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What was expected of a piece when it was hung. Shares are of the green weight.
 *
 * @param targetDays how long it was to hang
 * @param days the day this is of: that of the pull, the target while it hangs
 */
public record PiecePlanView(
        int targetDays,
        int days,
        double lost,
        double lostLeast,
        double lostMost,
        double steak,
        double steakLeast,
        double steakMost,
        double crust,
        @Nullable Double costPerKg,
        int restsOnPieces,
        Instant madeAt) {}
