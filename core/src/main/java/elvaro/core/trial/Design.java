package elvaro.core.trial;

import static elvaro.core.working.Quantity.mass;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.IntSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Whether a trial can answer its question: the same animal, start, days, chamber, cut and size, a control, and one thing
 * changed. Common practice of comparative trials, no source for the limits.
 *
 * @param factor what is meant to differ
 * @param arms two or more
 */
public record Design(Factor factor, List<Arm> arms) {
    /** The heaviest piece may weigh so many times the lightest. */
    public static final double SIZE = 1.15;

    /** Pieces hung a day apart count as hung together, and thirteen days are as good as fourteen. */
    private static final int DAY = 1;

    /** Of long stays, days that lie no more than this share apart are as good as the same (EST). */
    private static final double DAYS_SHARE = 0.05;

    /** What follows from another flaw is not counted as a change of its own. */
    private static final Set<Factor> COUNTED = EnumSet.complementOf(EnumSet.of(Factor.HANG_OR_ICE));

    /** Arms are told apart by what was done, or by what they are. */
    public record Arm(String name, boolean control, List<Facts> pieces) {}

    /** What is wrong with a design. */
    public enum FlawKind {
        EMPTY_ARM,
        NO_CONTROL,
        NOTHING_COMPARED,
        MIXED_ARM,
        OTHER_ANIMALS,
        OTHER_START,
        SIZES,
        SCENTED,
        ALSO_DIFFERS,
        SEVERAL_CHANGES,
        ANECDOTE
    }

    /**
     * One flaw.
     *
     * @param sentence what it is
     * @param mend how to do away with it
     */
    public record Flaw(FlawKind kind, String sentence, String mend) {}

    public Design {
        if (arms.size() < 2) {
            throw new IllegalArgumentException("A trial has two arms at least.");
        }
    }

    /** Everything that weakens it, the worst first. */
    public List<Flaw> flaws() {
        Optional<Flaw> empty = empty();
        if (empty.isPresent()) {
            return List.of(empty.get());
        }
        List<Flaw> flaws = new ArrayList<>();
        List<Factor> also = alsoDiffering();
        control().ifPresent(flaws::add);
        nothingCompared().ifPresent(flaws::add);
        mixedArm().ifPresent(flaws::add);
        severalChanges(also).ifPresent(flaws::add);
        animals().ifPresent(flaws::add);
        start().ifPresent(flaws::add);
        also.forEach(each -> flaws.add(alsoDiffers(each)));
        flaws.addAll(scented());
        sizes().ifPresent(flaws::add);
        anecdote().ifPresent(flaws::add);
        return List.copyOf(flaws);
    }

    private Optional<Flaw> empty() {
        return arms.stream()
                .filter(arm -> arm.pieces().isEmpty())
                .findFirst()
                .map(arm -> new Flaw(
                        FlawKind.EMPTY_ARM,
                        "%s has no piece.".formatted(arm.name()),
                        "Give every arm a piece at least."));
    }

    private Optional<Flaw> control() {
        return when(
                arms.stream().noneMatch(Arm::control),
                FlawKind.NO_CONTROL,
                "No arm is the control.",
                "Say which arm is done as you always do it.");
    }

    private Optional<Flaw> nothingCompared() {
        return when(
                known(factor).findAny().isPresent() && !differs(factor) && alike(),
                FlawKind.NOTHING_COMPARED,
                "All arms have the same %s: %s."
                        .formatted(factor.label(), known(factor).findFirst().orElse("")),
                "Change it in one arm, or ask about something else.");
    }

    /** Whether no arm has several of it either. */
    private boolean alike() {
        return arms.stream().allMatch(arm -> known(arm, factor).size() <= 1);
    }

    private Optional<Flaw> mixedArm() {
        return arms.stream()
                .filter(arm -> known(arm, factor).size() > 1)
                .findFirst()
                .map(arm -> new Flaw(
                        FlawKind.MIXED_ARM,
                        "The pieces of %s differ in %s: %s."
                                .formatted(arm.name(), factor.label(), String.join(", ", known(arm, factor))),
                        "Make an arm of each."));
    }

    /** What differs between the arms though it is not the question. */
    private List<Factor> alsoDiffering() {
        return Arrays.stream(Factor.values())
                .filter(COUNTED::contains)
                .filter(each -> each != factor && !follows(each))
                .filter(this::differs)
                .toList();
    }

    /** Ice is a method in a chest of its own; what is fresh beside what is aged is asked about as such. */
    private boolean follows(Factor other) {
        return switch (factor) {
            case HANG_OR_ICE -> other == Factor.METHOD || other == Factor.CHAMBER;
            case AGEING -> other.isOfHanging() || other.isOfTheAnimal();
            default -> other == Factor.AGEING && arms.stream().noneMatch(arm -> arm.control() && fresh(arm));
        };
    }

    private static boolean fresh(Arm arm) {
        return arm.pieces().stream().anyMatch(Facts::fresh);
    }

    private Optional<Flaw> severalChanges(List<Factor> also) {
        boolean factorDiffers = differs(factor);
        List<String> changed = Stream.concat(factorDiffers ? Stream.of(factor) : Stream.of(), also.stream())
                .map(Factor::label)
                .toList();
        return when(
                changed.size() > 1,
                FlawKind.SEVERAL_CHANGES,
                "More than one thing is changed: %s. Which of them did it will not be known."
                        .formatted(String.join(", ", changed)),
                "Change one, and leave the rest for the next trial.");
    }

    private Optional<Flaw> animals() {
        String mend = factor.isOfTheAnimal()
                ? "That cannot be helped here: take three or more animals for each arm."
                : switch (factor) {
                    case HANG_OR_ICE -> "Take the two halves of one animal, or three or more animals for each arm.";
                    case CUT -> "Take both cuts from one animal, or three or more animals for each arm.";
                    default -> "Split one lot into all the arms.";
                };
        return when(
                factor == Factor.AGEING ? agedWithoutFresh() : lots().distinct().count() > 1,
                FlawKind.OTHER_ANIMALS,
                "The arms do not come from the same animals: %s. Two animals differ in more than %s."
                        .formatted(byArm(facts -> "lot " + facts.lot()), factor.label()),
                mend);
    }

    private Stream<Set<String>> lots() {
        return arms.stream().map(arm -> of(arm, Facts::lot));
    }

    /** An animal is aged of which nothing was kept fresh. */
    private boolean agedWithoutFresh() {
        Set<String> fresh = pieces().filter(Facts::fresh).map(Facts::lot).collect(Collectors.toSet());
        return pieces().anyMatch(piece -> !piece.fresh() && !fresh.contains(piece.lot()));
    }

    /** Spirit and smoke scent what stands beside them; arms that stood beside the same are told of together. */
    private List<Flaw> scented() {
        Map<String, List<String>> arms = new LinkedHashMap<>();
        for (Arm arm : this.arms) {
            String beside = arm.pieces().stream()
                    .flatMap(facts -> facts.besides().stream())
                    .distinct()
                    .collect(Collectors.joining("; "));
            if (!beside.isEmpty()) {
                arms.computeIfAbsent(beside, each -> new ArrayList<>()).add(arm.name());
            }
        }
        return arms.entrySet().stream()
                .map(each -> new Flaw(
                        FlawKind.SCENTED,
                        "Beside %s stood %s: it may have taken the scent on."
                                .formatted(String.join(" and ", each.getValue()), each.getKey()),
                        "Give spirit and smoke a chamber of their own."))
                .toList();
    }

    private Optional<Flaw> start() {
        if (hung().findAny().isEmpty()) {
            return Optional.empty();
        }
        LocalDate first = hung().map(Facts::hungOn).min(LocalDate::compareTo).orElseThrow();
        LocalDate last = hung().map(Facts::hungOn).max(LocalDate::compareTo).orElseThrow();
        long apart = ChronoUnit.DAYS.between(first, last);
        return when(
                apart > DAY,
                FlawKind.OTHER_START,
                "Between the first hanging and the last lie %d days.".formatted(apart),
                "Hang all of them on one day.");
    }

    private Optional<Flaw> sizes() {
        ToIntFunction<Facts> grams = Facts::greenGrams;
        int least = pieces().mapToInt(grams).min().orElseThrow();
        int most = pieces().mapToInt(grams).max().orElseThrow();
        return when(
                most > SIZE * least,
                FlawKind.SIZES,
                "The heaviest piece has %s, the lightest %s: more than 15 %% apart, and small pieces dry faster."
                        .formatted(mass(most), mass(least)),
                "Cut them to one weight.");
    }

    private Flaw alsoDiffers(Factor other) {
        return new Flaw(
                FlawKind.ALSO_DIFFERS,
                "The arms also differ in %s: %s."
                        .formatted(other.label(), byArm(facts -> has(other, facts) ? other.of(facts) : "not said")),
                "Make %s the same in all arms.".formatted(other.label()));
    }

    /** Where arms share no animal, the animals are what is repeated. */
    private Optional<Flaw> anecdote() {
        boolean one = arms.stream().anyMatch(arm -> arm.pieces().size() == 1);
        boolean oneAnimal = !one && noneShared() && lots().anyMatch(lots -> lots.size() == 1);
        if (oneAnimal) {
            return Optional.of(new Flaw(
                    FlawKind.ANECDOTE,
                    "One animal in an arm is an anecdote, however many pieces are cut from it.",
                    "Take three or more animals for each arm, or split one lot into all the arms."));
        }
        return when(
                one,
                FlawKind.ANECDOTE,
                "One piece in an arm is an anecdote: two pieces of one animal differ by themselves.",
                "Cut two or more pieces for each arm, or do it again with another lot.");
    }

    private boolean noneShared() {
        Set<String> seen = new TreeSet<>();
        return arms.stream().flatMap(arm -> of(arm, Facts::lot).stream()).allMatch(seen::add);
    }

    private static Optional<Flaw> when(boolean holds, FlawKind kind, String sentence, String mend) {
        return holds ? Optional.of(new Flaw(kind, sentence, mend)) : Optional.empty();
    }

    private Stream<Facts> pieces() {
        return arms.stream().flatMap(arm -> arm.pieces().stream());
    }

    private static Set<String> of(Arm arm, Function<Facts, String> value) {
        return arm.pieces().stream().map(value).collect(Collectors.toCollection(TreeSet::new));
    }

    private Stream<Facts> hung() {
        return pieces().filter(facts -> !facts.fresh());
    }

    /** What nobody wrote down is not known, and what is set aside fresh has nothing of what belongs to hanging. */
    private static boolean has(Factor factor, Facts facts) {
        return !factor.of(facts).isEmpty() && !(facts.fresh() && factor.isOfHanging());
    }

    private Stream<String> known(Factor of) {
        return pieces().filter(facts -> has(of, facts)).map(of::of);
    }

    private static Set<String> known(Arm arm, Factor of) {
        List<Facts> known =
                arm.pieces().stream().filter(facts -> has(of, facts)).toList();
        return (asLong(of, known) ? known.stream().limit(1) : known.stream())
                .map(of::of)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Arms are alike in something where each that is known has the same of it, be it one or several. */
    private boolean differs(Factor of) {
        List<Facts> all = pieces().filter(facts -> has(of, facts)).toList();
        return !asLong(of, all)
                && arms.stream()
                                .map(arm -> known(arm, of))
                                .filter(values -> !values.isEmpty())
                                .distinct()
                                .count()
                        > 1;
    }

    /** Whether it is the days that are looked at, and they are about the same. */
    private static boolean asLong(Factor of, List<Facts> pieces) {
        IntSummaryStatistics days = pieces.stream().mapToInt(Facts::days).summaryStatistics();
        return of == Factor.DAYS
                && !pieces.isEmpty()
                && days.getMax() - days.getMin() <= Math.max(DAY, DAYS_SHARE * days.getMax());
    }

    private String byArm(Function<Facts, String> value) {
        return arms.stream()
                .map(arm -> "%s %s".formatted(arm.name(), String.join(", ", of(arm, value))))
                .collect(Collectors.joining("; "));
    }
}
