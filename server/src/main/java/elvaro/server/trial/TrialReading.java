package elvaro.server.trial;

import elvaro.core.tasting.Finish;
import elvaro.core.tasting.TastingVerdict;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Conclusion;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Strength;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.CostView;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.look.LookService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.tasting.FirstTasting;
import elvaro.server.tasting.FirstTasting.FirstSample;
import elvaro.server.tasting.TrialTastings;
import elvaro.server.tasting.TrialTastings.ArmPlate;
import elvaro.server.tasting.TrialTastings.Tasted;
import elvaro.server.treatment.TreatmentQueries;
import elvaro.server.trial.NextTrial.Heard;
import elvaro.server.trial.TrialVerdicts.OfArm;
import elvaro.server.trial.TrialView.ArmLine;
import elvaro.server.trial.TrialView.ArmPieceView;
import elvaro.server.trial.TrialView.ArmView;
import elvaro.server.trial.TrialView.ArmWeighing;
import elvaro.server.trial.TrialView.BestView;
import elvaro.server.trial.TrialView.MeansView;
import elvaro.server.trial.TrialView.SeenView;
import elvaro.server.trial.TrialView.SmellView;
import elvaro.server.trial.TrialView.TrialLine;
import elvaro.server.trial.TrialView.VerdictView;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading trials: all of it is worked out from the pieces. */
@Service
@Transactional(readOnly = true)
class TrialReading {
    private final TrialGathering trials;
    private final TrialVerdicts verdicts;
    private final TrialThread thread;
    private final Ageing ageing;
    private final PieceQueries pieces;
    private final LookService looks;
    private final TreatmentQueries treated;
    private final NextTrial nextTrial;
    private final ArmSetUps setUps;
    private final TrialTastings tasted;
    private final WorkshopService workshops;

    TrialReading(
            TrialGathering trials,
            TrialVerdicts verdicts,
            TrialThread thread,
            Ageing ageing,
            PieceQueries pieces,
            LookService looks,
            TreatmentQueries treated,
            NextTrial nextTrial,
            ArmSetUps setUps,
            TrialTastings tasted,
            WorkshopService workshops) {
        this.trials = trials;
        this.verdicts = verdicts;
        this.thread = thread;
        this.ageing = ageing;
        this.pieces = pieces;
        this.looks = looks;
        this.treated = treated;
        this.nextTrial = nextTrial;
        this.setUps = setUps;
        this.tasted = tasted;
        this.workshops = workshops;
    }

    /** Every trial, the newest first. */
    List<TrialLine> all() {
        List<TrialWithPieces> all = trials.whole(trials.newest());
        Map<UUID, Tasted> tables = trials.tasted(all);
        return all.stream()
                .map(trial -> line(trial, tables.getOrDefault(trial.trial().id(), Tasted.NOTHING)))
                .toList();
    }

    private TrialLine line(TrialWithPieces trial, Tasted tables) {
        List<Flaw> flaws = trials.flaws(trial);
        return new TrialLine(
                trial.trial().id(),
                trial.trial().question(),
                trial.trial().factor().label(),
                trial.trial().startedOn(),
                trial.ended(),
                flaws.size(),
                trial.arms().stream()
                        .map(arm -> new ArmLine(
                                arm.name(),
                                arm.control(),
                                trial.of(arm).stream().map(pieces::card).toList()))
                        .toList(),
                sentences(trial, flaws, tables));
    }

    private List<String> sentences(TrialWithPieces trial, List<Flaw> flaws, Tasted tables) {
        return TrialVerdicts.conclusions(trial, verdicts.of(trial, tables), flaws, tables).stream()
                .map(Conclusion::sentence)
                .toList();
    }

    /** What a tasting begins with that is to answer it: of each arm a piece that was cut, else any of it. */
    FirstTasting firstTasting(UUID id) {
        Trial asked = trials.find(id);
        TrialWithPieces trial = trials.whole(asked);
        Map<UUID, SetUp> done = setUps.of(List.of(trial));
        return FirstTasting.of(
                asked.question(),
                id,
                trial.arms().stream()
                        .map(arm -> sample(arm, trial.of(arm), finish(done.get(arm.id()))))
                        .toList());
    }

    /** What an arm is to be eaten with. */
    private static Finish finish(@Nullable SetUp setUp) {
        boolean butter = setUp != null
                && setUp.treatments().stream().anyMatch(given -> given.kind() == TreatmentKind.TABLE_BUTTER);
        return butter ? Finish.BUTTER : Finish.NOTHING;
    }

    private static FirstSample sample(TrialArm arm, List<Figures> figures, Finish finish) {
        List<Piece> there = figures.stream().map(Figures::piece).toList();
        Optional<Piece> piece = there.stream()
                .filter(each -> each.state() == PieceState.CUT)
                .findFirst()
                .or(() -> there.stream().findFirst());
        return FirstSample.ofArm(
                arm.name(),
                arm.id(),
                piece.map(Piece::id).orElse(null),
                piece.map(Piece::tag).orElse(null),
                finish);
    }

    TrialView view(UUID id) {
        Trial asked = trials.find(id);
        TrialWithPieces trial = trials.whole(asked);
        List<Flaw> flaws = trials.flaws(trial);
        Tasted tables = tasted.of(id, trial.controls());
        List<OfArm> found = verdicts.of(trial, tables);
        TrialThread.Line line = thread.of(asked);
        int lastDay = (int) Math.ceil(trial.all()
                .mapToDouble(each -> Math.max(each.piece().targetDays().orElse(0), verdicts.reached(each)))
                .max()
                .orElse(1));
        Map<UUID, String> given =
                treated.words(trial.all().map(each -> each.piece().id()).toList());
        return new TrialView(
                asked.id(),
                asked.version(),
                asked.question(),
                asked.factor(),
                asked.factor().label(),
                asked.measure(),
                asked.measure().label(),
                asked.startedOn(),
                asked.seed() == null ? null : String.valueOf(asked.seed()),
                asked.learnt(),
                trial.ended(),
                trial.arms().stream()
                        .map(arm -> view(trial, arm, lastDay, given))
                        .toList(),
                flaws,
                verdicts.drying(trial),
                found.stream()
                        .map(each -> VerdictView.of(each.arm().id(), each.verdict()))
                        .toList(),
                tables.tables(),
                TrialVerdicts.conclusions(trial, found, flaws, tables),
                best(trial, tables),
                ageing.of(trial, tables),
                line.together(),
                line.steps());
    }

    private ArmView view(TrialWithPieces trial, TrialArm arm, int lastDay, Map<UUID, String> given) {
        WorkshopSettings settings = workshops.settings();
        List<Figures> own = trial.of(arm);
        String setUp = own.stream()
                .map(each -> setUp(each.piece(), given.get(each.piece().id())))
                .distinct()
                .collect(Collectors.joining("; "));
        List<ArmPieceView> views =
                own.stream().map(each -> view(trial, each, settings)).toList();
        return new ArmView(
                arm.id(),
                arm.name(),
                arm.control(),
                setUp,
                views,
                smells(views),
                TrialVerdicts.curve(own, lastDay),
                means(own.stream().filter(TrialWithPieces::measured).toList()));
    }

    /** What was smelled at the looks, the most often first. */
    private static List<SmellView> smells(List<ArmPieceView> pieces) {
        return pieces.stream()
                .flatMap(piece -> piece.looks().stream())
                .collect(Collectors.groupingBy(SeenView::smell, Collectors.counting()))
                .entrySet()
                .stream()
                .map(each ->
                        new SmellView(each.getKey().label(), each.getValue().intValue()))
                .sorted(Comparator.comparing(SmellView::times).reversed().thenComparing(SmellView::label))
                .toList();
    }

    private static String setUp(Piece piece, @Nullable String given) {
        return "%s, %s, %d days%s"
                .formatted(
                        piece.method().map(method -> method.label()).orElse(""),
                        piece.chamber().map(chamber -> chamber.name()).orElse(""),
                        piece.targetDays().orElse(0),
                        given == null ? "" : "; " + given);
    }

    private ArmPieceView view(TrialWithPieces trial, Figures figures, WorkshopSettings settings) {
        Piece piece = figures.piece();
        Instant hungAt = piece.hungAt(workshops.mine().clock()).orElse(Instant.EPOCH);
        return new ArmPieceView(
                pieces.card(figures),
                trial.blocks().getOrDefault(piece.id(), ""),
                LedgerView.of(figures.ledger()),
                CostView.of(figures.landed(), figures.steak(), figures.ledger().green(), settings),
                figures.log().weighings().stream()
                        .map(net -> new ArmWeighing(
                                Math.max(0, Duration.between(hungAt, net.at()).toSeconds() / 86_400.0),
                                figures.log().lostBy(net)))
                        .toList(),
                looks.of(piece.id()).stream()
                        .filter(look -> look.stands())
                        .map(look -> new SeenView(
                                look.id(),
                                dayOf(look.at(), piece),
                                look.answer(),
                                look.seen(),
                                look.observed().smell(),
                                look.photos()))
                        .sorted(Comparator.comparing(SeenView::day))
                        .toList());
    }

    /** By the calendar, as a piece's day is counted everywhere. */
    private long dayOf(Instant at, Piece piece) {
        LocalDate day = workshops.mine().clock().day(at);
        return piece.hungOn()
                .map(hung -> Math.max(0, ChronoUnit.DAYS.between(hung, day)))
                .orElse(0L);
    }

    private static @Nullable MeansView means(List<Figures> cut) {
        if (cut.isEmpty()) {
            return null;
        }
        return new MeansView(
                cut.size(),
                mean(cut, each -> each.ledger().shrinkFraction()),
                mean(cut, each -> each.ledger().trimFraction()),
                mean(cut, each -> each.ledger().discardFraction()),
                mean(cut, each -> each.ledger().steakYield()),
                mean(cut, each -> each.ledger().usableYield()),
                known(
                        cut,
                        each -> each.log().steaks().isEmpty()
                                ? Optional.empty()
                                : Optional.of((double) each.log().steaks().getAsInt())),
                known(cut, each -> each.steak().perKilogram()),
                known(cut, each -> each.steak().perKilogramEaten()));
    }

    /** The mean of those it is known of. */
    private static @Nullable Double known(List<Figures> cut, Function<Figures, Optional<Double>> value) {
        OptionalDouble mean = cut.stream()
                .flatMap(each -> value.apply(each).stream())
                .mapToDouble(Double::doubleValue)
                .average();
        return mean.isPresent() ? mean.getAsDouble() : null;
    }

    /** What won at the table, where a finish was tasted: arms alone are told of by the conclusions. */
    private static @Nullable BestView best(TrialWithPieces trial, Tasted tables) {
        boolean finished = tables.plates().stream().anyMatch(plate -> plate.finish() != Finish.NOTHING);
        return tables.best()
                .filter(best -> finished)
                .map(best -> {
                    ArmPlate plate = tables.plates().get(best.plate());
                    String arm = name(trial, plate);
                    TastingVerdict said = TastingVerdict.of(
                            best.against(),
                            plate.finish().on(arm),
                            on(trial, tables.plates().get(best.closest())));
                    return new BestView(
                            "Best liked was %s: %s %s"
                                    .formatted(plate.finish().on(arm), said.found(), TastingVerdict.surety(best.p())),
                            plate.finish() == Finish.NOTHING
                                    ? null
                                    : "Age it as in %s, and put %s on at the table."
                                            .formatted(arm, plate.finish().label()));
                })
                .orElse(null);
    }

    private static String on(TrialWithPieces trial, ArmPlate plate) {
        return plate.finish().on(name(trial, plate));
    }

    private static String name(TrialWithPieces trial, ArmPlate plate) {
        return trial.arms().stream()
                .filter(arm -> arm.id().equals(plate.arm()))
                .map(TrialArm::name)
                .findFirst()
                .orElse("");
    }

    private static double mean(List<Figures> cut, ToDoubleFunction<Figures> value) {
        return cut.stream().mapToDouble(value).average().orElseThrow();
    }

    /** What a next trial may change, arm by arm, with what is proposed. */
    NextTrial.NextForm next(UUID id, int days) {
        TrialWithPieces trial = trials.whole(trials.find(id));
        Tasted tables = tasted.of(id, trial.controls());
        Map<UUID, Strength> shown = verdicts.of(trial, tables).stream()
                .filter(each -> each.verdict().judgement().asked())
                .collect(Collectors.toMap(
                        each -> each.arm().id(),
                        each -> each.verdict().judgement().strength()));
        List<TrialArm> treatedArms = trial.others();
        Map<UUID, Heard> heard = trial.arms().stream().collect(Collectors.toMap(TrialArm::id, arm -> {
            List<String> words = new ArrayList<>(tables.words().getOrDefault(arm.id(), List.of()));
            words.addAll(learntOf(trial, arm, treatedArms));
            return new Heard(words, Optional.ofNullable(shown.get(arm.id())), TrialVerdicts.lostMeat(trial, arm));
        }));
        return nextTrial.from(trial, days, setUps.of(List.of(trial)), heard);
    }

    /** What was learnt in a sentence that names the arm, or in any where there is one arm beside the control only. */
    private static List<String> learntOf(TrialWithPieces trial, TrialArm arm, List<TrialArm> others) {
        boolean theOne = others.size() == 1 && others.contains(arm);
        return Arrays.stream(trial.trial().learnt().split("(?<=[.!?])\\s+"))
                .filter(sentence -> theOne
                        || sentence.toLowerCase(Locale.ROOT).contains(arm.name().toLowerCase(Locale.ROOT)))
                .toList();
    }
}
