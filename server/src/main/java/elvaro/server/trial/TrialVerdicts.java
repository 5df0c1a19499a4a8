package elvaro.server.trial;

import elvaro.core.forecast.Forecast;
import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.Ledger;
import elvaro.core.tasting.Preference;
import elvaro.core.tasting.TastingVerdict;
import elvaro.core.trial.Conclusion;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Drying;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Judgement;
import elvaro.core.trial.Judgement.Found;
import elvaro.core.trial.Lesson;
import elvaro.core.trial.Lesson.Went;
import elvaro.core.trial.TrialMeasure;
import elvaro.core.trial.TrialVerdict;
import elvaro.core.trial.TrialVerdict.Sides;
import elvaro.server.forecast.Ahead;
import elvaro.server.forecast.Figures;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.tasting.TrialTastings.Tasted;
import elvaro.server.tasting.TrialTastings.TastedView;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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

    /** One arm against the control in one measure. */
    private record Compared(Found found, Function<Judgement, TrialVerdict> inWords) {}

    /** Of every arm against the control, of what is cut, priced and tasted: what was asked first, then what is seen beside it. */
    List<OfArm> of(TrialWithPieces trial, Tasted tasted) {
        List<TrialArm> others = trial.others();
        Map<Found, Compared> all = new LinkedHashMap<>();
        for (int arm = 0; arm < others.size(); arm++) {
            for (TrialMeasure measure : TrialMeasure.values()) {
                compared(trial, arm, measure, tasted).ifPresent(each -> all.put(each.found(), each));
            }
        }
        return judged(trial.trial().measure(), all, others);
    }

    /**
     * The last of several trials of one thing with those before it, in what was asked: their pieces beside each other, and
     * every taster with one voice.
     *
     * @param run the last first; its arms are known in the others by their names
     */
    List<OfArm> together(List<TrialWithPieces> run, Map<UUID, Tasted> tasted) {
        TrialWithPieces last = run.get(0);
        List<TrialArm> others = last.others();
        Map<Found, Compared> all = new LinkedHashMap<>();
        IntStream.range(0, others.size())
                .mapToObj(number -> together(run, number, tasted))
                .flatMap(Optional::stream)
                .forEach(each -> all.put(each.found(), each));
        return judged(last.trial().measure(), all, others);
    }

    private static Optional<Compared> together(List<TrialWithPieces> run, int number, Map<UUID, Tasted> tasted) {
        TrialWithPieces last = run.get(0);
        TrialMeasure measure = last.trial().measure();
        TrialArm arm = last.others().get(number);
        TrialArm control = last.controlOf(arm);
        if (measure.isOfPieces()) {
            return measured(
                    number,
                    measure,
                    control,
                    arm,
                    named(run, control.name(), (trial, each) -> found(trial, measure, each)),
                    named(run, arm.name(), (trial, each) -> found(trial, measure, each)));
        }
        List<Map<UUID, Integer>> heard = named(
                run,
                arm.name(),
                (trial, each) -> List.of(tasted.getOrDefault(trial.trial().id(), Tasted.NOTHING)
                        .voices(each.id(), trial.controlOf(each).id())));
        return Optional.of(Preference.count(Tasted.oneVoiceEach(heard).values()))
                .filter(liking -> liking.decided() > 0)
                .map(liking -> liked(number, liking, arm.name(), control.name()));
    }

    /** What the arms of one name have, over all trials. */
    private static <T> List<T> named(
            List<TrialWithPieces> run, String name, BiFunction<TrialWithPieces, TrialArm, List<T>> what) {
        return run.stream()
                .flatMap(trial -> trial.arms().stream()
                        .filter(each -> each.name().equalsIgnoreCase(name))
                        .flatMap(each -> what.apply(trial, each).stream()))
                .toList();
    }

    private static List<OfArm> judged(TrialMeasure main, Map<Found, Compared> all, List<TrialArm> others) {
        return Judgement.of(main, List.copyOf(all.keySet())).stream()
                .map(judgement -> new OfArm(
                        others.get(judgement.found().arm()),
                        all.get(judgement.found()).inWords().apply(judgement)))
                .toList();
    }

    private static Optional<Compared> compared(TrialWithPieces trial, int number, TrialMeasure measure, Tasted tasted) {
        TrialArm arm = trial.others().get(number);
        TrialArm control = trial.controlOf(arm);
        return measure.isOfPieces()
                ? measured(number, measure, control, arm, found(trial, measure, control), found(trial, measure, arm))
                : tasted.liking(arm.id(), control.id())
                        .map(liking -> liked(number, liking, arm.name(), control.name()));
    }

    private static Optional<Compared> measured(
            int number,
            TrialMeasure measure,
            TrialArm control,
            TrialArm arm,
            List<ArmValue> there,
            List<ArmValue> here) {
        if (there.isEmpty() || here.isEmpty()) {
            return Optional.empty();
        }
        Effect effect = Effect.of(there, here, measure.step());
        Sides sides = new Sides(arm.name(), mean(measure, here), control.name(), mean(measure, there));
        return Optional.of(new Compared(
                new Found(number, measure, effect.p(), effect.freedom() > 0),
                judgement -> TrialVerdict.of(judgement, effect, sides)));
    }

    private static Compared liked(int number, Preference liking, String arm, String control) {
        TastingVerdict said = TastingVerdict.of(liking, arm, control);
        return new Compared(
                new Found(number, TrialMeasure.LIKING, liking.p(), liking.decided() > 1),
                judgement -> TrialVerdict.ofLiking(judgement, said.found(), said.statistics()));
    }

    /** One for each arm that has a verdict or was tasted. */
    static List<Conclusion> conclusions(TrialWithPieces trial, List<OfArm> verdicts, List<Flaw> flaws, Tasted tasted) {
        List<Conclusion> all = new ArrayList<>();
        for (TrialArm arm : trial.others()) {
            List<TrialVerdict> own = verdicts.stream()
                    .filter(each -> each.arm() == arm)
                    .map(OfArm::verdict)
                    .toList();
            List<TastedView> tables = tasted.tables().stream()
                    .filter(table -> table.arms().containsKey(arm.id()))
                    .toList();
            if (!own.isEmpty() || !tables.isEmpty()) {
                boolean likingAsked = trial.trial().measure() == TrialMeasure.LIKING;
                all.add(Conclusion.of(
                        arm.name(),
                        own.stream().filter(each -> each.judgement().asked()).findFirst(),
                        missing(trial, arm),
                        lesson(trial, arm),
                        flaws,
                        likingAsked
                                ? List.of()
                                : tables.stream()
                                        .map(table -> table.arms().get(arm.id()))
                                        .toList(),
                        tables.stream()
                                .flatMap(table -> table.weakenedBy().stream())
                                .toList()));
            }
        }
        return all;
    }

    /** Why what was asked is not known. */
    private static String missing(TrialWithPieces trial, TrialArm arm) {
        TrialMeasure measure = trial.trial().measure();
        if (!measure.isOfPieces()) {
            return "%s and %s were not tasted blind against each other yet: which is liked better is not known."
                    .formatted(arm.name(), trial.controlOf(arm).name());
        }
        boolean cut = Stream.of(arm, trial.controlOf(arm))
                .allMatch(each -> trial.of(each).stream().anyMatch(TrialWithPieces::measured));
        if (!cut) {
            return "The %s of %s is not known before pieces of both arms are cut and weighed."
                    .formatted(measure.label(), arm.name());
        }
        return measure.isCost()
                ? "What it costs is not known: nobody wrote down what the lot cost."
                : "The %s is not known: the steaks were not counted.".formatted(measure.label());
    }

    private static Optional<String> lesson(TrialWithPieces trial, TrialArm arm) {
        List<Figures> there = cut(trial, trial.controlOf(arm));
        List<Figures> here = cut(trial, arm);
        if (there.isEmpty() || here.isEmpty()) {
            return Optional.empty();
        }
        String causes = here.stream()
                .flatMap(each -> each.log().causes().stream())
                .filter(cause -> cause != DiscardCause.CRUST) // which is thrown away always
                .distinct()
                .sorted()
                .map(DiscardCause::label)
                .collect(Collectors.joining(", "));
        return Lesson.of(arm.name(), trial.controlOf(arm).name(), went(there), went(here), causes);
    }

    /** Whether much more of an arm was thrown away than of what it is held against. */
    static boolean lostMeat(TrialWithPieces trial, TrialArm arm) {
        List<Figures> there = cut(trial, trial.controlOf(arm));
        List<Figures> here = cut(trial, arm);
        return !there.isEmpty() && !here.isEmpty() && Lesson.isLoss(went(there), went(here));
    }

    private static Went went(List<Figures> pieces) {
        return new Went(
                mean(pieces, Ledger::green),
                mean(pieces, Ledger::shrink),
                mean(pieces, Ledger::usable),
                mean(pieces, Ledger::discard));
    }

    private static double mean(List<Figures> pieces, ToIntFunction<Ledger> grams) {
        return pieces.stream()
                .mapToInt(each -> grams.applyAsInt(each.ledger()))
                .average()
                .orElseThrow();
    }

    private static List<Figures> cut(TrialWithPieces trial, TrialArm arm) {
        return trial.of(arm).stream().filter(TrialWithPieces::measured).toList();
    }

    /** What each piece of an arm has of a measure; empty where nothing is weighed, cut, priced or counted. */
    static List<ArmValue> found(TrialWithPieces trial, TrialMeasure measure, TrialArm arm) {
        return trial.of(arm).stream()
                .flatMap(each -> value(each, measure).stream()
                        .mapToObj(value -> new ArmValue(
                                String.valueOf(each.piece().lot().number()),
                                trial.blocks().get(each.piece().id()),
                                value)))
                .toList();
    }

    /** Shrink is known at the pull, and a count by itself; the rest once the piles are weighed. */
    private static OptionalDouble value(Figures figures, TrialMeasure measure) {
        Ledger ledger = figures.ledger();
        if (measure == TrialMeasure.STEAKS) {
            return figures.log().steaks().stream().asDoubleStream().findFirst();
        }
        boolean weighed = figures.log().pull().isPresent() && !figures.log().isEstimated();
        if (measure == TrialMeasure.SHRINK) {
            return weighed ? OptionalDouble.of(ledger.shrinkFraction()) : OptionalDouble.empty();
        }
        if (!TrialWithPieces.measured(figures)) {
            return OptionalDouble.empty();
        }
        return switch (measure) {
            case USABLE_YIELD -> OptionalDouble.of(ledger.usableYield());
            case STEAK_YIELD -> OptionalDouble.of(ledger.steakYield());
            case DISCARD -> OptionalDouble.of(ledger.discardFraction());
            case COST -> logarithm(figures.steak().perKilogram());
            case COST_EATEN -> logarithm(figures.steak().perKilogramEaten());
            case SHRINK, STEAKS, LIKING -> OptionalDouble.empty();
        };
    }

    private static OptionalDouble logarithm(Optional<Double> cost) {
        return cost.filter(minor -> minor > 0)
                .map(minor -> OptionalDouble.of(Math.log(minor)))
                .orElse(OptionalDouble.empty());
    }

    /** As it is told: of a cost the mean of the money. */
    private static double mean(TrialMeasure measure, List<ArmValue> found) {
        return found.stream()
                .mapToDouble(each -> measure.isCost() ? Math.exp(each.value()) : each.value())
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
        HouseClock house = workshops.mine().clock();
        Instant until = figures.log().pull().map(pull -> pull.at()).orElse(clock.instant());
        return figures.piece()
                .hungAt(house)
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
