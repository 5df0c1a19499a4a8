package elvaro.core.tasting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Preferences collected over sessions. Of two things a taster has one voice, however many sessions they sat at: somebody who
 * likes smoke likes it every time, and five evenings of six people are six people. Reference section 11.
 *
 * @param <T> what is liked
 */
public final class Voices<T> {
    private record Pair(int better, int worse) {}

    /** Who, and about which two things whichever is liked more. */
    private record Voice(Object taster, int one, int other) {}

    private final Map<T, Integer> numbers = new LinkedHashMap<>();
    private final Map<Voice, Map<Object, Map<Pair, Double>>> said = new LinkedHashMap<>();

    /**
     * @param taster the person, the same in every session
     * @param session what counts once for the taster
     * @param weight of the choice within the session, above 0
     */
    public void add(Object taster, Object session, T better, T worse, double weight) {
        int one = number(better);
        int other = number(worse);
        said.computeIfAbsent(
                        new Voice(taster, Math.min(one, other), Math.max(one, other)), voice -> new LinkedHashMap<>())
                .computeIfAbsent(session, each -> new HashMap<>())
                .merge(new Pair(one, other), weight, Double::sum);
    }

    private int number(T thing) {
        return numbers.computeIfAbsent(thing, each -> numbers.size());
    }

    /** In the order in which they came; their numbers are those of {@link #wins}. */
    public List<T> things() {
        return new ArrayList<>(numbers.keySet());
    }

    /** How often row was liked more than column. */
    public double[][] wins() {
        double[][] wins = new double[numbers.size()][numbers.size()];
        said.values().forEach(sessions -> {
            double sum = sessions.values().stream().mapToDouble(Voices::weight).sum();
            double most =
                    sessions.values().stream().mapToDouble(Voices::weight).max().orElse(0);
            sessions.values()
                    .forEach(session -> session.forEach(
                            (pair, weight) -> wins[pair.better()][pair.worse()] += weight * most / sum));
        });
        return wins;
    }

    private static double weight(Map<Pair, Double> session) {
        return session.values().stream().mapToDouble(Double::doubleValue).sum();
    }
}
