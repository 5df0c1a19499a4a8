package elvaro.server.compare;

import elvaro.core.compare.GroupEffects.Adjusted;
import elvaro.core.compare.ShrinkCurve;
import elvaro.core.ledger.Stream;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.tasting.PreferenceScores.Liked;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What the finished pieces asked about say.
 *
 * @param shop how many finished pieces there are at all
 * @param pieces how many were asked about
 * @param reference the group the others are held against; empty where there is none
 * @param caveats what weakens it, in words
 * @param dots single pieces, the last hung first; not all where there are very many
 * @param facets what can be asked for, with how many pieces have it
 */
record EvidenceView(
        int shop,
        int pieces,
        Factor by,
        TrialMeasure measure,
        String reference,
        List<GroupView> groups,
        @Nullable ModelView model,
        List<String> caveats,
        List<DotView> dots,
        List<FacetView> facets) {

    /**
     * A group.
     *
     * @param measure mean of what is asked, unadjusted: a fraction of green, or minor units a kg
     * @param went shares of the green weight of all its pieces together
     * @param effect against the reference at the same days and size; of the cost a ratio less 1
     * @param curve shrink against days; absent for few pieces
     */
    record GroupView(
            String name,
            int pieces,
            double meanDays,
            double measure,
            Went went,
            @Nullable Double costMinorPerKg,
            @Nullable Adjusted effect,
            @Nullable CurveView curve) {}

    /** How shrink goes with the days in a group, drawn from its fewest to its most. */
    record CurveView(int pieces, double sd, List<ShrinkCurve.Point> points) {
        static CurveView of(ShrinkCurve curve) {
            return new CurveView(curve.pieces(), curve.sd(), curve.points());
        }
    }

    /** Where the weight went; shares that add up to 1 but for what nobody found. */
    record Went(double shrink, Map<Stream, Double> piles, double withdrawn) {}

    /** The table of the linear model, as any statistics program prints it. */
    record ModelView(
            List<TermView> terms, List<String> dropped, int pieces, int freedom, double residualSd, double explained) {}

    record TermView(String name, double estimate, double error, double t, double p, double low, double high) {}

    /**
     * A piece.
     *
     * @param beatenBy the tag of a piece that is liked as much and costs no more; absent on the front, and where it met none
     */
    record DotView(
            UUID id,
            String tag,
            String cut,
            String group,
            LocalDate pulledOn,
            int days,
            int greenGrams,
            double shrink,
            double steakYield,
            @Nullable Double costMinorPerKg,
            @Nullable Liked liked,
            @Nullable String beatenBy) {}

    /** One thing that can be asked for, as {@code supplier}, with its values. */
    record FacetView(String name, List<FacetValue> values) {}

    record FacetValue(String value, String label, int pieces) {}
}
