package elvaro.core.trial;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How sure a trial may be of each thing it found. The measure that was named beforehand is tested at its level, its arms
 * among each other (Holm). Everything else was looked at because it was there: it is adjusted for all that was looked at, and
 * even then never called shown, but worth a trial of its own. Reference section 11.
 *
 * @param found what is judged
 * @param p adjusted
 * @param asked whether it is in the measure that was named beforehand
 */
public record Judgement(Found found, double p, boolean asked) {
    /**
     * An arm against the control in one measure.
     *
     * @param arm its number
     * @param p two-sided, by itself
     * @param repeated whether anything was done twice
     */
    public record Found(int arm, TrialMeasure measure, double p, boolean repeated) {}

    /** @return of what was asked first, then the rest, each in the order given */
    public static List<Judgement> of(TrialMeasure main, List<Found> all) {
        return Stream.of(true, false)
                .flatMap(asked -> family(
                        all.stream()
                                .filter(each -> (each.measure() == main) == asked)
                                .toList(),
                        asked))
                .toList();
    }

    /** What was done once has no p and makes nothing else less sure. */
    private static Stream<Judgement> family(List<Found> all, boolean asked) {
        List<Found> tested = all.stream().filter(Found::repeated).toList();
        List<Double> adjusted = Holm.adjusted(tested.stream().map(Found::p).toList());
        return Stream.concat(
                IntStream.range(0, tested.size())
                        .mapToObj(each -> new Judgement(tested.get(each), adjusted.get(each), asked)),
                all.stream().filter(each -> !each.repeated()).map(each -> new Judgement(each, 1, asked)));
    }

    /** Of what was asked; nothing that was seen beside it is more than not shown. */
    public Strength strength() {
        if (!found.repeated()) {
            return Strength.ANECDOTE;
        }
        return asked ? Strength.of(p) : Strength.NOT_SHOWN;
    }

    /** Whether something that was not asked is more than chance among all that was looked at. */
    public boolean standsOut() {
        return !asked && found.repeated() && p < Strength.SHOWN_LEVEL;
    }
}
