package elvaro.server.trial;

import elvaro.core.drying.Method;
import elvaro.core.treatment.Dose;
import elvaro.core.trial.Change;
import elvaro.core.trial.Factor;
import elvaro.server.forecast.Figures;
import elvaro.server.piece.Piece;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.treatment.TreatmentQueries;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The next trial from one that is there: its set-up, with one thing changed. */
@Component
class NextTrial {
    private final TreatmentQueries treated;

    NextTrial(TreatmentQueries treated) {
        this.treated = treated;
    }

    /**
     * A set-up to begin a trial with.
     *
     * @param changed from the trial before, in words
     */
    record NextForm(UUID fromId, String question, Factor factor, String changed, List<NextArm> arms) {}

    record NextArm(String name, boolean control, @Nullable SetUp setUp) {}

    /** Whether the change changes anything. */
    boolean offers(TrialWithPieces trial, Change change) {
        List<TreatmentForm> given = trial.arms().stream()
                .flatMap(arm -> setUp(trial, arm).stream())
                .flatMap(setUp -> Optional.ofNullable(setUp.treatment()).stream())
                .toList();
        // The dose of a recipe is the recipe's: another dose is another recipe.
        boolean dosed = given.stream().anyMatch(each -> each.amount() != null && each.recipeId() == null);
        boolean counted =
                given.stream().anyMatch(each -> each.kind().course().count().isPresent());
        return (!change.needsDose() || dosed) && (!change.needsCount() || counted);
    }

    NextForm from(TrialWithPieces trial, Change change) {
        Trial before = trial.trial();
        List<NextArm> arms = trial.arms().stream()
                .map(arm -> new NextArm(
                        arm.name(),
                        arm.control(),
                        setUp(trial, arm)
                                .map(setUp -> changed(setUp, change, before.factor(), arm.control()))
                                .orElse(null)))
                .toList();
        return new NextForm(before.id(), before.question(), before.factor(), change.label(), arms);
    }

    /** What was set up, or what was done with its first piece where that hung already. */
    private Optional<SetUp> setUp(TrialWithPieces trial, TrialArm arm) {
        return arm.setUp()
                .or(() -> trial.of(arm).stream()
                        .map(Figures::piece)
                        .filter(piece -> piece.chamber().isPresent())
                        .findFirst()
                        .map(this::done));
    }

    private SetUp done(Piece piece) {
        Map<UUID, List<Given>> given = treated.given(List.of(piece.id()));
        TreatmentForm first = given.getOrDefault(piece.id(), List.of()).stream()
                .findFirst()
                .map(Given::form)
                .orElse(null);
        return new SetUp(
                piece.method().orElse(Method.OPEN_AIR),
                piece.chamber().orElseThrow().id(),
                piece.targetDays().orElse(1),
                null,
                piece.method().map(Method::usualConsumablesMinor).orElse(0),
                piece.benchOrder().orElse(null),
                first);
    }

    private static SetUp changed(SetUp setUp, Change change, Factor factor, boolean control) {
        // Days are the same in all arms, unless they are the question.
        int days = control && factor == Factor.DAYS ? setUp.targetDays() : change.days(setUp.targetDays());
        return new SetUp(
                setUp.method(),
                setUp.chamberId(),
                days,
                setUp.contactPercent(),
                setUp.consumablesMinor(),
                setUp.benchOrder(),
                Optional.ofNullable(setUp.treatment())
                        .map(given -> changed(given, change))
                        .orElse(null));
    }

    private static TreatmentForm changed(TreatmentForm given, Change change) {
        Double amount = given.amount();
        if (amount != null && given.measure() != null && given.basis() != null && change.needsDose()) {
            amount = change.of(new Dose(amount, given.measure(), given.basis())).amount();
        }
        Integer number = given.kind()
                .course()
                .count()
                .filter(count -> change.needsCount())
                .map(count -> change.number(given.number() == null ? count.usual() : given.number(), count))
                .orElse(given.number());
        return given.changed(amount, number);
    }
}
