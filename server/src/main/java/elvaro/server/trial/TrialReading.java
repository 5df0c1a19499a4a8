package elvaro.server.trial;

import elvaro.core.trial.Change;
import elvaro.core.trial.Conclusion;
import elvaro.core.trial.Design.Flaw;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.CostView;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.look.LookService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.Refusal;
import elvaro.server.tasting.FirstTasting;
import elvaro.server.tasting.FirstTasting.FirstSample;
import elvaro.server.tasting.TrialTastings;
import elvaro.server.tasting.TrialTastings.Tasted;
import elvaro.server.treatment.TreatmentQueries;
import elvaro.server.trial.TrialVerdicts.OfArm;
import elvaro.server.trial.TrialView.ArmLine;
import elvaro.server.trial.TrialView.ArmPieceView;
import elvaro.server.trial.TrialView.ArmView;
import elvaro.server.trial.TrialView.ArmWeighing;
import elvaro.server.trial.TrialView.MeansView;
import elvaro.server.trial.TrialView.NextView;
import elvaro.server.trial.TrialView.SeenView;
import elvaro.server.trial.TrialView.ThreadView;
import elvaro.server.trial.TrialView.TrialLine;
import elvaro.server.trial.TrialView.VerdictView;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading trials: all of it is worked out from the pieces. */
@Service
@Transactional(readOnly = true)
class TrialReading {
    private final TrialRepository trials;
    private final TrialDesigns designs;
    private final TrialVerdicts verdicts;
    private final PieceQueries pieces;
    private final LookService looks;
    private final TreatmentQueries treated;
    private final NextTrial nextTrial;
    private final TrialTastings tasted;
    private final WorkshopService workshops;

    TrialReading(
            TrialRepository trials,
            TrialDesigns designs,
            TrialVerdicts verdicts,
            PieceQueries pieces,
            LookService looks,
            TreatmentQueries treated,
            NextTrial nextTrial,
            TrialTastings tasted,
            WorkshopService workshops) {
        this.trials = trials;
        this.designs = designs;
        this.verdicts = verdicts;
        this.pieces = pieces;
        this.looks = looks;
        this.treated = treated;
        this.nextTrial = nextTrial;
        this.tasted = tasted;
        this.workshops = workshops;
    }

    /** Every trial, the newest first. */
    List<TrialLine> all() {
        List<TrialWithPieces> all = gather(trials.newest());
        Map<UUID, Tasted> tables = tables(all);
        return all.stream()
                .map(trial -> line(trial, tables.getOrDefault(trial.trial().id(), Tasted.NOTHING)))
                .toList();
    }

    private Map<UUID, Tasted> tables(List<TrialWithPieces> all) {
        return tasted.revealed(all.stream()
                .collect(Collectors.toMap(
                        each -> each.trial().id(), each -> each.control().id())));
    }

    private TrialLine line(TrialWithPieces trial, Tasted tables) {
        List<Flaw> flaws = flaws(trial);
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

    List<Flaw> flaws(TrialWithPieces trial) {
        return designs.of(trial.trial().factor(), trial.arms(), trial.byArm()).flaws();
    }

    /** All that belongs to these trials, read at once. */
    List<TrialWithPieces> gather(List<Trial> asked) {
        if (asked.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = asked.stream().map(Trial::id).toList();
        Map<UUID, List<TrialArm>> arms = trials.armsOf(ids).stream().collect(Collectors.groupingBy(TrialArm::trialId));
        Map<UUID, List<TrialPiece>> rows =
                trials.piecesOf(ids).stream().collect(Collectors.groupingBy(TrialPiece::trialId));
        List<UUID> pieceIds = rows.values().stream()
                .flatMap(Collection::stream)
                .map(TrialPiece::pieceId)
                .distinct()
                .toList();
        Map<UUID, Figures> figures = pieces.figures(pieceIds).stream()
                .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        return asked.stream()
                .map(trial -> {
                    Map<UUID, List<Figures>> byArm = new HashMap<>();
                    Map<UUID, String> blocks = new HashMap<>();
                    for (TrialPiece row : rows.getOrDefault(trial.id(), List.of())) {
                        byArm.computeIfAbsent(row.armId(), arm -> new ArrayList<>())
                                .add(figures.get(row.pieceId()));
                        blocks.put(row.pieceId(), row.block());
                    }
                    return new TrialWithPieces(trial, arms.getOrDefault(trial.id(), List.of()), byArm, blocks);
                })
                .toList();
    }

    /** What a tasting begins with that is to answer it: of each arm a piece that was cut, else any of it. */
    FirstTasting firstTasting(UUID id) {
        Trial asked = trials.findById(id).orElseThrow(() -> Refusal.notFound("trial"));
        TrialWithPieces trial = gather(List.of(asked)).get(0);
        return FirstTasting.of(
                asked.question(),
                id,
                trial.arms().stream().map(arm -> sample(arm, trial.of(arm))).toList());
    }

    private static FirstSample sample(TrialArm arm, List<Figures> figures) {
        List<Piece> there = figures.stream().map(Figures::piece).toList();
        Optional<Piece> piece = there.stream()
                .filter(each -> each.state() == PieceState.CUT)
                .findFirst()
                .or(() -> there.stream().findFirst());
        return FirstSample.ofArm(
                arm.name(),
                arm.id(),
                piece.map(Piece::id).orElse(null),
                piece.map(Piece::tag).orElse(null));
    }

    TrialView view(UUID id) {
        Trial asked = trials.findById(id).orElseThrow(() -> Refusal.notFound("trial"));
        TrialWithPieces trial = gather(List.of(asked)).get(0);
        List<Flaw> flaws = flaws(trial);
        Tasted tables = tasted.of(id, trial.control().id());
        List<OfArm> found = verdicts.of(trial, tables);
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
                thread(asked),
                Arrays.stream(Change.values())
                        .filter(change -> nextTrial.offers(trial, change))
                        .map(change -> new NextView(change, change.label()))
                        .toList());
    }

    private ArmView view(TrialWithPieces trial, TrialArm arm, int lastDay, Map<UUID, String> given) {
        WorkshopSettings settings = workshops.settings();
        List<Figures> own = trial.of(arm);
        String setUp = own.stream()
                .map(each -> setUp(each.piece(), given.get(each.piece().id())))
                .distinct()
                .collect(Collectors.joining("; "));
        return new ArmView(
                arm.id(),
                arm.name(),
                arm.control(),
                setUp,
                own.stream().map(each -> view(trial, each, settings)).toList(),
                TrialVerdicts.curve(own, lastDay),
                means(own.stream().filter(TrialWithPieces::cut).toList()));
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
        Instant hungAt = piece.hungAt(workshops.mine().zone()).orElse(Instant.EPOCH);
        return new ArmPieceView(
                pieces.card(figures),
                trial.blocks().getOrDefault(piece.id(), ""),
                LedgerView.of(figures.ledger()),
                CostView.of(figures.landed(), figures.steak(), settings),
                figures.log().weighings().stream()
                        .map(net -> new ArmWeighing(
                                Math.max(0, Duration.between(hungAt, net.at()).toSeconds() / 86_400.0),
                                figures.log().lostBy(net)))
                        .toList(),
                looks.of(piece.id()).stream()
                        .filter(look -> look.stands())
                        .map(look -> new SeenView(
                                look.id(), dayOf(look.at(), piece), look.answer(), look.seen(), look.photos()))
                        .sorted(Comparator.comparing(SeenView::day))
                        .toList());
    }

    /** By the calendar, as a piece's day is counted everywhere. */
    private long dayOf(Instant at, Piece piece) {
        LocalDate day = at.atZone(workshops.mine().zone()).toLocalDate();
        return piece.hungOn()
                .map(hung -> Math.max(0, ChronoUnit.DAYS.between(hung, day)))
                .orElse(0L);
    }

    private static @Nullable MeansView means(List<Figures> cut) {
        if (cut.isEmpty()) {
            return null;
        }
        List<Double> costs = cut.stream()
                .flatMap(each -> each.steak().perKilogram().stream())
                .toList();
        return new MeansView(
                cut.size(),
                mean(cut, each -> each.ledger().shrinkFraction()),
                mean(cut, each -> each.ledger().trimFraction()),
                mean(cut, each -> each.ledger().discardFraction()),
                mean(cut, each -> each.ledger().steakYield()),
                mean(cut, each -> each.ledger().usableYield()),
                costs.isEmpty()
                        ? null
                        : costs.stream()
                                .mapToDouble(Double::doubleValue)
                                .average()
                                .orElseThrow());
    }

    private static double mean(List<Figures> cut, ToDoubleFunction<Figures> value) {
        return cut.stream().mapToDouble(value).average().orElseThrow();
    }

    /** The trials it came from and those that came from it, the first first. */
    private List<ThreadView> thread(Trial trial) {
        List<Trial> all = trials.newest();
        Set<UUID> line = new HashSet<>(Set.of(trial.id()));
        boolean grown = true;
        while (grown) {
            List<UUID> more = all.stream()
                    .flatMap(each -> each.from().stream()
                            .flatMap(from -> line.contains(each.id())
                                    ? Stream.of(from)
                                    : line.contains(from) ? Stream.of(each.id()) : Stream.empty()))
                    .toList();
            grown = line.addAll(more);
        }
        List<Trial> own = all.stream()
                .filter(each -> line.contains(each.id()))
                .sorted(Comparator.comparing(Trial::startedOn))
                .toList();
        List<TrialWithPieces> whole = gather(own);
        Map<UUID, Tasted> tables = tables(whole);
        return whole.stream()
                .map(each -> new ThreadView(
                        each.trial().id(),
                        each.trial().question(),
                        each.trial().changed(),
                        each.trial().startedOn(),
                        each.ended(),
                        each.ended()
                                ? sentences(
                                        each,
                                        flaws(each),
                                        tables.getOrDefault(each.trial().id(), Tasted.NOTHING))
                                : List.of(),
                        each.trial().learnt()))
                .toList();
    }

    /** The set-up of a next trial, with one thing changed. */
    NextTrial.NextForm next(UUID id, Change change) {
        Trial trial = trials.findById(id).orElseThrow(() -> Refusal.notFound("trial"));
        return nextTrial.from(gather(List.of(trial)).get(0), change);
    }
}
