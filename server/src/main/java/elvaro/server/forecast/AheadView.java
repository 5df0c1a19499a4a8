package elvaro.server.forecast;

import elvaro.core.cost.DayToStop;
import elvaro.core.forecast.Drift;
import elvaro.core.plan.OtherDay;
import elvaro.core.plan.Outlook;
import elvaro.core.working.Working;
import elvaro.server.piece.PieceState;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is expected of a piece.
 *
 * @param dayNow days since it was hung, to the minute
 * @param days every day from the hanging to a while past the target
 * @param now today
 * @param atTarget the day it is to be pulled
 * @param otherDays what a week longer costs and a day earlier keeps, a sentence each; none once it is pulled
 * @param bestDay the day on which most is left over, where steaks have a price
 * @param drift whether it dries otherwise than its own past says
 * @param driftAdvice likely causes and what to do
 * @param restsOnPieces finished pieces behind the forecast of its weight
 * @param restsOnBenches finished benches behind that of crust and steak
 */
public record AheadView(
        double dayNow,
        List<DayAhead> days,
        DayAhead now,
        DayAhead atTarget,
        List<String> otherDays,
        @Nullable Integer bestDay,
        Drift drift,
        @Nullable String driftAdvice,
        int restsOnPieces,
        int restsOnBenches,
        List<Working> workings) {
    private static final int BEYOND_TARGET = 21;
    private static final int WEEK = 7;

    private static List<String> otherDays(List<Outlook.OutlookDay> days, int grams, int own, int today) {
        List<String> sentences = new ArrayList<>();
        sentences.add(OtherDay.of(days, grams, own, own + WEEK).sentence());
        if (own > today) {
            sentences.add(OtherDay.of(days, grams, own, own - 1).sentence());
        }
        return sentences;
    }

    static AheadView of(Figures figures, Outlook outlook, double dayNow) {
        Ahead ahead = figures.ahead();
        int target = figures.piece().targetDays().orElse(0);
        int today = (int) Math.floor(Math.max(0, dayNow));
        List<Outlook.OutlookDay> all = outlook.days(Math.max(target, today) + BEYOND_TARGET);
        List<DayAhead> days = all.stream().map(day -> DayAhead.of(outlook, day)).toList();
        return new AheadView(
                dayNow,
                days,
                days.get(today),
                days.get(target),
                figures.piece().state() == PieceState.HANGING
                        ? otherDays(all, figures.piece().greenGrams(), Math.max(target, today), today)
                        : List.of(),
                DayToStop.best(all.stream().map(Outlook.OutlookDay::stop).toList())
                        .map(DayToStop.Stop::day)
                        .orElse(null),
                ahead == null ? Drift.NONE : ahead.drift(),
                ahead == null
                        ? null
                        : ahead.drift()
                                .advice(figures.piece().method().orElseThrow())
                                .orElse(null),
                outlook.forecast().belief().pieces(),
                ahead == null ? 0 : ahead.taught().benches(),
                outlook.workings(all.get(target)));
    }
}
