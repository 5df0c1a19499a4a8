package elvaro.server.trial;

import elvaro.core.treatment.Course.Count;
import elvaro.core.treatment.Dose;
import elvaro.core.trial.Change;
import elvaro.core.trial.Factor;
import elvaro.core.trial.Proposal;
import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.treatment.TreatmentService;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The next trial from one that is there, arm by arm: what may be changed in each, what is proposed, and why. */
@Component
class NextTrial {
    /** So many days more or fewer are offered. */
    static final int DAYS = 10;

    private final TreatmentService treatments;

    NextTrial(TreatmentService treatments) {
        this.treatments = treatments;
    }

    /**
     * A set-up to begin a trial with.
     *
     * @param fromId the trial it follows; absent for one that begins with a protocol
     * @param protocolId the protocol of another house; absent for none
     */
    record NextForm(
            @Nullable UUID fromId,
            @Nullable UUID protocolId,
            String question,
            Factor factor,
            TrialMeasure measure,
            List<NextArm> arms) {}

    /** @param choices as it was first; none where nobody knows what it was */
    record NextArm(String name, boolean control, List<NextChoice> choices) {}

    /**
     * One way to do an arm next time.
     *
     * @param label what is changed, in words
     * @param reason why it is proposed; absent where it is not
     */
    record NextChoice(Change change, String label, @Nullable String reason, SetUp setUp) {}

    /**
     * What is known of an arm.
     *
     * @param words what was written of it
     * @param strength of what was asked; empty for the control, and while it is not known
     * @param lostMeat whether much more of it was thrown away than of the control
     */
    record Heard(List<String> words, Optional<Strength> strength, boolean lostMeat) {}

    /**
     * @param days more or fewer than before, for all arms; of a trial of days not for the control
     * @param setUps by arm
     * @param heard by arm
     */
    NextForm from(TrialWithPieces trial, int days, Map<UUID, SetUp> setUps, Map<UUID, Heard> heard) {
        Trial before = trial.trial();
        List<NextArm> arms = trial.arms().stream()
                .map(arm -> {
                    boolean keepsDays = arm.control() && before.factor() == Factor.DAYS;
                    SetUp setUp = setUps.get(arm.id());
                    return new NextArm(
                            arm.name(),
                            arm.control(),
                            setUp == null
                                    ? List.of()
                                    : choices(arm.name(), setUp.longer(keepsDays ? 0 : days), heard.get(arm.id())));
                })
                .toList();
        return new NextForm(before.id(), null, before.question(), before.factor(), before.measure(), arms);
    }

    private List<NextChoice> choices(String arm, SetUp setUp, Heard heard) {
        List<NextChoice> all = new ArrayList<>();
        Optional<Proposal> proposal = proposal(arm, setUp, heard);
        for (int number = 0; number < setUp.treatments().size(); number++) {
            TreatmentForm given = setUp.treatments().get(number);
            for (Change change : Change.values()) {
                Optional<TreatmentForm> next = changed(given, change);
                if (next.isPresent()) {
                    boolean proposed = proposal.flatMap(Proposal::less)
                            .filter(less -> less == (change == Change.HALF_DOSE || change == Change.HALF_AS_OFTEN))
                            .isPresent();
                    all.add(new NextChoice(
                            change,
                            label(change, given, next.get()),
                            proposed && all.stream().allMatch(each -> each.reason() == null)
                                    ? proposal.map(Proposal::reason).orElse(null)
                                    : null,
                            setUp.given(with(setUp.treatments(), number, next.get()))));
                }
            }
        }
        boolean none = all.stream().allMatch(each -> each.reason() == null);
        all.add(
                0,
                new NextChoice(
                        Change.AGAIN,
                        Change.AGAIN.label(),
                        none ? proposal.map(Proposal::reason).orElse(null) : null,
                        setUp));
        return List.copyOf(all);
    }

    private static Optional<Proposal> proposal(String arm, SetUp setUp, Heard heard) {
        if (setUp.treatments().isEmpty()) {
            return Optional.empty();
        }
        Optional<String> otherwise =
                heard.lostMeat() ? Optional.of(setUp.treatments().get(0).kind().nextTime()) : Optional.empty();
        return Optional.of(Proposal.of(arm, heard.words(), otherwise, timesLabel(setUp), heard.strength()));
    }

    private static List<TreatmentForm> with(List<TreatmentForm> all, int number, TreatmentForm changed) {
        List<TreatmentForm> next = new ArrayList<>(all);
        next.set(number, changed);
        return next;
    }

    private static double timesLabel(SetUp setUp) {
        return setUp.treatments().stream()
                .flatMap(given -> Optional.ofNullable(dose(given))
                        .flatMap(dose -> given.kind()
                                .onLabel()
                                .filter(label -> label.measure().weighs()
                                        == dose.measure().weighs())
                                .map(label -> dose.times(label, 1000, 1)))
                        .stream())
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(1);
    }

    private static @Nullable Dose dose(TreatmentForm given) {
        return given.amount() == null || given.measure() == null || given.basis() == null
                ? null
                : new Dose(given.amount(), given.measure(), given.basis());
    }

    /** The treatment with the change; empty where it changes nothing, or the course does not allow it. */
    private static Optional<TreatmentForm> changed(TreatmentForm given, Change change) {
        if (change.isOfDose()) {
            return ofDose(given, change);
        }
        if (!change.isOfNumber()) {
            return Optional.empty();
        }
        Optional<Count> count = given.kind().course().count();
        return count.flatMap(each -> change.number(given.kind().course().number(given.number()), each))
                .map(number -> given.changed(given.amount(), number));
    }

    /** A recipe's dose is the recipe's: another dose is another recipe. A guess is halved by guess, in words. */
    private static Optional<TreatmentForm> ofDose(TreatmentForm given, Change change) {
        Dose dose = dose(given);
        if (given.recipeId() != null || given.kind().first().isEmpty()) {
            return Optional.empty();
        }
        if (dose != null) {
            return Optional.of(given.changed(change.of(dose).amount(), given.number()));
        }
        String words = "%s of last time's guess".formatted(change == Change.HALF_DOSE ? "half" : "twice");
        return Optional.of(given.exactly(given.exactly().isEmpty() ? words : given.exactly() + ", " + words));
    }

    private String label(Change change, TreatmentForm before, TreatmentForm after) {
        String kind = before.kind().label();
        if (change.isOfNumber()) {
            String counted = before.kind().course().count().map(Count::label).orElse("");
            return "%s: %d %s instead of %d"
                    .formatted(
                            kind,
                            after.kind().course().number(after.number()),
                            counted,
                            before.kind().course().number(before.number()));
        }
        Dose was = dose(before);
        Dose next = dose(after);
        return was == null || next == null
                ? "%s: %s, which was a guess; measure it this time".formatted(kind, change.label())
                : "%s: %s instead of %s".formatted(kind, next.words(), was.words());
    }

    /** What an arm was given, as it stands in a list. */
    List<String> words(SetUp setUp) {
        return setUp.treatments().stream()
                .map(given -> treatments.given(given).words())
                .toList();
    }
}
