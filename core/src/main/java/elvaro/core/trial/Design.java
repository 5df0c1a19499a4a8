package elvaro.core.trial;

import static elvaro.core.working.Quantity.mass;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
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

    /** Pieces hung a day apart count as hung together. */
    private static final int START_DAYS = 1;

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
                distinct(factor::of).size() == 1,
                FlawKind.NOTHING_COMPARED,
                "All arms have the same %s: %s.".formatted(factor.label(), all(factor::of)),
                "Change it in one arm, or ask about something else.");
    }

    private Optional<Flaw> mixedArm() {
        return arms.stream()
                .filter(arm -> of(arm, factor::of).size() > 1)
                .findFirst()
                .map(arm -> new Flaw(
                        FlawKind.MIXED_ARM,
                        "The pieces of %s differ in %s: %s."
                                .formatted(arm.name(), factor.label(), String.join(", ", of(arm, factor::of))),
                        "Make an arm of each."));
    }

    /** What differs between the arms though it is not the question. */
    private List<Factor> alsoDiffering() {
        return Arrays.stream(Factor.values())
                .filter(COUNTED::contains)
                .filter(each -> each != factor && !follows(each))
                .filter(each -> differs(each::of))
                .toList();
    }

    /** Ice is a method in a chest of its own. */
    private boolean follows(Factor other) {
        return factor == Factor.HANG_OR_ICE && (other == Factor.METHOD || other == Factor.CHAMBER);
    }

    private Optional<Flaw> severalChanges(List<Factor> also) {
        boolean factorDiffers = distinct(factor::of).size() > 1;
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
                differs(Facts::lot),
                FlawKind.OTHER_ANIMALS,
                "The arms do not come from the same animals: %s. Two animals differ in more than %s."
                        .formatted(byArm(facts -> "lot " + facts.lot()), factor.label()),
                mend);
    }

    private Optional<Flaw> start() {
        LocalDate first = pieces().map(Facts::hungOn).min(LocalDate::compareTo).orElseThrow();
        LocalDate last = pieces().map(Facts::hungOn).max(LocalDate::compareTo).orElseThrow();
        long apart = ChronoUnit.DAYS.between(first, last);
        return when(
                apart > START_DAYS,
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
                "The arms also differ in %s: %s.".formatted(other.label(), byArm(other::of)),
                "Make %s the same in all arms.".formatted(other.label()));
    }

    private Optional<Flaw> anecdote() {
        return when(
                arms.stream().anyMatch(arm -> arm.pieces().size() == 1),
                FlawKind.ANECDOTE,
                "One piece in an arm is an anecdote: two pieces of one animal differ by themselves.",
                "Cut two or more pieces for each arm, or do it again with another lot.");
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

    private Set<String> distinct(Function<Facts, String> value) {
        return pieces().map(value).collect(Collectors.toCollection(TreeSet::new));
    }

    /** Arms are alike in something where each has the same of it, be it one or several. */
    private boolean differs(Function<Facts, String> value) {
        return arms.stream().map(arm -> of(arm, value)).distinct().count() > 1;
    }

    private String all(Function<Facts, String> value) {
        return String.join(", ", distinct(value));
    }

    private String byArm(Function<Facts, String> value) {
        return arms.stream()
                .map(arm -> "%s %s".formatted(arm.name(), String.join(", ", of(arm, value))))
                .collect(Collectors.joining("; "));
    }
}
