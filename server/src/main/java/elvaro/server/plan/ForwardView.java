package elvaro.server.plan;

import elvaro.core.plan.Doubt;
import elvaro.core.plan.Outlook;
import elvaro.core.portion.Steaks;
import elvaro.core.working.Working;
import elvaro.core.yield.Section;
import elvaro.server.forecast.DayAhead;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What would become of a piece.
 *
 * @param celsius the air it was reckoned with
 * @param days every day from the hanging to a while past the target
 * @param target the day it is to be pulled
 * @param section the picture of it then
 * @param bestDay the day on which most is left over, where steaks have a price
 * @param steaks what its steaks would be; absent for what is not sliced
 * @param wholeInstead why a small piece loses so much, and what a whole one would lose
 * @param doubts what will not go well
 * @param setPointMiss how the chamber runs otherwise than it is set, absent where it does not or nobody measures
 * @param restsOnPieces finished pieces of the shop behind the forecast
 * @param restsOnBenches finished benches behind crust and steak
 */
public record ForwardView(
        double celsius,
        double humidityPercent,
        double metresPerSecond,
        List<CurveDay> days,
        DayAhead target,
        Section section,
        @Nullable Integer bestDay,
        @Nullable Steaks steaks,
        @Nullable String wholeInstead,
        List<Doubt> doubts,
        @Nullable String setPointMiss,
        int restsOnPieces,
        int restsOnBenches,
        List<Working> workings) {

    /**
     * A day of the curves; small, since a slider asks for all of them at every move.
     *
     * @param lost share of the green weight gone as water, with the ends of its band
     * @param crust share that would be crust and other lean trim
     * @param tenderness share of what ageing can give; absent where no rate is known
     * @param costPerKg of steak, minor units; absent where none is left
     */
    public record CurveDay(
            int day,
            double lost,
            double lostLeast,
            double lostMost,
            double crust,
            @Nullable Double tenderness,
            @Nullable Double costPerKg) {
        private static final double TEN_THOUSANDTH = 1e4;

        static CurveDay of(Outlook.OutlookDay day) {
            return new CurveDay(
                    day.day(),
                    rounded(day.weight().lost()),
                    rounded(day.weight().least()),
                    rounded(day.weight().most()),
                    rounded(day.section().crust()),
                    day.tenderness().map(CurveDay::rounded).orElse(null),
                    day.stop()
                            .costPerKg()
                            .map(cost -> (double) Math.round(cost))
                            .orElse(null));
        }

        private static double rounded(double share) {
            return Math.round(share * TEN_THOUSANDTH) / TEN_THOUSANDTH;
        }
    }
}
