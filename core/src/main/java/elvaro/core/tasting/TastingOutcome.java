package elvaro.core.tasting;

import elvaro.core.trial.Holm;
import elvaro.core.trial.Strength;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What the sheets of a tasting say. A taster has one voice, however many rounds were eaten; only in triangles, where chance
 * alone would make every round a guess of its own, each counts.
 */
public final class TastingOutcome {
    private final TastingKind kind;
    private final List<String> names;
    private final List<Attribute> attributes;
    private final List<Sheet> sheets;

    /**
     * @param names of the samples
     * @param attributes that were scored
     */
    public TastingOutcome(TastingKind kind, List<String> names, List<Attribute> attributes, List<Sheet> sheets) {
        this.kind = kind;
        this.names = List.copyOf(names);
        this.attributes = List.copyOf(attributes);
        this.sheets = List.copyOf(sheets);
    }

    /** Two samples; how many of the panel like which more, and the p among all pairs asked at once. */
    public record Pair(int first, int second, Preference preference, double adjustedP) {}

    /** Two samples in one attribute, the first against the second. */
    public record Shift(Attribute attribute, int first, int second, SignedRank test, double adjustedP) {
        public Strength strength() {
            Strength found = Strength.of(adjustedP);
            return found == Strength.SHOWN && !test.leavesOutZero()
                    ? Strength.LEANING
                    : found == Strength.NOT_SHOWN && test.differing() < 2 ? Strength.ANECDOTE : found;
        }
    }

    /** The samples of a pair, the more liked first, as one taster put them; weight shared where neither was. */
    public record Duel(int taster, int better, int worse, double weight) {}

    /** What decides, then the rest. Empty while there is nothing to count. */
    public List<TastingVerdict> verdicts() {
        List<TastingVerdict> all = new ArrayList<>();
        if (kind == TastingKind.PAIRED) {
            pairs().stream()
                    .filter(pair -> pair.preference().decided() > 0)
                    .forEach(pair -> all.add(
                            TastingVerdict.of(pair.preference(), names.get(pair.first()), names.get(pair.second()))));
        }
        triangle().ifPresent(triangle -> all.add(TastingVerdict.of(triangle)));
        ranking().ifPresent(friedman -> {
            List<Double> worst = friedman.rankSums().stream().map(sum -> -sum).toList();
            all.add(TastingVerdict.of(friedman, TastingVerdict.ordered(names, worst)));
        });
        liking().ifPresent(friedman ->
                all.add(TastingVerdict.of(friedman, TastingVerdict.ordered(names, friedman.rankSums()))));
        shifts().stream().map(this::verdict).forEach(all::add);
        return List.copyOf(all);
    }

    /** Who found the odd one; empty for other kinds. */
    public Optional<Triangle> triangle() {
        List<Sheet> tries =
                sheets.stream().filter(sheet -> sheet.foundOdd().isPresent()).toList();
        return tries.isEmpty()
                ? Optional.empty()
                : Optional.of(new Triangle(
                        tries.stream()
                                .mapToInt(sheet -> sheet.foundOdd().orElse(0))
                                .sum(),
                        tries.size()));
    }

    /** Every pair of samples by who likes which more, of paired preferences and rankings; adjusted by Holm. */
    public List<Pair> pairs() {
        if (kind != TastingKind.PAIRED && kind != TastingKind.RANKING) {
            return List.of();
        }
        List<int[]> asked = couples();
        List<Preference> counted = asked.stream()
                .map(pair -> Preference.count(voices(pair[0], pair[1]).values()))
                .toList();
        List<Double> adjusted =
                Holm.adjusted(counted.stream().map(Preference::p).toList());
        return IntStream.range(0, asked.size())
                .mapToObj(
                        each -> new Pair(asked.get(each)[0], asked.get(each)[1], counted.get(each), adjusted.get(each)))
                .toList();
    }

    /**
     * What is said of one sample against another; empty where nothing can be. Of a triangle it is whether they are told
     * apart.
     */
    public Optional<TastingVerdict> against(int sample, int control) {
        return switch (kind) {
            case PAIRED, RANKING ->
                Optional.of(Preference.count(voices(sample, control).values()))
                        .filter(preference -> preference.decided() > 0)
                        .map(preference -> TastingVerdict.of(preference, names.get(sample), names.get(control)));
            case TRIANGLE -> triangle().map(TastingVerdict::of);
            case SCORES ->
                shifts().stream()
                        .filter(shift -> isLiking(shift.attribute()))
                        .filter(shift -> Set.of(shift.first(), shift.second()).equals(Set.of(sample, control)))
                        .findFirst()
                        .map(this::verdict);
        };
    }

    private TastingVerdict verdict(Shift shift) {
        return TastingVerdict.of(
                shift.test(),
                shift.adjustedP(),
                shift.strength(),
                shift.attribute().label(),
                names.get(shift.first()),
                names.get(shift.second()));
    }

    private List<int[]> couples() {
        List<int[]> all = new ArrayList<>();
        for (int first = 0; first < names.size(); first++) {
            for (int second = first + 1; second < names.size(); second++) {
                all.add(new int[] {first, second});
            }
        }
        return all;
    }

    /** By taster: 1 for the first, −1 for the second, 0 for neither, over all of their rounds. */
    public Map<Integer, Integer> voices(int first, int second) {
        Map<Integer, Integer> sums = new TreeMap<>();
        for (Sheet sheet : sheets) {
            OptionalInt prefers = sheet.prefers(kind, first, second);
            prefers.ifPresent(each -> sums.merge(sheet.taster(), each, Integer::sum));
        }
        sums.replaceAll((taster, sum) -> Integer.signum(sum));
        return sums;
    }

    /** Whether ranks differ by more than chance; empty unless samples were ranked, by two tasters at least. */
    public Optional<Friedman> ranking() {
        return kind == TastingKind.RANKING ? friedman(byTaster(Sheet::ranks)) : Optional.empty();
    }

    /** The same of the liking of three or more samples that were scored. */
    private Optional<Friedman> liking() {
        return kind == TastingKind.SCORES && names.size() > 2 ? friedman(scores(Attribute.LIKING)) : Optional.empty();
    }

    private Optional<Friedman> friedman(Map<Integer, List<OptionalDouble>> byTaster) {
        double[][] whole = byTaster.values().stream()
                .filter(values -> values.stream().allMatch(OptionalDouble::isPresent))
                .map(values ->
                        values.stream().mapToDouble(OptionalDouble::getAsDouble).toArray())
                .toArray(double[][]::new);
        return whole.length < 2 ? Optional.empty() : Optional.of(Friedman.of(whole));
    }

    /** By taster, the mean over rounds of what each sample has of an attribute. */
    public Map<Integer, List<OptionalDouble>> scores(String attribute) {
        return byTaster(sheet -> sheet.scores().getOrDefault(attribute, Map.of()));
    }

    /** By taster, where each sample stands in the order, counted from the last, 1: the best has most; mean over rounds. */
    public Map<Integer, List<OptionalDouble>> fromBelow() {
        return byTaster(sheet -> {
            Map<Integer, Integer> turned = new HashMap<>();
            sheet.ranks().forEach((sample, rank) -> turned.put(sample, names.size() + 1 - rank));
            return turned;
        });
    }

    private Map<Integer, List<OptionalDouble>> byTaster(
            java.util.function.Function<Sheet, Map<Integer, Integer>> values) {
        Map<Integer, List<Sheet>> own =
                sheets.stream().collect(Collectors.groupingBy(Sheet::taster, TreeMap::new, Collectors.toList()));
        Map<Integer, List<OptionalDouble>> means = new TreeMap<>();
        own.forEach((taster, rounds) -> means.put(
                taster,
                IntStream.range(0, names.size())
                        .mapToObj(sample -> rounds.stream()
                                .filter(sheet -> values.apply(sheet).containsKey(sample))
                                .mapToInt(sheet -> values.apply(sheet).get(sample))
                                .average())
                        .toList()));
        return means;
    }

    /**
     * How far every two samples lie apart in every attribute that two tasters or more scored. Liking is what was asked
     * first and is tested among its own pairs; all the rest share the chance of being fooled.
     */
    public List<Shift> shifts() {
        List<Shift> liking =
                shifts(attributes.stream().filter(TastingOutcome::isLiking).toList());
        List<Shift> rest = shifts(
                attributes.stream().filter(attribute -> !isLiking(attribute)).toList());
        return java.util.stream.Stream.concat(liking.stream(), rest.stream())
                .sorted(Comparator.comparing((Shift shift) -> attributes.indexOf(shift.attribute())))
                .toList();
    }

    private static boolean isLiking(Attribute attribute) {
        return attribute.key().equals(Attribute.LIKING);
    }

    private List<Shift> shifts(List<Attribute> asked) {
        List<Shift> raw = new ArrayList<>();
        for (Attribute attribute : asked) {
            Map<Integer, List<OptionalDouble>> scores = scores(attribute.key());
            for (int[] pair : couples()) {
                double[] differences = scores.values().stream()
                        .filter(own ->
                                own.get(pair[0]).isPresent() && own.get(pair[1]).isPresent())
                        .mapToDouble(own -> own.get(pair[0]).getAsDouble()
                                - own.get(pair[1]).getAsDouble())
                        .toArray();
                if (differences.length >= 2) {
                    raw.add(new Shift(attribute, pair[0], pair[1], SignedRank.of(differences), 1));
                }
            }
        }
        List<Double> adjusted =
                Holm.adjusted(raw.stream().map(shift -> shift.test().p()).toList());
        return IntStream.range(0, raw.size())
                .mapToObj(each -> {
                    Shift shift = raw.get(each);
                    return new Shift(
                            shift.attribute(), shift.first(), shift.second(), shift.test(), adjusted.get(each));
                })
                .toList();
    }

    /**
     * Every preference as a duel. A ranking of k holds k − 1 choices but k(k − 1)/2 pairs, so each pair weighs 2/k; a
     * taster's rounds weigh one together.
     */
    public List<Duel> duels() {
        if (kind == TastingKind.TRIANGLE) {
            return List.of();
        }
        ToIntFunction<Sheet> rounds = sheet -> (int)
                sheets.stream().filter(each -> each.taster() == sheet.taster()).count();
        List<Duel> all = new ArrayList<>();
        for (Sheet sheet : sheets) {
            double weight = 2.0 / names.size() / rounds.applyAsInt(sheet);
            for (int[] pair : couples()) {
                sheet.prefers(kind, pair[0], pair[1]).ifPresent(prefers -> {
                    if (prefers >= 0) {
                        all.add(new Duel(sheet.taster(), pair[0], pair[1], prefers == 0 ? weight / 2 : weight));
                    }
                    if (prefers <= 0) {
                        all.add(new Duel(sheet.taster(), pair[1], pair[0], prefers == 0 ? weight / 2 : weight));
                    }
                });
            }
        }
        return List.copyOf(all);
    }

    /** How often a taster sides with most of the others, over the pairs of this tasting. */
    public Agreement agreement(int taster) {
        Agreement sum = Agreement.NONE;
        for (int[] pair : couples()) {
            Map<Integer, Integer> voices = voices(pair[0], pair[1]);
            Integer own = voices.remove(taster);
            if (own != null) {
                sum = sum.plus(Agreement.of(own, List.copyOf(voices.values())));
            }
        }
        return sum;
    }

    /** How often a taster's later rounds say what the first said. */
    public Agreement consistency(int taster) {
        List<Sheet> own = sheets.stream()
                .filter(sheet -> sheet.taster() == taster)
                .sorted(Comparator.comparing(Sheet::round))
                .toList();
        Agreement sum = Agreement.NONE;
        for (Sheet later : own.stream().skip(1).toList()) {
            for (int[] pair : couples()) {
                OptionalInt now = later.prefers(kind, pair[0], pair[1]);
                OptionalInt before = own.get(0).prefers(kind, pair[0], pair[1]);
                if (now.isPresent() && before.isPresent()) {
                    sum = sum.plus(new Agreement(now.getAsInt() == before.getAsInt() ? 1 : 0, 1));
                }
            }
        }
        return sum;
    }

    /** How often a taster found the odd one. */
    public Agreement foundOdd(int taster) {
        return sheets.stream()
                .filter(sheet -> sheet.taster() == taster && sheet.foundOdd().isPresent())
                .map(sheet -> new Agreement(sheet.foundOdd().getAsInt(), 1))
                .reduce(Agreement.NONE, Agreement::plus);
    }
}
