package elvaro.server.plan;

import elvaro.core.air.Air;
import elvaro.core.air.RoomWater;
import elvaro.core.air.RoomWater.HumidityAhead;
import elvaro.core.air.RoomWater.WaterDay;
import elvaro.core.forecast.Forecast;
import elvaro.core.plan.RoomHumidity;
import elvaro.core.plan.RoomHumidity.HumidityDay;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.Ahead;
import elvaro.server.forecast.Figures;
import elvaro.server.forecast.FiguresService;
import elvaro.server.forecast.Forecasts;
import elvaro.server.forecast.OutlookService;
import elvaro.server.forecast.OutlookService.Drawing;
import elvaro.server.hanging.StayService;
import elvaro.server.hanging.StayService.StayIn;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.plan.LoadService.Coming;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the load of a chamber gives off, what the chamber takes away, and so the humidity to come. */
@Service
@Transactional(readOnly = true)
public class RoomWaterService {
    /** Longer ago the chamber may have been another one: a new coil, another fan. */
    private static final int DAYS_BACK = 90;

    private static final int DAYS_AHEAD = 28;

    private final ChamberService chambers;
    private final StayService stays;
    private final FiguresService figures;
    private final OutlookService outlooks;
    private final PlanRepository plans;
    private final RecordedAir air;
    private final WorkshopService workshops;

    RoomWaterService(
            ChamberService chambers,
            StayService stays,
            FiguresService figures,
            OutlookService outlooks,
            PlanRepository plans,
            RecordedAir air,
            WorkshopService workshops) {
        this.chambers = chambers;
        this.stays = stays;
        this.figures = figures;
        this.outlooks = outlooks;
        this.plans = plans;
        this.air = air;
        this.workshops = workshops;
    }

    /**
     * A chamber's water.
     *
     * @param givenGrams what its load gives off today, g
     * @param sentence how it will run with what hangs there and is planned; absent where too little was measured
     * @param perKilogram by how much a kilogram of water a day more raises its humidity, fraction, with the ends of its 80 % band
     * @param restsOnDays measured days it is learnt from
     */
    public record RoomWaterView(
            double givenGrams,
            @Nullable String sentence,
            @Nullable HumidityAhead perKilogram,
            int restsOnDays,
            List<HumidityDay> days) {}

    /** @throws Refusal if there is no such chamber */
    public RoomWaterView of(UUID chamberId) {
        Chamber chamber = chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        Room room = new Room(chamber, outlooks.drawing());
        Optional<RoomHumidity> ahead = room.ahead(DAYS_AHEAD);
        Optional<RoomWater> learnt = ahead.map(RoomHumidity::room);
        return new RoomWaterView(
                room.given(workshops.today()),
                ahead.map(RoomHumidity::sentence).orElse(null),
                learnt.map(RoomWater::perKilogram).orElse(null),
                learnt.map(RoomWater::days).orElse(0),
                ahead.map(RoomHumidity::days).orElse(List.of()));
    }

    /** How a chamber would run with pieces that are to come; empty where too little was measured. */
    Optional<String> with(Coming coming, Chamber chamber) {
        Drawing drawing = outlooks.drawing();
        int days = (int) Math.max(0, ChronoUnit.DAYS.between(workshops.today(), coming.from())) + DAYS_AHEAD;
        return new Room(chamber, drawing).ahead(days).map(ahead -> {
            Forecast weight = drawing.weight(coming.hanging(), chamber);
            return ahead.sentence(perDay(coming, weight, days), coming.pieces(), coming.from());
        });
    }

    /** What one of the pieces gives off on each day from its hanging on, g. */
    private static double[] perDay(Coming coming, Forecast weight, int most) {
        List<Forecast.Day> days = weight.daily(Math.min(coming.days(), most));
        return IntStream.range(1, days.size())
                .mapToDouble(day -> coming.hanging().greenGrams()
                        * (days.get(day).lost() - days.get(day - 1).lost()))
                .toArray();
    }

    /** One chamber with what hung there, as it is read once. */
    private final class Room {
        private final Chamber chamber;
        private final Drawing drawing;
        private final HouseClock house = workshops.mine().clock();
        private final LocalDate today = workshops.today();
        private final List<StayIn> there;
        private final Map<UUID, Figures> reckoned;

        Room(Chamber chamber, Drawing drawing) {
            this.chamber = chamber;
            this.drawing = drawing;
            Instant earliest = house.start(today.minusDays(DAYS_BACK));
            there = stays.staysIn(chamber.id(), today.plusDays(1)).stream()
                    .filter(stay -> stay.to().isAfter(earliest))
                    .toList();
            List<Piece> pieces = there.stream().map(StayIn::piece).distinct().toList();
            reckoned = figures.of(pieces).stream()
                    .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        }

        /** @param ahead how many days are looked at, from today on */
        Optional<RoomHumidity> ahead(int ahead) {
            SortedMap<LocalDate, Air> daily = air.now().daily(chamber, today.minusDays(DAYS_BACK), house);
            List<WaterDay> days = new ArrayList<>();
            daily.forEach((day, measured) -> days.add(new WaterDay(given(day), measured)));
            return RoomWater.learnt(days).map(room -> {
                double[] given = planned(ahead);
                for (int day = 0; day < ahead; day++) {
                    given[day] += given(today.plusDays(day));
                }
                return new RoomHumidity(
                        chamber.name(), room, drawing.air(chamber).last(), today, given);
            });
        }

        /** What its pieces give off on a day, g. */
        double given(LocalDate day) {
            return there.stream().mapToDouble(stay -> given(stay, day)).sum();
        }

        private double given(StayIn stay, LocalDate day) {
            Figures worked = reckoned.get(stay.piece().id());
            Ahead ahead = worked.ahead();
            if (ahead == null) {
                return 0;
            }
            Instant hungAt = stay.piece().hungAt(house).orElseThrow();
            double begin = Forecasts.dayOf(later(house.start(day), stay.from()), hungAt);
            Instant midnight = house.start(day.plusDays(1));
            Instant end = ends(stay);
            double until = Forecasts.dayOf(end.isBefore(midnight) ? end : midnight, hungAt);
            return until <= begin
                    ? 0
                    : worked.ledger().left()
                            * stay.piece().greenGrams()
                            * Math.max(
                                    0, ahead.at(until).lost() - ahead.at(begin).lost());
        }

        /** What hangs is there until its target, or until tomorrow where that is over. */
        private Instant ends(StayIn stay) {
            Piece piece = stay.piece();
            boolean hangs = piece.state() == PieceState.HANGING
                    && piece.chamber()
                            .map(Chamber::id)
                            .filter(chamber.id()::equals)
                            .isPresent();
            if (!hangs) {
                return stay.to();
            }
            LocalDate target =
                    piece.hungOn().orElseThrow().plusDays(piece.targetDays().orElseThrow());
            return house.start(target.isAfter(today) ? target : today.plusDays(1));
        }

        /** What is planned to hang there gives off, g on each day from today on. */
        private double[] planned(int ahead) {
            double[] given = new double[ahead];
            plans.open().stream()
                    .filter(plan -> plan.chamber().id().equals(chamber.id())
                            && plan.hanging().dries())
                    .map(plan -> new Coming(plan.pieces(), plan.hanging(), plan.hangOn(), plan.targetDays()))
                    .forEach(coming -> {
                        double[] each = perDay(coming, drawing.weight(coming.hanging(), chamber), ahead);
                        int from = (int) (coming.from().toEpochDay() - today.toEpochDay());
                        for (int day = Math.max(0, from); day < ahead && day - from < each.length; day++) {
                            given[day] += coming.pieces() * each[day - from];
                        }
                    });
            return given;
        }
    }

    private static Instant later(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }
}
