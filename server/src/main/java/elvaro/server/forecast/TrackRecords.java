package elvaro.server.forecast;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.drying.Leak;
import elvaro.core.drying.Method;
import elvaro.core.drying.WaterLoss;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Learning;
import elvaro.core.forecast.Observed;
import elvaro.core.forecast.TrackRecord;
import elvaro.core.forecast.TrackRecord.Told;
import elvaro.core.forecast.TrackRecord.Week;
import elvaro.core.ledger.PieceLog;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceReader.FinishedRow;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * How good the forecasts of the shop were. Each finished piece is forecast again as it would have been on its first day and
 * every week after: from the weighings and the air there were then, and from the pieces that were finished before it was hung.
 * What was told is kept in memory under all it was reckoned from.
 */
@Service
@Transactional(readOnly = true)
public class TrackRecords {
    private static final int MOST_KEPT = 2_000;

    /** A piece of which forecasts are looked at, with its pull. */
    private record Pulled(FinishedRow row, Piece piece, PieceLog log, Instant at) {
        Method method() {
            return piece.method().orElseThrow();
        }

        UUID chamber() {
            return piece.chamber().orElseThrow().id();
        }
    }

    private record ToldKey(
            FinishedRow row, List<FinishedRow> earlier, List<RecordedAir.Version> air, int divisionGrams) {}

    private final Cache<ToldKey, List<Told>> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();
    private final ShopLearning shop;
    private final PieceReader pieces;
    private final PieceLogs logs;
    private final RecordedAir air;
    private final ChamberHistories moves;
    private final WorkshopService workshops;
    private final Clock clock;

    TrackRecords(
            ShopLearning shop,
            PieceReader pieces,
            PieceLogs logs,
            RecordedAir air,
            ChamberHistories moves,
            WorkshopService workshops,
            Clock clock) {
        this.shop = shop;
        this.pieces = pieces;
        this.logs = logs;
        this.air = air;
        this.moves = moves;
        this.workshops = workshops;
        this.clock = clock;
    }

    /**
     * What the shop sees of its forecasts.
     *
     * @param weeks by the day the forecasts were made on
     * @param contradictions pieces that are left out of what is learnt, or were put back
     */
    public record TrackRecordView(List<WeekView> weeks, List<Contradiction> contradictions) {}

    /**
     * The forecasts made on one day; see {@link Week}.
     *
     * @param medianMissOfLine absent where nothing was weighed by then
     */
    public record WeekView(
            int day,
            int forecasts,
            int held,
            double medianMiss,
            @Nullable Double medianMissOfLine) {
        static WeekView of(Week week) {
            OptionalDouble line = week.medianMissOfLine();
            return new WeekView(
                    week.day(),
                    week.forecasts(),
                    week.held(),
                    week.medianMiss(),
                    line.isPresent() ? line.getAsDouble() : null);
        }
    }

    public TrackRecordView all() {
        List<Pulled> all = pulled();
        return new TrackRecordView(
                TrackRecord.of(told(all, all)).weeks().stream()
                        .map(WeekView::of)
                        .toList(),
                shop.lessons().contradictions());
    }

    /** How good forecasts like the one of this piece were, in a sentence; empty while nothing is known. */
    public Optional<String> like(Piece piece) {
        if (piece.method().isEmpty() || piece.hungOn().isEmpty() || piece.cameOff()) {
            return Optional.empty();
        }
        HouseClock house = workshops.mine().clock();
        double day =
                Math.max(0, Forecasts.dayOf(clock.instant(), piece.hungAt(house).orElseThrow()));
        return like(piece.method().orElseThrow(), day);
    }

    /** The same of a method, for forecasts made so many days after the hanging. */
    public Optional<String> like(Method method, double day) {
        List<Pulled> all = pulled();
        List<Pulled> alike =
                all.stream().filter(each -> each.method() == method).toList();
        return TrackRecord.of(told(alike, all))
                .like(day)
                .or(() -> TrackRecord.of(told(all, all)).like(day))
                .map(Week::sentence);
    }

    private List<Pulled> pulled() {
        Map<UUID, FinishedRow> rows =
                pieces.finished().stream().collect(Collectors.toMap(FinishedRow::id, Function.identity()));
        List<Piece> finished = pieces.findAll(rows.keySet()).stream()
                .filter(piece -> piece.hanging().isPresent() && piece.chamber().isPresent() && !piece.cameOff())
                .toList();
        Map<UUID, PieceLog> read = logs.of(finished);
        return finished.stream()
                .flatMap(piece -> {
                    PieceLog log = read.get(piece.id());
                    return log.pull().stream().map(pull -> new Pulled(rows.get(piece.id()), piece, log, pull.at()));
                })
                .sorted(Comparator.comparing(Pulled::at)
                        .thenComparing(each -> each.piece().tag()))
                .toList();
    }

    /** @param all of the shop, from which those that were pulled before each taught */
    private List<Told> told(List<Pulled> asked, List<Pulled> all) {
        RecordedAir.WorkshopAir recorded = air.now();
        int division = workshops.mine().divisionGrams();
        HouseClock house = workshops.mine().clock();
        return asked.stream()
                .flatMap(piece -> {
                    Instant hungAt = piece.piece().hungAt(house).orElseThrow();
                    List<Pulled> earlier = all.stream()
                            .filter(other -> other.method() == piece.method()
                                    && other.chamber().equals(piece.chamber())
                                    && other.at().isBefore(hungAt))
                            .toList();
                    ChamberHistory where = moves.of(piece.piece(), piece.log());
                    ToldKey key = new ToldKey(
                            piece.row(),
                            earlier.stream().map(Pulled::row).toList(),
                            where.versions(recorded),
                            division);
                    return kept.get(key, each -> told(piece, hungAt, earlier, where, recorded, division)).stream();
                })
                .toList();
    }

    private List<Told> told(
            Pulled piece,
            Instant hungAt,
            List<Pulled> earlier,
            ChamberHistory where,
            RecordedAir.WorkshopAir recorded,
            int division) {
        Belief prior = Learning.prior(earlier.stream()
                .map(other -> shop.evidence(other.piece(), other.log(), recorded, division))
                .toList());
        List<Observed> observed =
                Forecasts.observed(piece.piece(), piece.log(), workshops.mine().clock());
        double pulledOn = Forecasts.dayOf(piece.at(), hungAt);
        double found = observed.get(observed.size() - 1).lost();
        List<Told> told = new ArrayList<>();
        for (int day = 0; TrackRecord.counts(day, pulledOn); day += TrackRecord.EVERY_DAYS) {
            int now = day;
            List<Observed> known =
                    observed.stream().filter(each -> each.day() <= now).toList();
            List<Leak> leaks = where.leaks(piece.log()).stream()
                    .filter(leak -> leak.from() <= now)
                    .toList();
            WaterLoss loss = piece.piece()
                    .hanging()
                    .orElseThrow()
                    .dryingIn(where.climateAsOf(recorded, hungAt.plus(Duration.ofDays(now))), leaks);
            told.add(new Told(
                    now,
                    Forecast.of(loss, prior, known, division).on(pulledOn),
                    TrackRecord.straightLine(known, pulledOn),
                    found));
        }
        return told;
    }
}
