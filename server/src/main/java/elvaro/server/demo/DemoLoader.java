package elvaro.server.demo;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.inspection.Observation.Colour;
import elvaro.core.inspection.Observation.Depth;
import elvaro.core.inspection.Observation.Extent;
import elvaro.core.inspection.Observation.Mould;
import elvaro.core.inspection.Observation.Smell;
import elvaro.core.inspection.Observation.SurfaceFeel;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.schedule.Work;
import elvaro.server.account.AccountService;
import elvaro.server.account.SetupService;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberForm;
import elvaro.server.chamber.ChamberService;
import elvaro.server.demo.Scenario.Bought;
import elvaro.server.demo.Scenario.DemoPiece;
import elvaro.server.demo.Scenario.DemoProgress;
import elvaro.server.demo.Scenario.Room;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.look.LookForm;
import elvaro.server.look.LookService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceDraft;
import elvaro.server.piece.PieceHistory;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.Place;
import elvaro.server.plan.PlanForm;
import elvaro.server.plan.PlanService;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import elvaro.server.task.WorkItem;
import elvaro.server.task.WorkList;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty house with the invented workshop, dated so that something is always due. Seeded: the same every day. */
@Component
@Order(1)
class DemoLoader implements ApplicationRunner {
    private static final int TURNED_ON_DAY = 7;

    private static final long SEED = 20_261;

    private final boolean wanted;
    private final String password;
    private final SetupService setup;
    private final AccountService accounts;
    private final ChamberService chambers;
    private final LotService lots;
    private final PieceHistory archive;
    private final PiecePlans plans;
    private final PlanService purchases;
    private final WorkList work;
    private final PieceQueries pieces;
    private final LogService log;
    private final LookService looks;
    private final Weather weather;
    private final DemoTrials trials;
    private final DemoTastings tastings;
    private final DemoPacks packs;
    private final DemoGame game;
    private final DemoPhotos photos;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final TransactionTemplate transaction;
    private final JdbcClient database;
    private final Clock clock;

    DemoLoader(
            @Value("${elvaro.demo}") boolean wanted,
            @Value("${elvaro.demo-password}") String password,
            SetupService setup,
            AccountService accounts,
            ChamberService chambers,
            LotService lots,
            PieceHistory archive,
            PiecePlans plans,
            PlanService purchases,
            WorkList work,
            PieceQueries pieces,
            LogService log,
            LookService looks,
            Weather weather,
            DemoTrials trials,
            DemoTastings tastings,
            DemoPacks packs,
            DemoGame game,
            DemoPhotos photos,
            WorkshopService workshops,
            CurrentWorkshop current,
            TransactionTemplate transaction,
            JdbcClient database,
            Clock clock) {
        this.wanted = wanted;
        this.password = password;
        this.setup = setup;
        this.accounts = accounts;
        this.chambers = chambers;
        this.lots = lots;
        this.archive = archive;
        this.plans = plans;
        this.purchases = purchases;
        this.work = work;
        this.pieces = pieces;
        this.log = log;
        this.looks = looks;
        this.weather = weather;
        this.trials = trials;
        this.tastings = tastings;
        this.packs = packs;
        this.game = game;
        this.photos = photos;
        this.workshops = workshops;
        this.current = current;
        this.transaction = transaction;
        this.database = database;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted) {
            return;
        }
        if (!setup.isNeeded()) {
            begun().filter(this::isEmpty).ifPresent(this::fill);
            return;
        }
        // Prices of an invented farm butchery, minor units per kg.
        WorkshopSettings settings = new WorkshopSettings(
                0,
                Scenario.NAME,
                "EUR",
                ZoneId.systemDefault().getId(),
                5,
                32,
                3600,
                18,
                0,
                0,
                6800,
                900,
                250,
                120,
                35,
                Scenario.PRICES,
                "");
        Scenario.Person first = Scenario.PEOPLE.get(0);
        SignedIn owner =
                setup.createWorkshop(settings, new SetupService.Owner(first.signInName(), first.name(), password));
        fill(owner);
    }

    /** The owner of a demo that is there, whole or not: what fills it is one transaction, and may have died with the machine. */
    private Optional<SignedIn> begun() {
        return database.sql("select id, workshop_id from account where sign_in_name = ? and role = 'OWNER'")
                .param(Scenario.PEOPLE.get(0).signInName())
                .query((row, number) -> new SignedIn(
                        UUID.fromString(row.getString(1)), UUID.fromString(row.getString(2)), Role.OWNER, true, null))
                .optional();
    }

    private boolean isEmpty(SignedIn owner) {
        return current.actingAs(
                owner, () -> chambers.all().isEmpty() && accounts.people().size() == 1);
    }

    private void fill(SignedIn owner) {
        current.actingAs(owner, () -> {
            transaction.executeWithoutResult(status -> fillAll(owner));
            return owner;
        });
    }

    private void fillAll(SignedIn owner) {
        Random random = new Random(SEED);
        List<UUID> people = new ArrayList<>(List.of(owner.accountId()));
        Scenario.PEOPLE.stream().skip(1).forEach(person -> {
            UUID id = Scenario.id(random);
            accounts.add(id, person.signInName(), person.name(), Role.BENCH_HAND, password);
            people.add(id);
        });
        Map<String, UUID> rooms = new HashMap<>();
        Scenario.ROOMS.forEach(room -> rooms.put(room.key(), chamber(room, people, random)));
        weather.fill(rooms, new Random(SEED));
        Map<String, Integer> hanging = new HashMap<>();
        for (Bought bought : Scenario.lots()) {
            buy(bought, rooms, hanging, people, random);
        }
        trials.fill(people);
        tastings.fill(new Random(SEED));
        packs.fill(people, new Random(SEED + 1));
        Map<String, UUID> byName = chambers.all().stream().collect(Collectors.toMap(Chamber::name, Chamber::id));
        game.fill(name -> byName.get(name).toString(), new Random(SEED + 2));
        looked(random);
        photos.draw(new Random(SEED + 3));
        Scenario.WISHES.forEach(wish -> purchases.put(new PlanForm(
                Scenario.id(random),
                0,
                wish.name(),
                wish.cut(),
                false,
                5,
                wish.pieces(),
                wish.grams(),
                Method.OPEN_AIR,
                Coating.NONE,
                null,
                rooms.get(wish.room()),
                workshops.today().plusDays(wish.inDays()),
                wish.days(),
                2200,
                0)));
    }

    /** Most pieces were turned and looked at when they should have been; one bag was found leaking this morning. */
    private void looked(Random random) {
        boolean leaks = true;
        for (WorkItem item : work.ahead(0)) {
            if (item.work() != Work.LOOK || random.nextInt(5) == 0) {
                continue;
            }
            Piece piece = pieces.find(item.subject().id());
            boolean wrapped = piece.method().orElseThrow() == Method.MEMBRANE;
            looks.keep(piece.id(), Scenario.id(random), seen(wrapped && leaks, wrapped, random, earlier(item.on())));
            leaks = leaks && !wrapped;
        }
        for (Piece piece : pieces.hangingNow()) {
            LocalDate day = piece.hungOn().orElseThrow().plusDays(TURNED_ON_DAY);
            boolean turned = piece.method().orElseThrow() != Method.ON_ICE && random.nextInt(5) > 0;
            if (turned && !day.isAfter(workshops.today())) {
                log.write(
                        piece.id(),
                        Scenario.id(random),
                        new EntryForm(LogFactKind.TURNED, 0, null, "", earlier(day), null, Map.of()));
            }
        }
    }

    private Instant earlier(LocalDate day) {
        Instant morning = workshops.mine().clock().at(day, LocalTime.of(9, 30));
        Instant now = clock.instant();
        return morning.isBefore(now) ? morning : now;
    }

    private static LookForm seen(boolean leaking, boolean wrapped, Random random, Instant at) {
        boolean bloom = !wrapped && random.nextInt(3) == 0;
        return new LookForm(
                wrapped ? Colour.DARK_RED : Colour.BROWN,
                wrapped ? SurfaceFeel.TACKY : random.nextBoolean() ? SurfaceFeel.DRY : SurfaceFeel.LEATHERY,
                bloom ? Set.of(Mould.WHITE_POWDER) : Set.of(),
                bloom ? Extent.PATCHES : Extent.NONE,
                random.nextBoolean() ? Smell.CLEAN : Smell.NUTTY,
                Set.of(),
                Depth.PART,
                leaking ? 35 : 0,
                false,
                leaking ? "Lifted along the bone side." : "",
                at,
                null);
    }

    private UUID chamber(Room room, List<UUID> people, Random random) {
        UUID id = Scenario.id(random);
        chambers.put(new ChamberForm(
                id,
                0,
                room.name(),
                room.kind(),
                room.rails(),
                room.places(),
                room.limitGrams(),
                room.celsius(),
                room.humidityPercent(),
                room.metresPerSecond(),
                null,
                room.purchaseMinor(),
                room.lifeYears(),
                room.watts(),
                null,
                people.get(room.keeper())));
        return id;
    }

    private void buy(
            Bought bought, Map<String, UUID> rooms, Map<String, Integer> hanging, List<UUID> people, Random random) {
        LocalDate hungOn = workshops.today().minusDays(bought.daysAgo());
        Lot lot = lots.receive(new LotForm(
                Scenario.id(random),
                0,
                bought.cut(),
                bought.grade(),
                bought.boneIn(),
                bought.fatMm(),
                bought.grams(),
                bought.priceMinor(),
                bought.supplier(),
                hungOn.minusDays(4 + random.nextInt(8)),
                hungOn,
                bought.celsius(),
                "",
                "",
                Map.of("long-ago", "")));
        int left = bought.grams();
        for (int index = 0; index < bought.pieces().size(); index++) {
            DemoPiece hung = bought.pieces().get(index);
            int share = left / (bought.pieces().size() - index);
            int green = index == bought.pieces().size() - 1
                    ? left - 10 - random.nextInt(3) * 5
                    : Math.round(share * (0.97f + random.nextFloat() * 0.06f) / 5) * 5;
            left -= green;
            hang(lot, bought, hung, index, green, hungOn, rooms, hanging, people, random);
        }
    }

    private void hang(
            Lot lot,
            Bought bought,
            DemoPiece hung,
            int index,
            int green,
            LocalDate hungOn,
            Map<String, UUID> rooms,
            Map<String, Integer> hanging,
            List<UUID> people,
            Random random) {
        UUID id = Scenario.id(random);
        String tag = lot.number() + String.valueOf((char) ('A' + index));
        if (hung.role() == PieceRole.FRESH) {
            archive.add(PieceDraft.fresh(id, lot, tag, green), PieceState.FRESH, List.of());
            return;
        }
        Room room = Scenario.room(hung.room());
        Chamber chamber = chambers.find(rooms.get(hung.room())).orElseThrow();
        int place = hung.reached() == DemoProgress.HANGING ? hanging.merge(hung.room(), 1, Integer::sum) - 1 : 0;
        PieceDraft draft = PieceDraft.hung(id, lot, tag, hung.role(), green, hung.method(), hungOn, hung.days())
                .hangIn(chamber, new Place(place / room.places() + 1, place % room.places() + 1))
                .spend(hung.method().usualConsumablesMinor())
                .cover(hung.coating(), null);
        Piece piece = draft.piece();
        HouseClock house = workshops.mine().clock();
        List<LogEntry> log = new Story(
                        bought,
                        hung,
                        piece.hanging().orElseThrow(),
                        room.runs(),
                        id,
                        piece.hungAt(house).orElseThrow(),
                        people,
                        random)
                .tell();
        // Early in the day the scenario's weighings of the day have not happened yet.
        List<LogEntry> soFar = log.stream()
                .filter(entry -> !entry.happenedAt().isAfter(clock.instant()))
                .toList();
        archive.add(draft, PieceState.valueOf(hung.reached().name()), soFar);
        plans.keep(List.of(piece), piece.hungAt(house).orElseThrow());
    }
}
