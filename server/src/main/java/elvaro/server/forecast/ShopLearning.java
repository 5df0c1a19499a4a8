package elvaro.server.forecast;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.air.Air;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Learning;
import elvaro.core.forecast.Learning.Learnt;
import elvaro.core.forecast.Learning.WeighingEvidence;
import elvaro.core.forecast.Observed;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.PieceLog;
import elvaro.core.yield.KnifeWork;
import elvaro.core.yield.Section;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceReader.FinishedRow;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * What the finished pieces of the workshop teach, by method and chamber. Kept in memory under the versions of everything it
 * is made from, which are read each time: there is nothing to invalidate.
 */
@Component
class ShopLearning {
    private static final int MOST_WORKSHOPS_KEPT = 200;

    /** A piece more of which was thrown away than this says nothing about how thick a crust is cut. */
    private static final double SPOILED = 0.5;

    /** A place that teaches. */
    private record Where(Method method, UUID chamberId) {}

    private record LearningKey(
            UUID workshopId, int divisionGrams, Map<UUID, Long> airRevisions, List<FinishedRow> finished) {}

    /** What one finished piece says follows from these alone. */
    private record Finished(
            UUID pieceId, int logVersion, Hanging hanging, List<Air> set, List<Long> airRevisions, int divisionGrams) {}

    private static final int MOST_PIECES_KEPT = 20_000;

    private final Cache<Finished, WeighingEvidence> evidence =
            Caffeine.newBuilder().maximumSize(MOST_PIECES_KEPT).build();
    private final Cache<LearningKey, Map<Where, PlaceLessons>> kept =
            Caffeine.newBuilder().maximumSize(MOST_WORKSHOPS_KEPT).build();
    private final PieceReader pieces;
    private final PieceLogs logs;
    private final RecordedAir air;
    private final ChamberHistories moves;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;

    ShopLearning(
            PieceReader pieces,
            PieceLogs logs,
            RecordedAir air,
            ChamberHistories moves,
            WorkshopService workshops,
            CurrentWorkshop current) {
        this.pieces = pieces;
        this.logs = logs;
        this.air = air;
        this.moves = moves;
        this.workshops = workshops;
        this.current = current;
    }

    /** What was learnt so far; asked once for any number of pieces. */
    Lessons lessons() {
        return lessons(air.now());
    }

    /** The same, with the air where it was read. */
    Lessons lessons(RecordedAir.WorkshopAir recorded) {
        int division = workshops.mine().divisionGrams();
        LearningKey key =
                new LearningKey(current.person().workshopId(), division, recorded.revisions(), pieces.finished());
        return new Lessons(kept.get(key, each -> learn(each, recorded)));
    }

    /** What the pieces of one place teach, and which of them contradict the rest. */
    private record PlaceLessons(ShopLessons taught, List<Contradiction> contradictions) {}

    /** The lessons of one workshop. */
    record Lessons(Map<Where, PlaceLessons> byPlace) {
        ShopLessons about(Method method, UUID chamberId) {
            PlaceLessons place = byPlace.get(new Where(method, chamberId));
            return place == null ? ShopLessons.NOTHING : place.taught();
        }

        List<Contradiction> contradictions() {
            return byPlace.values().stream()
                    .flatMap(place -> place.contradictions().stream())
                    .sorted(Comparator.comparing(Contradiction::tag))
                    .toList();
        }
    }

    private Map<Where, PlaceLessons> learn(LearningKey key, RecordedAir.WorkshopAir recorded) {
        List<Piece> finished =
                pieces.findAll(key.finished().stream().map(FinishedRow::id).toList());
        Map<UUID, PieceLog> read = logs.of(finished);
        Map<Where, List<Piece>> byPlace = finished.stream()
                .filter(piece -> piece.hanging().isPresent() && piece.chamber().isPresent())
                .collect(Collectors.groupingBy(piece -> new Where(
                        piece.method().orElseThrow(),
                        piece.chamber().map(Chamber::id).orElseThrow())));
        Map<Where, PlaceLessons> taught = new HashMap<>();
        byPlace.forEach((where, here) -> taught.put(where, taughtBy(here, read, recorded, key.divisionGrams())));
        return taught;
    }

    private PlaceLessons taughtBy(
            List<Piece> here, Map<UUID, PieceLog> read, RecordedAir.WorkshopAir recorded, int division) {
        List<WeighingEvidence> said = here.stream()
                .map(piece -> evidence(piece, read.get(piece.id()), recorded, division))
                .toList();
        Set<Integer> always = IntStream.range(0, here.size())
                .filter(index -> here.get(index).alwaysTeaches())
                .boxed()
                .collect(Collectors.toSet());
        Learning.Taught taught = Learning.taught(said, always);
        List<Piece> counted = IntStream.range(0, here.size())
                .filter(index -> !taught.leftOut().contains(index))
                .mapToObj(here::get)
                .toList();
        List<Double> crusts = counted.stream()
                .filter(piece -> isMeasured(read.get(piece.id())))
                .flatMap(piece -> crustFound(piece, read.get(piece.id()).ledger()).stream())
                .toList();
        Learnt crust = Learning.towardsZero(crusts, Estimates.TRIM_SD);
        double factor = Math.exp(crust.value());
        List<Double> steaks = counted.stream()
                .filter(piece -> isMeasured(read.get(piece.id())))
                .map(piece -> KnifeWork.steakOver(
                        piece.trimModel().orElseThrow().learnt(factor, 0),
                        read.get(piece.id()).ledger()))
                .flatMap(Optional::stream)
                .toList();
        Learnt steak = Learning.towardsZero(steaks, Estimates.STEAK_YIELD_SD);
        return new PlaceLessons(
                new ShopLessons(taught.prior(), factor, steak.value(), steak.sd(), steaks.size()),
                Stream.concat(
                                taught.leftOut().stream().map(here::get),
                                always.stream().map(here::get))
                        .map(piece -> contradiction(piece, read.get(piece.id()), taught, recorded, division))
                        .toList());
    }

    /** What it weighed at the end, beside what the pieces that count lead to expect. */
    private Contradiction contradiction(
            Piece piece, PieceLog log, Learning.Taught taught, RecordedAir.WorkshopAir recorded, int division) {
        List<Observed> observed =
                Forecasts.observed(piece, log, workshops.mine().clock());
        ChamberHistory where = moves.of(piece, log);
        WaterLoss loss = piece.hanging().orElseThrow().dryingIn(where.climate(recorded), where.leaks(log));
        Forecast expected = Forecast.of(loss, taught.prior(), List.of(), division);
        return Contradiction.of(piece, observed, expected);
    }

    /** What the weighings of a finished piece say; kept in memory. */
    WeighingEvidence evidence(Piece piece, PieceLog log, RecordedAir.WorkshopAir recorded, int division) {
        ChamberHistory where = moves.of(piece, log);
        Finished finished = new Finished(
                piece.id(),
                piece.logVersion(),
                piece.hanging().orElseThrow(),
                where.set(),
                where.versions(recorded).stream()
                        .map(RecordedAir.Version::revision)
                        .toList(),
                division);
        HouseClock house = workshops.mine().clock();
        return evidence.get(
                finished,
                key -> Learning.from(
                        key.hanging().dryingIn(where.climate(recorded), where.leaks(log)),
                        Forecasts.observed(piece, log, house),
                        key.divisionGrams()));
    }

    /** What was pulled by eye, or put on no pile, teaches nothing about the knife. */
    private static boolean isMeasured(PieceLog log) {
        return !log.isEstimated() && log.piles().total() > 0;
    }

    private static boolean teaches(Ledger ledger) {
        return ledger.aged() > 0 && ledger.piles().discard() < SPOILED * ledger.aged();
    }

    /** Logarithm of the crust that was cut away over the one the law expected. */
    private static Optional<Double> crustFound(Piece piece, Ledger ledger) {
        double found = (double) ledger.piles().trimmedOff() / ledger.green();
        Section ahead =
                piece.trimModel().orElseThrow().after(ledger.lostOfRest()).part(ledger.left());
        double expected = ahead.crust() + ahead.pockets();
        return teaches(ledger) && found > 0 && expected > 0
                ? Optional.of(Math.log(found / expected))
                : Optional.empty();
    }
}
