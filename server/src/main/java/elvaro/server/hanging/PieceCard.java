package elvaro.server.hanging;

import elvaro.core.cut.ShapeClass;
import elvaro.core.cut.Species;
import elvaro.core.drying.Method;
import elvaro.core.forecast.Drift;
import elvaro.core.forecast.Forecast;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.PieceLog;
import elvaro.core.schedule.DayNumber;
import elvaro.core.yield.Section;
import elvaro.server.chamber.Chamber;
import elvaro.server.forecast.Ahead;
import elvaro.server.forecast.Forecasts;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.Place;
import elvaro.server.settings.HouseClock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A piece at a glance: what is drawn and written wherever it appears.
 *
 * @param count how many like things hang under the tag; weights are those of all
 * @param dayNumber days hung, to the pull where it was pulled; absent for one set aside fresh
 * @param overdueDays days past its target while it still hangs, 0 if none
 * @param nowGrams last net weight known
 * @param daysUnweighed days since it was last weighed, or since it was hung where it never was; while it hangs
 * @param coatGrams weight of the coat or seal on it now
 * @param expectedNowGrams what the forecast says it weighs now, while it hangs
 * @param expectedLost what it is expected to have lost by now of what hangs, while it hangs
 * @param expectedPullGrams what it is expected to weigh on its day, while it hangs
 * @param drift whether it dries otherwise than its own past says, while it hangs
 * @param section the shares its picture is drawn from
 */
public record PieceCard(
        UUID id,
        String tag,
        UUID lotId,
        int count,
        String cutName,
        Species species,
        ShapeClass shape,
        boolean boneIn,
        String grade,
        String supplier,
        PieceRole role,
        PieceState state,
        @Nullable Method method,
        @Nullable String methodLabel,
        @Nullable UUID chamberId,
        @Nullable String chamberName,
        @Nullable Integer rail,
        @Nullable Integer slot,
        @Nullable LocalDate hungOn,
        @Nullable Integer targetDays,
        @Nullable Long dayNumber,
        long overdueDays,
        int greenGrams,
        int nowGrams,
        int coatGrams,
        int shrinkGrams,
        double shrinkFraction,
        @Nullable Instant lastWeighedAt,
        @Nullable Long daysUnweighed,
        @Nullable Integer expectedNowGrams,
        @Nullable Double expectedLost,
        @Nullable Integer expectedPullGrams,
        Drift drift,
        Section section) {

    static PieceCard of(
            Piece piece,
            PieceLog log,
            Ledger ledger,
            Section section,
            Supplier<@Nullable Ahead> ahead,
            Instant now,
            HouseClock house) {
        var lot = piece.lot();
        var cut = piece.cut();
        boolean hangs = piece.state() == PieceState.HANGING;
        Optional<Ahead> expected = hangs ? Optional.ofNullable(ahead.get()) : Optional.empty();
        LocalDate today = house.day(now);
        LocalDate until = log.pull().map(pull -> house.day(pull.at())).orElse(today);
        Long day = piece.hungOn()
                .map(hung -> DayNumber.of(hung, until.isBefore(hung) ? hung : until))
                .orElse(null);
        Optional<Forecast.Day> expectedNow = expected.map(each -> each.at(Forecasts.dayOf(now, hungAt(piece, house))));
        long overdue =
                !hangs || day == null ? 0 : Math.max(0, day - piece.targetDays().orElseThrow());
        return new PieceCard(
                piece.id(),
                piece.tag(),
                lot.id(),
                piece.count(),
                cut.name(),
                cut.species(),
                cut.shape(),
                piece.boneIn(),
                lot.grade(),
                lot.supplier(),
                piece.role(),
                piece.state(),
                piece.method().orElse(null),
                piece.method().map(Method::label).orElse(null),
                piece.chamber().map(Chamber::id).orElse(null),
                piece.chamber().map(Chamber::name).orElse(null),
                piece.place().map(Place::rail).orElse(null),
                piece.place().map(Place::slot).orElse(null),
                piece.hungOn().orElse(null),
                piece.targetDays().orElse(null),
                day,
                overdue,
                piece.greenGrams(),
                ledger.aged(),
                log.coatOn(),
                ledger.shrink(),
                ledger.shrinkFraction(),
                log.lastWeighedAt().orElse(null),
                hangs ? unweighed(piece, log, today, house) : null,
                expectedNow.map(each -> weight(ledger, each)).orElse(null),
                expectedNow.map(Forecast.Day::lost).orElse(null),
                expected.map(each -> weight(ledger, each.at(piece.targetDays().orElseThrow())))
                        .orElse(null),
                expected.map(Ahead::drift).orElse(Drift.NONE),
                section);
    }

    private static @Nullable Long unweighed(Piece piece, PieceLog log, LocalDate today, HouseClock house) {
        return log.lastWeighedAt()
                .map(house::day)
                .or(piece::hungOn)
                .map(since -> since.isAfter(today) ? 0L : DayNumber.of(since, today))
                .orElse(null);
    }

    private static Instant hungAt(Piece piece, HouseClock house) {
        return piece.hungAt(house).orElseThrow();
    }

    private static int weight(Ledger ledger, Forecast.Day day) {
        return (int) Math.round(ledger.left() * ledger.green() * (1 - day.lost()));
    }
}
