package elvaro.server.forecast;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What was expected of a piece when it was hung, for the day it was to be pulled. Shares are of the green weight. */
public record PiecePlanView(
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
