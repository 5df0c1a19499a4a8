package elvaro.core.tasting;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * What stands before each taster, in which order and under which code. All of it follows from the seed.
 *
 * @param plates one for each taster and round, the servings in the order they are eaten
 */
public record Servings(List<Plate> plates) {
    private static final int FIRST_CODE = 100;
    private static final int LAST_CODE = 999;

    /** The six ways to serve two samples as three, 0 being the one and 1 the other. */
    private static final List<List<Integer>> TRIANGLES = List.of(
            List.of(0, 0, 1), List.of(1, 1, 0), List.of(0, 1, 0), List.of(1, 0, 1), List.of(1, 0, 0), List.of(0, 1, 1));

    /** @param code three digits */
    public record Serving(int sample, int code) {}

    /** @param taster from 0 @param round from 0 */
    public record Plate(int taster, int round, List<Serving> servings) {}

    /** Whether the servings of a sample are called the same on every plate, or each plate has codes of its own. */
    private enum CodesOf {
        SAMPLE,
        PLATE
    }

    /**
     * Where the odd one of three is looked for, each plate has codes of its own: tasters who laid their sheets side by side
     * would else learn from what stands on several plates which two are the same.
     *
     * @param samples as many as the kind takes
     * @param rounds 1 or more; the codes of each are its own, so that nobody knows a sample again
     * @param seed stored, so that the plan can be shown again
     */
    public static Servings plan(TastingKind kind, int samples, int tasters, int rounds, long seed) {
        return plan(
                kind, samples, tasters, rounds, seed, kind == TastingKind.TRIANGLE ? CodesOf.PLATE : CodesOf.SAMPLE);
    }

    /** As it was drawn before plates had codes of their own; for tastings that were laid then. */
    public static Servings planWithSharedCodes(TastingKind kind, int samples, int tasters, int rounds, long seed) {
        return plan(kind, samples, tasters, rounds, seed, CodesOf.SAMPLE);
    }

    private static Servings plan(TastingKind kind, int samples, int tasters, int rounds, long seed, CodesOf codesOf) {
        if (samples < kind.fewest() || samples > kind.most() || tasters < 1 || rounds < 1) {
            throw new IllegalArgumentException("This many cannot be served.");
        }
        Random random = new Random(seed);
        List<List<Integer>> orders =
                new ArrayList<>(kind == TastingKind.TRIANGLE ? TRIANGLES : Williams.orders(samples));
        List<Integer> codes = codes(random);
        int used = 0;
        List<Plate> plates = new ArrayList<>();
        int turn = 0;
        for (int round = 0; round < rounds; round++) {
            // Every order is used once before any is used again.
            for (int taster = 0; taster < tasters; taster++, turn++) {
                if (turn % orders.size() == 0) {
                    Collections.shuffle(orders, random);
                }
                List<Integer> order = orders.get(turn % orders.size());
                if (codesOf == CodesOf.SAMPLE) {
                    plates.add(new Plate(taster, round, plate(order, samples, round, codes)));
                    continue;
                }
                if (used + order.size() > codes.size()) {
                    // With very many tasters some code comes again, for whatever sample it happens to.
                    codes = codes(random);
                    used = 0;
                }
                plates.add(new Plate(taster, round, plate(order, codes.subList(used, used + order.size()))));
                used += order.size();
            }
        }
        return new Servings(List.copyOf(plates));
    }

    /** Of a sample served twice on one plate, each serving has a code of its own. */
    private static List<Serving> plate(List<Integer> order, int samples, int round, List<Integer> codes) {
        List<Serving> servings = new ArrayList<>();
        for (int sample : order) {
            long before =
                    servings.stream().filter(each -> each.sample() == sample).count();
            int code = codes.get((round * 2 + (int) before) * samples + sample);
            servings.add(new Serving(sample, code));
        }
        return List.copyOf(servings);
    }

    private static List<Serving> plate(List<Integer> order, List<Integer> codes) {
        return IntStream.range(0, order.size())
                .mapToObj(place -> new Serving(order.get(place), codes.get(place)))
                .toList();
    }

    private static List<Integer> codes(Random random) {
        List<Integer> codes = new ArrayList<>(IntStream.rangeClosed(FIRST_CODE, LAST_CODE)
                .filter(Servings::tellsNothing)
                .boxed()
                .toList());
        Collections.shuffle(codes, random);
        return codes;
    }

    /** 777 or 123 please by themselves. */
    private static boolean tellsNothing(int code) {
        int first = code / 100;
        int second = code / 10 % 10;
        int third = code % 10;
        return first != second && second != third && first != third && !(second - first == third - second);
    }

    public Plate of(int taster, int round) {
        return plates.stream()
                .filter(plate -> plate.taster() == taster && plate.round() == round)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no such plate."));
    }
}
