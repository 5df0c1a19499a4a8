package elvaro.core.inspection;

import elvaro.core.inspection.Observation.Colour;
import elvaro.core.inspection.Observation.Mould;
import elvaro.core.inspection.Observation.Smell;
import elvaro.core.inspection.Observation.Spot;
import elvaro.core.inspection.Observation.SurfaceFeel;
import elvaro.core.schedule.Work;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import org.jspecify.annotations.Nullable;

/**
 * The inspection rules, each with its reason. Common practice, no source; the days after which a surface should be dry are
 * read as in docs/decisions/0013. None of them calls anything safe: local law and a licensed practitioner decide.
 */
public enum Rule {
    FOUL_SMELL(
            Answer.STOP,
            "Sour, ammonia or putrid smell",
            "Bacteria have taken it. Cooking does not undo what they made, and nobody tastes to find out.",
            null,
            (seen, at) -> seen.smell() == Smell.SOUR || seen.smell() == Smell.AMMONIA || seen.smell() == Smell.PUTRID),
    BAD_MOULD(
            Answer.STOP,
            "Green, blue, black, pink or hairy mould",
            "These are not the white bloom of a dry crust; some make poisons that go deeper than they show.",
            null,
            (seen, at) -> seen.moulds().stream().anyMatch(mould -> mould != Mould.WHITE_POWDER)),
    SLIME(
            Answer.STOP,
            "Slime, or a green sheen",
            "Slime is bacteria in number, not water.",
            null,
            (seen, at) -> seen.surface() == SurfaceFeel.SLIMY || seen.colour() == Colour.GREEN),
    GAS(
            Answer.STOP,
            "Gas in the bag",
            "Something grows without air in there.",
            null,
            (seen, at) -> seen.spots().contains(Spot.GAS)),
    SOFT_ROT(
            Answer.STOP,
            "Soft rot in a pocket",
            "A closed pocket holds oxygen without moving air and rots from inside.",
            null,
            (seen, at) -> seen.spots().contains(Spot.SOFT_ROT)),
    GLAND(
            Answer.STOP,
            "Glands or bloodshot meat",
            "Cut them out and discard them, and change knives before going on.",
            null,
            (seen, at) -> seen.spots().contains(Spot.GLAND_OR_BLOODSHOT)),
    LEAK(
            Answer.ACT,
            "Membrane lifted over a quarter or more, or its seal open",
            "Where the film does not touch, meat lies in still, damp air. Reseal it, or rewrap it in a new one: a membrane"
                    + " is for one use.",
            Work.RESEAL,
            (seen, at) -> at.wrapped() && (seen.sealOpen() || seen.liftedPercent() >= 25)),
    FAINTLY_ACID(
            Answer.ACT,
            "Faintly acid on opening",
            "What comes out of a bag often is, at first. Let it rest unwrapped in the cold for a day and smell again.",
            Work.REST,
            (seen, at) -> seen.smell() == Smell.FAINTLY_ACID),
    WET(
            Answer.ACT,
            "Wet after two days in the air, or tacky after a week",
            "Air does not reach it, the chamber is too humid, or its coat holds water. Turn it, give it room, look at the"
                    + " chamber’s air.",
            Work.TURN,
            (seen, at) -> at.inTheAir()
                    && (seen.surface() == SurfaceFeel.WET && at.day() >= Rule.WET_DAYS
                            || seen.surface() == SurfaceFeel.TACKY && at.day() >= Rule.TACKY_DAYS)),
    FOLDS(
            Answer.ACT,
            "Deep folds, patches or knife cuts on an exposed side",
            "Damp stays in them. Trim them even, and look there first next time.",
            Work.TRIM,
            (seen, at) -> seen.spots().contains(Spot.FOLD)),
    WHITE_BLOOM(
            Answer.CARRY_ON,
            "White powdery mould in patches",
            "It comes with a dry crust and is trimmed away with it.",
            null,
            (seen, at) -> seen.moulds().contains(Mould.WHITE_POWDER)),
    CRUST(
            Answer.CARRY_ON,
            "Dark, dry or leathery, no foul smell",
            "That is how a crust looks. It is trimmed away later.",
            null,
            (seen, at) -> seen.surface() == SurfaceFeel.DRY || seen.surface() == SurfaceFeel.LEATHERY),
    YOUNG(Answer.CARRY_ON, "Nothing amiss", "It has not dried yet and need not have.", null, (seen, at) -> true);

    /** A face that was patted dry is no longer wet after this (EST). */
    private static final int WET_DAYS = 2;

    private static final int TACKY_DAYS = 7;

    private final Answer answer;
    private final String seen;
    private final String reason;
    private final @Nullable Work makes;
    private final BiPredicate<Observation, Circumstances> applies;

    Rule(
            Answer answer,
            String seen,
            String reason,
            @Nullable Work makes,
            BiPredicate<Observation, Circumstances> applies) {
        this.answer = answer;
        this.seen = seen;
        this.reason = reason;
        this.makes = makes;
        this.applies = applies;
    }

    /** What to do, from the mildest on. */
    public enum Answer {
        CARRY_ON,
        ACT,
        STOP
    }

    public Answer answer() {
        return answer;
    }

    /** What was seen or smelled, as it stands in a list. */
    public String seen() {
        return seen;
    }

    /** Why, and what to do. */
    public String reason() {
        return reason;
    }

    /** The task an {@link Answer#ACT} makes. */
    public Optional<Work> makes() {
        return Optional.ofNullable(makes);
    }

    /** Whether what was seen falls under it, though a graver rule may decide. */
    public boolean isMet(Observation seen, Circumstances at) {
        return applies.test(seen, at);
    }

    /** Every rule that what was seen falls under and that gives the gravest answer among them, in the order above. */
    static List<Rule> decisive(Observation seen, Circumstances at) {
        List<Rule> all =
                Arrays.stream(values()).filter(rule -> rule.isMet(seen, at)).toList();
        Answer gravest = all.stream().map(Rule::answer).max(Answer::compareTo).orElseThrow();
        List<Rule> decisive =
                all.stream().filter(rule -> rule.answer == gravest).toList();
        return decisive.size() > 1
                ? decisive.stream().filter(rule -> rule != YOUNG).toList()
                : decisive;
    }
}
