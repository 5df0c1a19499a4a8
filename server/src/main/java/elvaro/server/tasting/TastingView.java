package elvaro.server.tasting;

import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.PanelPower;
import elvaro.core.tasting.TastingKind;
import elvaro.core.trial.Strength;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A tasting as the workshop sees it.
 *
 * @param mine whether the person who asks is its host
 * @param cautions about the core aimed at
 * @param plates what the kitchen lays, with the key; empty for everybody but the host until the reveal
 * @param result absent until the reveal
 */
record TastingView(
        UUID id,
        int version,
        String question,
        TastingKind kind,
        String kindLabel,
        TastingState state,
        @Nullable UUID trialId,
        String host,
        boolean mine,
        LocalDate heldOn,
        int rounds,
        List<Attribute> attributes,
        CookView cook,
        List<String> cautions,
        PanelPower power,
        List<SampleView> samples,
        List<PlaceView> places,
        List<PlateView> plates,
        List<String> weakenedBy,
        @Nullable ResultView result) {

    /**
     * How every sample is cooked.
     *
     * @param fireCelsius of bath, oven, grill or pan, as reckoned with
     * @param startCelsius of the meat as it is put on
     */
    record CookView(
            Heat heat,
            String heatLabel,
            double coreCelsius,
            double fireCelsius,
            double startCelsius,
            int restMinutes,
            String seasoning) {}

    /**
     * A sample.
     *
     * @param minutes over the fire; absent where only a thermometer tells
     * @param leastMinutes of the band, as {@code mostMinutes}
     * @param probed whether a probe put it right
     * @param probeMinutes after which a probe showed {@code probeCelsius} in this sample
     * @param startAfter minutes after the first one is started
     * @param turn in which it is started, from 1
     */
    record SampleView(
            UUID id,
            int version,
            String name,
            @Nullable UUID pieceId,
            Finish finish,
            int thicknessMm,
            boolean thawed,
            boolean sameSeasoning,
            @Nullable Double coreCelsius,
            int turn,
            @Nullable Double minutes,
            @Nullable Double leastMinutes,
            @Nullable Double mostMinutes,
            boolean probed,
            @Nullable Double probeMinutes,
            @Nullable Double probeCelsius,
            @Nullable Double startAfter) {}

    /**
     * A place at the table.
     *
     * @param arrived by round, whether a sheet was handed in
     * @param link path of the taster's page; the host's only, and gone with the reveal
     */
    record PlaceView(
            UUID id,
            int number,
            String name,
            List<Boolean> arrived,
            @Nullable String link) {}

    /** What stands before a taster in one round, in the order it is eaten. */
    record PlateView(int place, int round, List<PlateServing> servings) {}

    record PlateServing(int code, int sample) {}

    /**
     * What came of it.
     *
     * @param verdicts in words, what decides first
     * @param choices each taster's line where one was chosen or samples were ranked
     * @param pairs who likes which more, of paired preferences and rankings
     * @param scores by attribute, how far the samples lie apart
     * @param lines of every taster, to be drawn
     */
    record ResultView(
            List<SaidView> verdicts,
            List<ChoiceView> choices,
            List<PairView> pairs,
            @Nullable OddView odd,
            @Nullable RankingView ranking,
            List<ScoreView> scores,
            List<TasterLines> lines,
            List<NoteView> notes) {}

    /**
     * One sheet.
     *
     * @param picked the sample liked more, or thought the odd one
     * @param rightOdd whether the odd one was found
     * @param ranks by sample
     */
    record ChoiceView(
            String taster,
            int round,
            @Nullable Integer picked,
            @Nullable Boolean rightOdd,
            List<Integer> ranks,
            boolean knew,
            boolean typedIn) {}

    record PairView(
            int first,
            int second,
            int likedFirst,
            int likedSecond,
            int neither,
            double p,
            double adjustedP,
            double better,
            double low,
            double high) {}

    record OddView(int correct, int tries, double p, double low, double high) {}

    record RankingView(List<Double> rankSums, double statistic, double p, boolean exact) {}

    record ScoreView(Attribute attribute, List<ShiftView> shifts) {}

    /** First less second. */
    record ShiftView(
            int first, int second, double shift, double low, double high, double level, double p, Strength strength) {}

    record NoteView(String taster, int sample, String words) {}

    /** A tasting in a list. */
    record TastingLine(
            UUID id,
            String question,
            String kindLabel,
            TastingState state,
            LocalDate heldOn,
            List<String> samples,
            int tasters,
            int sheets,
            int sheetsAsked,
            List<SaidView> verdicts) {}
}
