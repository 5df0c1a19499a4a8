package elvaro.server.forecast;

import elvaro.core.plan.Outlook;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** One day of what was expected of a piece; shares of the green weight in millionths. */
record PlanDay(
        int day,
        int lost,
        int lostLeast,
        int lostMost,
        int steak,
        int steakLeast,
        int steakMost,
        int crust,
        @Nullable Integer costMinorPerKg) {
    private static final double MILLION = 1e6;

    static PlanDay of(Outlook.OutlookDay day) {
        return new PlanDay(
                day.day(),
                ppm(day.weight().lost()),
                ppm(day.weight().least()),
                ppm(day.weight().most()),
                ppm(day.section().steak()),
                ppm(day.steakLeast()),
                ppm(day.steakMost()),
                ppm(day.section().crust()),
                day.stop()
                        .costPerKg()
                        .map(cost -> (int) Math.round(Math.min(cost, Integer.MAX_VALUE)))
                        .orElse(null));
    }

    PiecePlanView view(int targetDays, int restsOnPieces, Instant madeAt) {
        return new PiecePlanView(
                targetDays,
                day,
                lost / MILLION,
                lostLeast / MILLION,
                lostMost / MILLION,
                steak / MILLION,
                steakLeast / MILLION,
                steakMost / MILLION,
                crust / MILLION,
                costMinorPerKg == null ? null : costMinorPerKg.doubleValue(),
                restsOnPieces,
                madeAt);
    }

    private static int ppm(double share) {
        return (int) Math.round(share * MILLION);
    }
}
