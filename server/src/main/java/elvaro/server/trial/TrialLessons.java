package elvaro.server.trial;

import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Band;
import elvaro.core.trial.Design;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Evidence;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.forecast.Figures;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentQueries;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the shop has learnt of each treatment, over all its trials. */
@Service
@Transactional(readOnly = true)
class TrialLessons {
    private static final double LEVEL = 0.8;

    /** A trial that changed more than the treatment says nothing about it. */
    private static final Set<Design.FlawKind> LEAVES_OUT =
            EnumSet.of(Design.FlawKind.SEVERAL_CHANGES, Design.FlawKind.MIXED_ARM, Design.FlawKind.NO_CONTROL);

    private static final List<TrialMeasure> POOLED =
            Arrays.stream(TrialMeasure.values()).filter(TrialMeasure::isPooled).toList();

    private final TrialGathering trials;
    private final TreatmentQueries treated;

    TrialLessons(TrialGathering trials, TreatmentQueries treated) {
        this.trials = trials;
        this.treated = treated;
    }

    /**
     * A treatment.
     *
     * @param pieces treated pieces that are cut
     */
    record LessonView(TreatmentKind kind, String label, int trials, int pieces, List<LessonOf> measures) {}

    /**
     * Its effect in one measure against the control, fraction of green; of the cost a ratio less 1.
     *
     * @param value shrunk towards zero
     * @param unshrunk as the trials say by themselves
     */
    record LessonOf(TrialMeasure measure, String label, double value, Band band, double unshrunk, int pairs) {}

    /** @param leftOut trials that changed more than the treatment, or have no plain control */
    record LessonsView(List<LessonView> treatments, int leftOut) {}

    /** The differences of the trials of one kind, by measure. */
    private static final class LessonTally {
        private final Map<TrialMeasure, List<List<Double>>> differences = new EnumMap<>(TrialMeasure.class);
        private int trials;
        private int pieces;
    }

    LessonsView all() {
        Map<TreatmentKind, LessonTally> heard = new EnumMap<>(TreatmentKind.class);
        int leftOut = 0;
        List<Trial> asked = trials.newest().stream()
                .filter(trial -> trial.factor() == Factor.TREATMENT)
                .toList();
        for (TrialWithPieces trial : trials.whole(asked)) {
            if (trial.all().noneMatch(TrialWithPieces::cut)) {
                continue;
            }
            boolean unfair = trials.flaws(trial).stream().anyMatch(flaw -> LEAVES_OUT.contains(flaw.kind()));
            if (unfair || controlIsTreated(trial)) {
                leftOut++;
            } else {
                hear(trial, heard);
            }
        }
        return new LessonsView(
                heard.entrySet().stream()
                        .map(each -> view(each.getKey(), each.getValue()))
                        .toList(),
                leftOut);
    }

    /** What is held against another treatment says nothing about either alone. */
    private boolean controlIsTreated(TrialWithPieces trial) {
        return !treated.given(trial.of(trial.control()).stream()
                        .map(each -> each.piece().id())
                        .toList())
                .isEmpty();
    }

    private void hear(TrialWithPieces trial, Map<TreatmentKind, LessonTally> heard) {
        Map<UUID, List<Given>> given =
                treated.given(trial.all().map(each -> each.piece().id()).toList());
        for (TrialArm arm : trial.others()) {
            List<Figures> cut =
                    trial.of(arm).stream().filter(TrialWithPieces::measured).toList();
            Optional<TreatmentKind> kind = cut.stream()
                    .flatMap(each -> given.getOrDefault(each.piece().id(), List.of()).stream())
                    .map(Given::kind)
                    .findFirst();
            if (kind.isEmpty()) {
                continue;
            }
            LessonTally own = heard.computeIfAbsent(kind.get(), each -> new LessonTally());
            boolean any = false;
            for (TrialMeasure measure : POOLED) {
                List<Double> differences = differences(trial, measure, arm);
                if (!differences.isEmpty()) {
                    any = true;
                    own.differences
                            .computeIfAbsent(measure, each -> new ArrayList<>())
                            .add(differences);
                }
            }
            own.trials += any ? 1 : 0;
            own.pieces += any ? cut.size() : 0;
        }
    }

    /** Pair by pair; one difference of means where nothing is paired. */
    private static List<Double> differences(TrialWithPieces trial, TrialMeasure measure, TrialArm arm) {
        List<ArmValue> there = TrialVerdicts.found(trial, measure, trial.control());
        List<ArmValue> here = TrialVerdicts.found(trial, measure, arm);
        if (there.isEmpty() || here.isEmpty()) {
            return List.of();
        }
        List<Double> paired = Effect.differences(there, here);
        return paired.isEmpty() ? List.of(Effect.of(there, here, measure.step()).value()) : paired;
    }

    private static LessonView view(TreatmentKind kind, LessonTally heard) {
        return new LessonView(
                kind,
                kind.label(),
                heard.trials,
                heard.pieces,
                heard.differences.entrySet().stream()
                        .map(each -> of(each.getKey(), Evidence.of(each.getKey(), each.getValue())))
                        .toList());
    }

    private static LessonOf of(TrialMeasure measure, Evidence evidence) {
        Band band = evidence.band(LEVEL);
        return new LessonOf(
                measure,
                measure.label(),
                shown(measure, evidence.value()),
                new Band(shown(measure, band.low()), shown(measure, band.high())),
                shown(measure, evidence.unshrunk()),
                evidence.pairs());
    }

    private static double shown(TrialMeasure measure, double value) {
        return measure.isCost() ? Math.exp(value) - 1 : value;
    }
}
