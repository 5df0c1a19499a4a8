package elvaro.server.tasting;

import elvaro.core.cooking.LeastCore;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Servings.Serving;
import elvaro.core.tasting.TastingKind;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.RequestLimit;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** What a taster's phone sees and sends. Nothing here names a sample, a treatment, a trial, a date or a person. */
@Service
class TableService {
    static final int PLATES_A_MINUTE = 120;
    static final int GUESSES_A_MINUTE = 60;

    private final RequestLimit<UUID> requests = new RequestLimit<>();
    private final RequestLimit<String> guesses = new RequestLimit<>();
    private final TastingAggregates tables;
    private final SheetService sheets;
    private final WordsInUse words;
    private final Cautions cautions;
    private final JdbcClient database;
    private final CurrentWorkshop current;
    private final TransactionTemplate transactions;
    private final Clock clock;

    TableService(
            TastingAggregates tables,
            SheetService sheets,
            WordsInUse words,
            Cautions cautions,
            JdbcClient database,
            CurrentWorkshop current,
            TransactionTemplate transactions,
            Clock clock) {
        this.tables = tables;
        this.sheets = sheets;
        this.words = words;
        this.cautions = cautions;
        this.database = database;
        this.current = current;
        this.transactions = transactions;
        this.clock = clock;
    }

    /**
     * A taster's sheets.
     *
     * @param begun whether they are taken in yet
     * @param place number at the table
     * @param chips words to choose from
     * @param caution about the core; absent where none is due
     */
    record TasterSheets(
            boolean begun,
            int place,
            TastingKind kind,
            List<Attribute> attributes,
            List<RoundView> rounds,
            List<String> chips,
            @Nullable String caution) {}

    /** @param codes in the order they are eaten */
    record RoundView(int round, List<Integer> codes, boolean handedIn) {}

    private record KnownPlace(UUID placeId, UUID tastingId, UUID workshopId) {}

    TasterSheets sheets(String token, String address) {
        KnownPlace known = known(token, address);
        return as(known, () -> view(known));
    }

    void handIn(String token, String address, UUID sheetId, SheetForm form) {
        KnownPlace known = known(token, address);
        as(known, () -> {
            sheets.take(known.tastingId(), known.placeId(), sheetId, form, null);
            return true;
        });
    }

    private <T> T as(KnownPlace known, Supplier<T> work) {
        SignedIn taster = new SignedIn(known.placeId(), known.workshopId(), Role.BENCH_HAND, true, null);
        return current.actingAs(taster, () -> transactions.execute(status -> work.get()));
    }

    private TasterSheets view(KnownPlace known) {
        TastingAggregate laid = tables.one(known.tastingId());
        Tasting tasting = laid.tasting();
        TastingPlace place = laid.places().stream()
                .filter(each -> each.id().equals(known.placeId()))
                .findFirst()
                .orElseThrow(Refusal::unknownLink);
        List<Boolean> arrived = laid.arrived(place);
        boolean low = !cautions.of(
                        laid.samples().stream()
                                .flatMap(each -> each.pieceId().stream())
                                .toList(),
                        tasting.coreCelsius())
                .isEmpty();
        return new TasterSheets(
                tasting.takesSheets(clock.instant()),
                place.position() + 1,
                tasting.kind(),
                tasting.attributes(),
                IntStream.range(0, tasting.rounds())
                        .mapToObj(round -> new RoundView(
                                round,
                                laid.plate(place, round).servings().stream()
                                        .map(Serving::code)
                                        .toList(),
                                arrived.get(round)))
                        .toList(),
                words.chips(laid),
                low ? LeastCore.ABOUT_THIS_TABLE : null);
    }

    /**
     * Looking a token up crosses workshops, and so is plain SQL. Whoever tries many that open nothing is turned away; whoever
     * sits at the table is not, even behind the same address.
     */
    private KnownPlace known(String token, String address) {
        KnownPlace known = database.sql("select p.id, p.tasting_id, p.workshop_id from tasting_place p"
                        + " join tasting t on t.id = p.tasting_id and t.workshop_id = p.workshop_id"
                        + " where p.token = ? and t.state in ('PLANNED', 'OPEN')"
                        + " and (t.opened_at is null or t.opened_at > ?)")
                .params(token, LocalDateTime.ofInstant(clock.instant().minus(Tasting.OPEN_FOR), ZoneOffset.UTC))
                .query((row, number) -> new KnownPlace(
                        UUID.fromString(row.getString(1)),
                        UUID.fromString(row.getString(2)),
                        UUID.fromString(row.getString(3))))
                .optional()
                .orElseThrow(() -> guesses.allows(address, GUESSES_A_MINUTE)
                        ? Refusal.unknownLink()
                        : Refusal.tooMany("Too many links that open nothing. Wait a minute and try the right one."));
        if (!requests.allows(known.placeId(), PLATES_A_MINUTE)) {
            throw Refusal.tooMany("That was too much at once. Wait a minute; what you answered is kept.");
        }
        return known;
    }
}
