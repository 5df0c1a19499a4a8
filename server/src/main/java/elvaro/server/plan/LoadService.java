package elvaro.server.plan;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.schedule.Load;
import elvaro.core.schedule.Load.PlannedStay;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.settings.WorkshopService;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How full the chambers are over time, with what hangs and what is planned, and where something more finds room. */
@Service
@Transactional(readOnly = true)
public class LoadService {
    private static final int DAYS_AHEAD = 400;

    private final ChamberService chambers;
    private final PieceQueries pieces;
    private final PlanRepository plans;
    private final WorkshopService workshops;
    private final RoomWaterService water;

    LoadService(
            ChamberService chambers,
            PieceQueries pieces,
            PlanRepository plans,
            WorkshopService workshops,
            RoomWaterService water) {
        this.chambers = chambers;
        this.pieces = pieces;
        this.plans = plans;
        this.workshops = workshops;
        this.water = water;
    }

    /** Pieces that would come together. */
    public record Coming(int pieces, Hanging hanging, LocalDate from, int days) {}

    /** What is in a chamber on one day. */
    public record DayLoad(LocalDate day, int grams, int places) {}

    /**
     * One chamber over time.
     *
     * @param days from today on
     * @param tooFullOn the first day more is in it than it takes, with what hangs and is planned already
     * @param fits whether the coming pieces fit on their day
     * @param firstFit the first day on or after it on which they do; absent where they never do within a year
     * @param pull tags of the pieces to pull first so that they fit on their day
     * @param humidity how it would run with them; absent where nothing comes, or too little was measured
     */
    public record ChamberLoad(
            UUID chamberId,
            String name,
            int limitGrams,
            int places,
            List<DayLoad> days,
            @Nullable LocalDate tooFullOn,
            boolean fits,
            @Nullable LocalDate firstFit,
            List<String> pull,
            @Nullable String humidity) {}

    /**
     * Every chamber.
     *
     * @param coming what is to come, or nothing
     * @param showDays how many days to show
     */
    public List<ChamberLoad> all(@Nullable Coming coming, int showDays) {
        LocalDate today = workshops.today();
        Map<UUID, List<PlannedStay>> stays = stays(today);
        Map<UUID, String> tags = pieces.tagsOfHanging();
        plans.open().forEach(plan -> tags.put(plan.id(), plan.name()));
        return chambers.all().stream()
                .filter(chamber -> coming == null || suits(chamber, coming))
                .map(chamber ->
                        load(chamber, stays.getOrDefault(chamber.id(), List.of()), tags, coming, today, showDays))
                .toList();
    }

    /** Ice is for what lies on ice, and for nothing else. */
    private static boolean suits(Chamber chamber, Coming coming) {
        return (chamber.kind() == ChamberKind.ICE_CHEST) == (coming.hanging().method() == Method.ON_ICE);
    }

    private ChamberLoad load(
            Chamber chamber,
            List<PlannedStay> stays,
            Map<UUID, String> tags,
            @Nullable Coming coming,
            LocalDate today,
            int showDays) {
        Load load = new Load(chamber.limits(), stays);
        List<PlannedStay> more = coming == null ? List.of() : stays(coming);
        boolean fits = more.isEmpty() || load.fits(more);
        return new ChamberLoad(
                chamber.id(),
                chamber.name(),
                chamber.limits().grams(),
                chamber.limits().places(),
                load.over(today, showDays).stream()
                        .map(day -> new DayLoad(day.day(), day.grams(), day.places()))
                        .toList(),
                load.tooFull(today, DAYS_AHEAD).map(Load.LoadDay::day).orElse(null),
                fits,
                more.isEmpty() || coming == null
                        ? null
                        : load.firstFit(more, coming.from(), DAYS_AHEAD).orElse(null),
                load.toPull(more).stream()
                        .map(stay -> tags.getOrDefault(stay.id(), ""))
                        .toList(),
                coming == null || !coming.hanging().dries()
                        ? null
                        : water.with(coming, chamber).orElse(null));
    }

    private static List<PlannedStay> stays(Coming coming) {
        double footprint = Load.footprint(coming.hanging().surface().squareMetres());
        return IntStream.range(0, coming.pieces())
                .mapToObj(index -> new PlannedStay(
                        new UUID(0, index),
                        coming.hanging().greenGrams(),
                        footprint,
                        coming.from(),
                        coming.from().plusDays(coming.days())))
                .toList();
    }

    /** What hangs, to its target or at least until tomorrow, and what is planned, by chamber. */
    private Map<UUID, List<PlannedStay>> stays(LocalDate today) {
        List<Map.Entry<UUID, PlannedStay>> stays = new ArrayList<>();
        pieces.hangingNow().forEach(piece -> {
            Hanging hanging = piece.hanging().orElseThrow();
            LocalDate hungOn = piece.hungOn().orElseThrow();
            LocalDate target = hungOn.plusDays(piece.targetDays().orElseThrow());
            PlannedStay stay = new PlannedStay(
                    piece.id(),
                    piece.greenGrams(),
                    piece.count() * Load.footprint(hanging.surface().squareMetres()),
                    hungOn,
                    target.isAfter(today) ? target : today.plus(1, ChronoUnit.DAYS));
            stays.add(Map.entry(piece.chamber().orElseThrow().id(), stay));
        });
        plans.open().forEach(plan -> {
            Coming coming = new Coming(plan.pieces(), plan.hanging(), plan.hangOn(), plan.targetDays());
            stays(coming)
                    .forEach(stay -> stays.add(Map.entry(
                            plan.chamber().id(),
                            new PlannedStay(plan.id(), stay.grams(), stay.footprint(), stay.from(), stay.to()))));
        });
        Function<Map.Entry<UUID, PlannedStay>, UUID> chamber = Map.Entry::getKey;
        return stays.stream()
                .collect(Collectors.groupingBy(chamber, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
    }
}
