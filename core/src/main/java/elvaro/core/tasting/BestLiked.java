package elvaro.core.tasting;

import elvaro.core.trial.Holm;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Which of several plates more tasters liked better than each other one, if there is one (M. de Condorcet, 1785).
 *
 * @param plate its number
 * @param closest the one that came closest to it
 * @param against it, from the side of the winner
 * @param p the largest among its pairs, adjusted for all pairs there are (Holm)
 */
public record BestLiked(int plate, int closest, Preference against, double p) {

    /**
     * @param liked of every two plates, how many tasters liked row better than column; the diagonal is of no matter
     * @return empty where no plate is liked better than each other
     */
    public static Optional<BestLiked> of(List<List<Preference>> liked) {
        int count = liked.size();
        List<int[]> pairs = IntStream.range(0, count)
                .boxed()
                .flatMap(one -> IntStream.range(one + 1, count).mapToObj(other -> new int[] {one, other}))
                .toList();
        List<Double> adjusted = Holm.adjusted(
                pairs.stream().map(pair -> liked.get(pair[0]).get(pair[1]).p()).toList());
        return IntStream.range(0, count)
                .filter(plate -> count > 1 && beatsAll(plate, liked))
                .mapToObj(plate -> best(plate, liked, pairs, adjusted))
                .findFirst();
    }

    private static boolean beatsAll(int plate, List<List<Preference>> liked) {
        return IntStream.range(0, liked.size())
                .filter(other -> other != plate)
                .mapToObj(other -> liked.get(plate).get(other))
                .allMatch(preference -> preference.first() > preference.second());
    }

    private static BestLiked best(int plate, List<List<Preference>> liked, List<int[]> pairs, List<Double> adjusted) {
        int closest = -1;
        double largest = -1;
        for (int each = 0; each < pairs.size(); each++) {
            int[] pair = pairs.get(each);
            if ((pair[0] == plate || pair[1] == plate) && adjusted.get(each) > largest) {
                largest = adjusted.get(each);
                closest = pair[0] == plate ? pair[1] : pair[0];
            }
        }
        return new BestLiked(plate, closest, liked.get(plate).get(closest), largest);
    }
}
