package elvaro.server.rehearsal;

import elvaro.core.air.Air;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Stream;
import elvaro.core.rehearsal.LessonWork;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.rehearsal.Review;
import elvaro.server.account.AccountService;
import elvaro.server.account.Preferences;
import elvaro.server.chamber.ChamberForm;
import elvaro.server.chamber.ChamberService;
import elvaro.server.device.DeviceService;
import elvaro.server.hanging.HangingService;
import elvaro.server.hanging.SplitForm;
import elvaro.server.hanging.SplitForm.NewPiece;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.PieceRole;
import elvaro.server.rehearsal.Rehearsal.Things;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import elvaro.server.tasting.OpenTables;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The houses that are made for rehearsals. */
@Service
class RehearsalHouses {
    /** More than a person can keep in mind. */
    private static final int MOST_RUNNING = 4;

    /** Each is a house with its rows. */
    private static final int MOST_A_DAY = 40;

    /** Who may be seated at a table of a rehearsal. */
    private static final int GUESTS = 24;

    /** Room for all that a lot of a rehearsal can be cut into. */
    private static final int RAILS = 2;

    private static final int PLACES_A_RAIL = 7;

    private final RehearsalRepository rehearsals;
    private final AccountService accounts;
    private final WorkshopService workshops;
    private final ChamberService chambers;
    private final LotService lots;
    private final HangingService hanging;
    private final DeviceService devices;
    private final OpenTables tables;
    private final RehearsalAir air;
    private final RehearsalHand hand;
    private final CurrentWorkshop current;
    private final JdbcClient database;
    private final TransactionTemplate transaction;
    private final Clock clock;

    RehearsalHouses(
            RehearsalRepository rehearsals,
            AccountService accounts,
            WorkshopService workshops,
            ChamberService chambers,
            LotService lots,
            HangingService hanging,
            DeviceService devices,
            OpenTables tables,
            RehearsalAir air,
            RehearsalHand hand,
            CurrentWorkshop current,
            JdbcClient database,
            TransactionTemplate transaction,
            Clock clock) {
        this.rehearsals = rehearsals;
        this.accounts = accounts;
        this.workshops = workshops;
        this.chambers = chambers;
        this.lots = lots;
        this.hanging = hanging;
        this.devices = devices;
        this.tables = tables;
        this.air = air;
        this.hand = hand;
        this.current = current;
        this.database = database;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * Makes a house with one piece hung in it; sent again, it is there once.
     *
     * @throws Refusal if a value cannot be, or too many are running already
     */
    void begin(UUID id, RehearsalForm form) {
        SignedIn person = mustBeOutside();
        if (house(id, person).isPresent()) {
            return;
        }
        if (database.sql("select count(*) from rehearsal where id = ?")
                        .param(id)
                        .query(Integer.class)
                        .single()
                > 0) {
            throw Refusal.notFound("rehearsal"); // somebody else's
        }
        if (running(person) >= MOST_RUNNING) {
            throw Refusal.conflict(
                    "enough-running", "%d rehearsals are running. End one before the next.".formatted(MOST_RUNNING));
        }
        if (begunLately(person) >= MOST_A_DAY) {
            throw Refusal.tooMany("That is enough for a day. Begin the next one tomorrow.");
        }
        RehearsalPlan plan = form.planned(id.getLeastSignificantBits());
        String name = accounts.me().name();
        Preferences preferences = accounts.preferences();
        WorkshopSettings settings = settings(workshops.settings(), title(form.lesson()));
        SignedIn inside = person.rehearsing(Ids.after(id, "hand"), Ids.after(id, "house"));
        current.actingAs(inside, () -> {
            transaction.executeWithoutResult(status -> {
                workshops.create(inside.workshopId(), settings);
                accounts.add(inside.accountId(), inside.accountId().toString(), name, Role.BENCH_HAND);
                accounts.prefer(preferences);
                furnish(id, person, inside, form, plan);
            });
            return inside;
        });
    }

    private void furnish(UUID id, SignedIn person, SignedIn inside, RehearsalForm form, RehearsalPlan plan) {
        LessonWork work =
                form.lesson() == null ? LessonWork.PIECE : form.lesson().work();
        Things things = new Things(
                work == LessonWork.PIECE ? Ids.after(id, "piece 0") : null,
                Ids.after(id, "chamber"),
                Ids.after(id, "scale"));
        chambers.put(chamber(things.chamberId(), plan));
        devices.add(things.scaleId(), "Scale of the rehearsal", null);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Rehearsal rehearsal = new Rehearsal(id, person, inside.accountId(), form.lesson(), plan, things, now);
        rehearsal.set(rehearsal.at(plan.beginsOnDay()), now);
        rehearsals.save(rehearsal);
        List<RehearsalPlan> pieces = switch (work) {
            case PIECE -> List.of(plan);
            case TASTING -> form.lesson().tasted(plan.seed());
            case TRIAL -> List.of();
        };
        hang(id, plan, pieces, things.chamberId(), form.settled());
        if (work == LessonWork.TASTING) {
            pieces.forEach(each -> hand.seesThrough(rehearsal, Ids.after(id, "piece " + each.number()), each));
            tables.know(IntStream.rangeClosed(1, GUESTS)
                    .boxed()
                    .collect(Collectors.toMap(guest -> Ids.after(id, "guest " + guest), "Guest %02d"::formatted)));
        }
        air.record(rehearsal, 0, plan.beginsOnDay());
    }

    /** All of one lot; where nothing hangs yet, the lot lies there. */
    private void hang(
            UUID id, RehearsalPlan plan, List<RehearsalPlan> pieces, UUID chamber, Map<String, String> answers) {
        UUID lot = Ids.after(id, "lot");
        int grams = pieces.stream().mapToInt(RehearsalPlan::greenGrams).sum();
        lots.receive(new LotForm(
                lot,
                0,
                plan.cut().code(),
                "",
                plan.boneIn(),
                plan.fatCoverMm(),
                pieces.isEmpty() ? plan.greenGrams() : grams,
                Review.GREEN_MINOR_PER_KG,
                "",
                null,
                workshops.today(),
                2.0,
                "",
                "",
                Map.of()));
        if (!pieces.isEmpty()) {
            List<NewPiece> all = pieces.stream()
                    .map(each -> piece(Ids.after(id, "piece " + each.number()), chamber, each))
                    .toList();
            hanging.split(lot, new SplitForm(all, answers));
        }
    }

    private static ChamberForm chamber(UUID id, RehearsalPlan plan) {
        Air usual = plan.place().usualAir();
        String name = switch (plan.place()) {
            case REFRIGERATOR -> "Refrigerator";
            case CABINET -> "Cabinet";
            case WALK_IN -> "Cold room";
            case SHED -> "Shed";
            case ICE_CHEST -> "Ice chest";
        };
        return new ChamberForm(
                id,
                0,
                name,
                plan.place(),
                RAILS,
                PLACES_A_RAIL,
                60_000,
                usual.celsius(),
                (int) Math.round(usual.relativeHumidity() * 100),
                usual.metresPerSecond(),
                null,
                0,
                10,
                100,
                null,
                null);
    }

    private NewPiece piece(UUID id, UUID chamber, RehearsalPlan plan) {
        return new NewPiece(
                id,
                PieceRole.PLAIN,
                plan.greenGrams(),
                false,
                plan.method(),
                chamber,
                workshops.today(),
                plan.plannedDays(),
                0,
                plan.coating(),
                plan.method() == Method.MEMBRANE ? 95 : null,
                null,
                null,
                null,
                null,
                plan.method().usualConsumablesMinor());
    }

    /** Of the house one comes from, at the prices of the rehearsal. */
    private static WorkshopSettings settings(WorkshopSettings own, String title) {
        return new WorkshopSettings(
                0,
                "Rehearsal: " + title,
                own.currency(),
                own.zone(),
                own.divisionGrams(),
                own.tariffMinorPerKwh(),
                0,
                0,
                0,
                0,
                Review.worthMinorPerKg(Stream.STEAK),
                Review.worthMinorPerKg(Stream.USABLE_TRIM),
                Review.worthMinorPerKg(Stream.FAT),
                0,
                own.targetMarginPercent(),
                List.of(),
                "");
    }

    /** As whom the person works in it. @throws Refusal if it is not theirs */
    SignedIn inside(UUID id) {
        SignedIn person = mustBeOutside();
        return house(id, person).orElseThrow(() -> Refusal.notFound("rehearsal"));
    }

    private Optional<SignedIn> house(UUID id, SignedIn person) {
        return database.sql("select workshop_id, hand_id from rehearsal where id = ? and of_workshop_id = ?"
                        + " and of_account_id = ?")
                .params(id, person.workshopId(), person.accountId())
                .query((row, number) -> person.rehearsing(
                        UUID.fromString(row.getString("hand_id")), UUID.fromString(row.getString("workshop_id"))))
                .optional();
    }

    private SignedIn mustBeOutside() {
        return outside(current);
    }

    /** @throws Refusal if the person is in a rehearsal */
    static SignedIn outside(CurrentWorkshop current) {
        SignedIn person = current.person();
        if (person.outside().isPresent()) {
            throw Refusal.conflict("in-rehearsal", "You are in a rehearsal. Leave it first.");
        }
        return person;
    }

    static String title(@Nullable RehearsalLesson lesson) {
        return lesson == null ? "a plan of your own" : lesson.title();
    }

    private int running(SignedIn person) {
        return database.sql(
                        "select count(*) from rehearsal where of_workshop_id = ? and of_account_id = ? and ended_at is null")
                .params(person.workshopId(), person.accountId())
                .query(Integer.class)
                .single();
    }

    private int begunLately(SignedIn person) {
        return database.sql(
                        "select count(*) from rehearsal where of_workshop_id = ? and of_account_id = ? and begun_at > ?")
                .params(
                        person.workshopId(),
                        person.accountId(),
                        LocalDateTime.ofInstant(clock.instant().minus(Duration.ofDays(1)), ZoneOffset.UTC))
                .query(Integer.class)
                .single();
    }
}
