package elvaro.server.room;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.air.ChamberKind;
import elvaro.server.account.AccountService;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.piece.PieceState;
import elvaro.server.reading.AirService;
import elvaro.server.reading.AirService.NowView;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.task.WorkList;
import elvaro.server.task.WorkView;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The room as it hangs, and what to do now. */
@Service
@Transactional(readOnly = true)
public class RoomService {
    private static final int MOST_KEPT = 50;

    /** What the room is made from: everything written, and the time, by which expected weights move. */
    public record RoomState(UUID workshopId, long change, Instant minute) {}

    private final Cache<RoomState, RoomView> kept = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Duration.ofMinutes(1))
            .build();
    private final PieceQueries pieces;
    private final WorkList work;
    private final ChamberService chambers;
    private final WorkshopService workshops;
    private final AirService air;
    private final RecordedAir recorded;
    private final AccountService accounts;
    private final Changes changes;
    private final CurrentWorkshop current;
    private final Clock clock;

    RoomService(
            PieceQueries pieces,
            WorkList work,
            ChamberService chambers,
            WorkshopService workshops,
            AirService air,
            RecordedAir recorded,
            AccountService accounts,
            Changes changes,
            CurrentWorkshop current,
            Clock clock) {
        this.pieces = pieces;
        this.work = work;
        this.chambers = chambers;
        this.workshops = workshops;
        this.air = air;
        this.recorded = recorded;
        this.accounts = accounts;
        this.changes = changes;
        this.current = current;
        this.clock = clock;
    }

    /** The first screen. */
    public record RoomView(LocalDate today, List<ChamberView> chambers, List<WorkView> due, List<PieceCard> pulled) {}

    /**
     * A chamber with what hangs in it.
     *
     * @param air as last measured, where anybody measures it
     * @param setPointMiss how it runs otherwise than it is set, absent where it does not or nobody measures
     * @param keeper whose work it is, absent where it is everybody's
     */
    public record ChamberView(
            UUID id,
            String name,
            ChamberKind kind,
            int rails,
            int placesPerRail,
            int limitGrams,
            int loadGrams,
            double setCelsius,
            @Nullable Integer setHumidityPercent,
            @Nullable NowView air,
            @Nullable String setPointMiss,
            @Nullable UUID keeperId,
            @Nullable String keeper,
            List<PieceCard> pieces) {}

    /** What the room is made from now; the same state gives the same room. */
    public RoomState state() {
        return new RoomState(
                current.person().workshopId(), changes.number(), clock.instant().truncatedTo(ChronoUnit.MINUTES));
    }

    /** The room of a state, worked out once for all who look at it. */
    public RoomView view(RoomState state) {
        return kept.get(state, each -> view());
    }

    private RoomView view() {
        Workshop workshop = workshops.mine();
        HouseClock house = workshop.clock();
        LocalDate today = house.day(clock.instant());
        List<HangingPiece> all = pieces.inTheRoom(house);
        Map<UUID, NowView> airs = air.now();
        Map<UUID, String> names = accounts.names();
        RecordedAir.WorkshopAir running = recorded.now();
        return new RoomView(
                today,
                chambers.all().stream()
                        .map(chamber -> chamberView(
                                chamber,
                                airs.get(chamber.id()),
                                running.miss(chamber).orElse(null),
                                names,
                                all))
                        .toList(),
                work.today(all).stream().map(item -> WorkView.of(item, today)).toList(),
                all.stream()
                        .map(HangingPiece::card)
                        .filter(card -> card.state() == PieceState.PULLED)
                        .toList());
    }

    private static ChamberView chamberView(
            Chamber chamber,
            @Nullable NowView air,
            @Nullable String setPointMiss,
            Map<UUID, String> names,
            List<HangingPiece> all) {
        List<PieceCard> inside = all.stream()
                .map(HangingPiece::card)
                .filter(card ->
                        card.state() == PieceState.HANGING && chamber.id().equals(card.chamberId()))
                .toList();
        return new ChamberView(
                chamber.id(),
                chamber.name(),
                chamber.kind(),
                chamber.rails(),
                chamber.placesPerRail(),
                chamber.limitGrams(),
                inside.stream()
                        .mapToInt(card -> card.nowGrams() + card.coatGrams())
                        .sum(),
                chamber.setCelsius(),
                chamber.setHumidityPercent(),
                air,
                setPointMiss,
                chamber.keeperId().orElse(null),
                chamber.keeperId().map(names::get).orElse(null),
                inside);
    }
}
