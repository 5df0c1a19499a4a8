package elvaro.core.trial;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Several questions are several chances to be fooled: S. Holm, Scandinavian Journal of Statistics 6 (1979) 65. */
public final class Holm {
    private Holm() {}

    /** @return the p of each, raised, in the order given */
    public static List<Double> adjusted(List<Double> ps) {
        List<Integer> byP = IntStream.range(0, ps.size())
                .boxed()
                .sorted(Comparator.comparing(ps::get))
                .toList();
        Double[] adjusted = new Double[ps.size()];
        double least = 0;
        for (int place = 0; place < byP.size(); place++) {
            least = Math.max(least, Math.min(1, ps.get(byP.get(place)) * (ps.size() - place)));
            adjusted[byP.get(place)] = least;
        }
        return List.of(adjusted);
    }
}
