package elvaro.server.forecast;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Leak;
import elvaro.core.drying.WaterLoss;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Drift;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.core.ledger.PieceLog;
import elvaro.core.yield.TrimModel;
import elvaro.server.chamber.Chamber;
import elvaro.server.forecast.ShopLearning.Lessons;
import elvaro.server.piece.Piece;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/**
 * Forecasts of pieces. Fitting the weighings of a few hundred pieces takes the better part of a second, so what was reckoned
 * is kept in memory under everything it was reckoned from: the piece as hung, the air of its chambers as set and as recorded, what the shop
 * taught, its log's version. Whatever changes is another key; there is nothing to invalidate, on this instance or another.
 */
@Component
public class Forecasts {
    private static final int MOST_KEPT = 3_000;

    /** Days beyond the target that are reckoned at once. */
    private static final int BEYOND_TARGET = 60;

    private record From(
            UUID pieceId,
            int logVersion,
            Hanging hanging,
            List<Air> set,
            List<RecordedAir.Version> recorded,
            Belief prior,
            int divisionGrams,
            int days) {}

    private record Reckoned(Forecast forecast, List<Forecast.Day> daily, List<Observed> observed, Drift drift) {}

    private final Cache<From, Reckoned> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();
    private final ShopLearning shop;
    private final RecordedAir air;
    private final ChamberHistories moves;
    private final WorkshopService workshops;

    Forecasts(ShopLearning shop, RecordedAir air, ChamberHistories moves, WorkshopService workshops) {
        this.shop = shop;
        this.air = air;
        this.moves = moves;
        this.workshops = workshops;
    }

    /** For any number of pieces: what all of them share is read once. */
    public Forecaster forecaster() {
        return new Forecaster(workshops.mine().clock(), workshops.mine().divisionGrams());
    }

    /** The weighings of a piece as the forecast sees them. */
    static List<Observed> observed(Piece piece, PieceLog log, HouseClock house) {
        Instant hungAt = piece.hungAt(house).orElseThrow();
        return log.weighings().stream()
                .map(net -> new Observed(Math.max(0, dayOf(net.at(), hungAt)), log.lostBy(net)))
                .toList();
    }

    public static double dayOf(Instant at, Instant hungAt) {
        return Duration.between(hungAt, at).toSeconds() / 86_400.0;
    }

    /** Forecasts the pieces of one workshop as it stands. */
    public final class Forecaster {
        private final SingletonSupplier<RecordedAir.WorkshopAir> air = SingletonSupplier.of(Forecasts.this.air::now);
        private final SingletonSupplier<Lessons> lessons = SingletonSupplier.of(() -> shop.lessons(air.obtain()));
        private final HouseClock house;
        private final int divisionGrams;

        private Forecaster(HouseClock house, int divisionGrams) {
            this.house = house;
            this.divisionGrams = divisionGrams;
        }

        /** What is expected of a piece, worked out when it is first asked for; none of one that was set aside fresh. */
        public Supplier<@Nullable Ahead> later(Piece piece, PieceLog log) {
            return SingletonSupplier.ofNullable(() -> of(piece, log).orElse(null));
        }

        private Optional<Ahead> of(Piece piece, PieceLog log) {
            return piece.hanging().flatMap(hanging -> piece.chamber().map(chamber -> of(piece, log, hanging, chamber)));
        }

        private Ahead of(Piece piece, PieceLog log, Hanging hanging, Chamber chamber) {
            ShopLessons taught = lessons.obtain().about(hanging.method(), chamber.id());
            ChamberHistory where = moves.of(piece, log);
            int days = piece.targetDays().orElse(0) + BEYOND_TARGET;
            From from = new From(
                    piece.id(),
                    piece.logVersion(),
                    hanging,
                    where.set(),
                    where.versions(air.obtain()),
                    taught.prior(),
                    divisionGrams,
                    days);
            Supplier<Climate> climate = () -> where.climate(air.obtain());
            Reckoned reckoned =
                    kept.get(from, key -> reckon(key, climate.get(), where.leaks(log), observed(piece, log, house)));
            return ahead(piece, hanging, taught, climate, reckoned);
        }

        /** The forecast as if only these weighings were known; not kept, and nothing else worked out. */
        public Forecast without(Piece piece, PieceLog log) {
            Hanging hanging = piece.hanging().orElseThrow();
            Chamber chamber = piece.chamber().orElseThrow();
            Belief prior =
                    lessons.obtain().about(hanging.method(), chamber.id()).prior();
            ChamberHistory where = moves.of(piece, log);
            WaterLoss loss = hanging.dryingIn(where.climate(air.obtain()), where.leaks(log));
            return Forecast.of(loss, prior, observed(piece, log, house), divisionGrams);
        }
    }

    private static Reckoned reckon(From from, Climate climate, List<Leak> leaks, List<Observed> observed) {
        WaterLoss loss = from.hanging().dryingIn(climate, leaks);
        Forecast forecast = Forecast.of(loss, from.prior(), observed, from.divisionGrams());
        Drift drift = Drift.of(loss, from.prior(), observed, from.divisionGrams());
        return new Reckoned(forecast, forecast.daily(from.days()), observed, drift);
    }

    private static Ahead ahead(
            Piece piece, Hanging hanging, ShopLessons taught, Supplier<Climate> climate, Reckoned reckoned) {
        TrimModel trimModel = piece.trimModel().orElseThrow().learnt(taught.crustFactor(), taught.steakShift());
        return new Ahead(
                reckoned.forecast(),
                reckoned.daily(),
                trimModel,
                taught,
                climate,
                reckoned.observed(),
                reckoned.drift());
    }
}
