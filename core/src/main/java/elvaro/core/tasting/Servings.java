package elvaro.core.tasting;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * What stands before each taster, in which order and under which code. All of it follows from the seed.
 *
 * @param tasters how many sit at the table
 * @param plates one for each taster and round, round by round, the servings in the order they are eaten
 */
public record Servings(int tasters, List<Plate> plates) {
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
        if (codesOf == CodesOf.SAMPLE) {
            List<List<Integer>> eaten = new ArrayList<>();
            for (int turn = 0; turn < rounds * tasters; turn++) {
                eaten.add(order(turn, orders, random));
            }
            return new Servings(tasters, new Laid(tasters, samples, eaten, codes));
        }
        int used = 0;
        List<Plate> plates = new ArrayList<>();
        for (int turn = 0; turn < rounds * tasters; turn++) {
            List<Integer> order = order(turn, orders, random);
            if (used + order.size() > codes.size()) {
                // With very many tasters some code comes again, for whatever sample it happens to.
                codes = codes(random);
                used = 0;
            }
            List<Serving> servings = plate(order, codes.subList(used, used + order.size()));
            plates.add(new Plate(turn % tasters, turn / tasters, servings));
            used += order.size();
        }
        return new Servings(tasters, List.copyOf(plates));
    }

    /** Every order is used once before any is used again. */
    private static List<Integer> order(int turn, List<List<Integer>> orders, Random random) {
        if (turn % orders.size() == 0) {
            Collections.shuffle(orders, random);
        }
        return orders.get(turn % orders.size());
    }

    /** Plates that are laid as somebody looks at them: of the hundreds of a table a taster's sheet needs one. */
    private static final class Laid extends AbstractList<Plate> {
        private final int tasters;
        private final int samples;
        private final List<List<Integer>> eaten;
        private final List<Integer> codes;

        Laid(int tasters, int samples, List<List<Integer>> eaten, List<Integer> codes) {
            this.tasters = tasters;
            this.samples = samples;
            this.eaten = eaten;
            this.codes = codes;
        }

        @Override
        public Plate get(int turn) {
            int round = turn / tasters;
            return new Plate(turn % tasters, round, plate(eaten.get(turn), samples, round, codes));
        }

        @Override
        public int size() {
            return eaten.size();
        }
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

    /** @throws IllegalArgumentException if nobody sits there, or there is no such round */
    public Plate of(int taster, int round) {
        int turn = round * tasters + taster;
        if (taster < 0 || taster >= tasters || round < 0 || turn >= plates.size()) {
            throw new IllegalArgumentException("There is no such plate.");
        }
        return plates.get(turn);
    }
}
