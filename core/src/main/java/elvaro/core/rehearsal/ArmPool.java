package elvaro.core.rehearsal;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;

/** Pieces that differ by luck alone, to draw the arms of a trial from as often as one likes. */
public final class ArmPool {
    private final List<Map<TrialMeasure, Double>> pieces;

    /**
     * @param like the piece they are all like
     * @param first number of the first of them in the house
     * @param count how many, 2 or more
     */
    public ArmPool(RehearsalPlan like, int first, int count) {
        pieces = IntStream.range(first, first + count)
                .mapToObj(number -> figures(like.piece(number, like.greenGrams(), like.method(), like.plannedDays())))
                .toList();
    }

    /** What a trial reads of a piece that a trusted hand saw through, as fractions of its green weight. */
    public static Map<TrialMeasure, Double> figures(RehearsalPlan plan) {
        Map<TrialMeasure, Double> all = new EnumMap<>(TrialMeasure.class);
        double green = plan.greenGrams();
        for (TrialMeasure measure :
                List.of(TrialMeasure.DISCARD, TrialMeasure.USABLE_YIELD, TrialMeasure.STEAK_YIELD)) {
            all.put(measure, 0.0);
        }
        for (HandWork.Done done : HandWork.of(plan)) {
            double share = done.grams() / green;
            if (done.kind() == LogFactKind.PULLED) {
                all.put(TrialMeasure.SHRINK, 1 - share);
            } else if (done.stream() == Stream.DISCARD) {
                all.put(TrialMeasure.DISCARD, share);
            } else if (done.stream() == Stream.STEAK) {
                all.merge(TrialMeasure.STEAK_YIELD, share, Double::sum);
                all.merge(TrialMeasure.USABLE_YIELD, share, Double::sum);
            } else if (done.stream() == Stream.USABLE_TRIM) {
                all.merge(TrialMeasure.USABLE_YIELD, share, Double::sum);
            }
        }
        return all;
    }

    double mean(TrialMeasure measure) {
        return pieces.stream()
                .mapToDouble(piece -> piece.get(measure))
                .average()
                .orElse(0);
    }

    /**
     * How often a trial would be sure, of many drawn anew; pieces that lie side by side are compared.
     *
     * @param arm the other arm's pieces
     * @param more added to each of the arm's figures
     * @param each pieces in an arm, 1 or more
     * @return 0 to 1
     */
    double shows(ArmPool arm, TrialMeasure measure, double more, int each, int trials, Random random) {
        int shown = 0;
        for (int trial = 0; trial < trials; trial++) {
            Effect effect =
                    Effect.of(drawn(measure, 0, each, random), arm.drawn(measure, more, each, random), measure.step());
            shown += effect.freedom() > 0 && effect.p() < Strength.SHOWN_LEVEL ? 1 : 0;
        }
        return (double) shown / trials;
    }

    private List<ArmValue> drawn(TrialMeasure measure, double more, int each, Random random) {
        List<ArmValue> values = new ArrayList<>();
        for (int block = 0; block < each; block++) {
            double figure = pieces.get(random.nextInt(pieces.size())).get(measure);
            values.add(new ArmValue("lot", "block " + block, figure + more));
        }
        return values;
    }
}
