package elvaro.server.trial;

import elvaro.core.forecast.Forecast;
import elvaro.core.trial.Conclusion;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Drying;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.TrialMeasure;
import elvaro.core.trial.TrialVerdict;
import elvaro.server.forecast.Ahead;
import elvaro.server.forecast.Figures;
import elvaro.server.settings.WorkshopService;
import elvaro.server.tasting.TrialTastings.TastedView;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the pieces of a trial say, worked out by core from what was weighed. */
@Component
class TrialVerdicts {
    private final WorkshopService workshops;
    private final Clock clock;

    TrialVerdicts(WorkshopService workshops, Clock clock) {
        this.workshops = workshops;
        this.clock = clock;
    }

    /** A verdict with the arm it is about. */
    record OfArm(TrialArm arm, TrialVerdict verdict) {}

    /** Of every arm against the control, of what is cut; none for arms nothing of which is. */
    List<OfArm> of(TrialWithPieces trial) {
        List<OfArm> all = new ArrayList<>();
        TrialArm control = trial.control();
        for (TrialArm arm : trial.others()) {
            for (TrialMeasure measure : TrialMeasure.values()) {
                verdict(trial, measure, control, arm).ifPresent(verdict -> all.add(new OfArm(arm, verdict)));
            }
        }
        return all;
    }

    /** In one line for each arm that has a verdict or was tasted. */
    static List<Conclusion> conclusions(
            TrialWithPieces trial, List<OfArm> verdicts, List<Flaw> flaws, List<TastedView> tasted) {
        List<Conclusion> all = new ArrayList<>();
        for (TrialArm arm : trial.others()) {
            List<TrialVerdict> own = verdicts.stream()
                    .filter(each -> each.arm() == arm)
                    .map(OfArm::verdict)
                    .toList();
            List<TastedView> tables = tasted.stream()
                    .filter(table -> table.arms().containsKey(arm.id()))
                    .toList();
            if (!own.isEmpty() || !tables.isEmpty()) {
                all.add(Conclusion.of(
                        arm.name(),
                        trial.control().name(),
                        own,
                        flaws,
                        tables.stream().map(table -> table.arms().get(arm.id())).toList(),
                        tables.stream()
                                .flatMap(table -> table.weakenedBy().stream())
                                .toList()));
            }
        }
        return all;
    }

    /** What each cut piece of an arm has of a measure; empty where nothing is cut or has a cost. */
    static List<ArmValue> found(TrialWithPieces trial, TrialMeasure measure, TrialArm arm) {
        return trial.of(arm).stream()
                .filter(TrialWithPieces::cut)
                .flatMap(each -> value(each, measure).stream()
                        .mapToObj(value ->
                                new ArmValue(trial.blocks().get(each.piece().id()), value)))
                .toList();
    }

    private static OptionalDouble value(Figures figures, TrialMeasure measure) {
        return switch (measure) {
            case SHRINK -> OptionalDouble.of(figures.ledger().shrinkFraction());
            case TRIM -> OptionalDouble.of(figures.ledger().trimFraction());
            case STEAK_YIELD -> OptionalDouble.of(figures.ledger().steakYield());
            case COST ->
                figures.steak()
                        .perKilogram()
                        .filter(cost -> cost > 0)
                        .map(cost -> OptionalDouble.of(Math.log(cost)))
                        .orElse(OptionalDouble.empty());
        };
    }

    private Optional<TrialVerdict> verdict(
            TrialWithPieces trial, TrialMeasure measure, TrialArm control, TrialArm arm) {
        List<ArmValue> there = found(trial, measure, control);
        List<ArmValue> here = found(trial, measure, arm);
        if (there.isEmpty() || here.isEmpty()) {
            return Optional.empty();
        }
        Effect effect = Effect.of(there, here);
        if (measure != TrialMeasure.COST) {
            return Optional.of(TrialVerdict.of(measure, effect, arm.name(), control.name()));
        }
        double dearer = meanCost(here) - meanCost(there);
        return Optional.of(TrialVerdict.ofCost(effect, dearer, arm.name(), control.name()));
    }

    private static double meanCost(List<ArmValue> found) {
        return found.stream()
                .mapToDouble(each -> Math.exp(each.value()))
                .average()
                .orElseThrow();
    }

    /** How fast each arm dries against the control, on the last day all of its pieces have reached. */
    List<String> drying(TrialWithPieces trial) {
        TrialArm control = trial.control();
        return trial.others().stream()
                .flatMap(arm -> drying(trial, control, arm).stream())
                .toList();
    }

    private Optional<String> drying(TrialWithPieces trial, TrialArm control, TrialArm arm) {
        double day = Stream.concat(trial.of(control).stream(), trial.of(arm).stream())
                .mapToDouble(this::reached)
                .min()
                .orElse(0);
        return Drying.of(lost(trial.of(control), day), lost(trial.of(arm), day))
                .map(drying -> drying.words(arm.name(), control.name()));
    }

    private static List<Forecast.Day> lost(List<Figures> pieces, double day) {
        return pieces.stream()
                .flatMap(each -> Stream.ofNullable(each.ahead()))
                .map(ahead -> ahead.at(day))
                .toList();
    }

    /** For how many days a piece has hung, to its pull or to now. */
    double reached(Figures figures) {
        ZoneId zone = workshops.mine().zone();
        Instant until = figures.log().pull().map(pull -> pull.at()).orElse(clock.instant());
        return figures.piece()
                .hungAt(zone)
                .map(hung -> Math.max(0, Duration.between(hung, until).toSeconds() / 86_400.0))
                .orElse(0.0);
    }

    /** The mean of what the pieces of an arm lose by each day, with the ends of its band. */
    static List<TrialView.ArmDay> curve(List<Figures> pieces, int lastDay) {
        List<Ahead> ahead =
                pieces.stream().flatMap(each -> Stream.ofNullable(each.ahead())).toList();
        if (ahead.isEmpty()) {
            return List.of();
        }
        List<TrialView.ArmDay> curve = new ArrayList<>();
        for (int day = 0; day <= lastDay; day++) {
            double[] sum = new double[3];
            for (Ahead each : ahead) {
                Forecast.Day on = each.at(day);
                sum[0] += on.lost();
                sum[1] += on.least();
                sum[2] += on.most();
            }
            double[] mean = Arrays.stream(sum).map(each -> each / ahead.size()).toArray();
            curve.add(new TrialView.ArmDay(day, mean[0], mean[1], mean[2]));
        }
        return curve;
    }
}
