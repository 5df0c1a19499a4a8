package elvaro.server.plan;

import elvaro.core.plan.Doubt;
import elvaro.core.portion.Steaks;
import elvaro.core.working.Working;
import elvaro.core.yield.Section;
import elvaro.server.piece.DayAhead;
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
 * @param restsOnPieces finished pieces of the shop behind the forecast
 * @param restsOnBenches finished benches behind crust and steak
 */
public record ForwardView(
        double celsius,
        double humidityPercent,
        double metresPerSecond,
        List<DayAhead> days,
        DayAhead target,
        Section section,
        @Nullable Integer bestDay,
        @Nullable Steaks steaks,
        @Nullable String wholeInstead,
        List<Doubt> doubts,
        int restsOnPieces,
        int restsOnBenches,
        List<Working> workings) {}
