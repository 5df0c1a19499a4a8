package elvaro.server.past;

import static elvaro.core.working.Quantity.date;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.words;

import elvaro.core.cut.Arrival;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.past.PastPiece;
import elvaro.core.past.PastPiece.CompletedPiece;
import elvaro.core.past.PastPiece.Weighing;
import elvaro.core.past.PastTable;
import elvaro.core.past.PastTable.HungBefore;
import elvaro.core.past.PastTable.Read;
import elvaro.core.question.PastDay;
import elvaro.core.question.Question;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.past.PastView.CellFault;
import elvaro.server.past.PastView.StoryLine;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.PieceDraft;
import elvaro.server.piece.PieceHistory;
import elvaro.server.piece.PieceHistory.HungPiece;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.Place;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes weights of the past in: finished pieces with their story, and weighings of pieces that are here. */
@Service
@Transactional
class PastService {
    private static final String WORDS = "From a table of the past";
    /** A table says the day; what happened on it happened in this order. */
    private static final LocalTime WEIGHED = LocalTime.NOON;

    private static final LocalTime PULLED = LocalTime.of(17, 0);
    private static final LocalTime CUT = LocalTime.of(18, 0);

    private final PieceHistory archive;
    private final LotService lots;
    private final ChamberService chambers;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final Clock clock;

    PastService(
            PieceHistory archive,
            LotService lots,
            ChamberService chambers,
            WorkshopService workshops,
            CurrentWorkshop current,
            Clock clock) {
        this.archive = archive;
        this.lots = lots;
        this.chambers = chambers;
        this.workshops = workshops;
        this.current = current;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    PastView preview(PastForm form) {
        Map<String, HungPiece> here = here(form);
        return view(read(form, here), here);
    }

    private Map<String, HungPiece> here(PastForm form) {
        return archive.hung(form.tags(), workshops.mine().clock());
    }

    private Read read(PastForm form, Map<String, HungPiece> here) {
        Map<String, HungBefore> known = new HashMap<>();
        here.forEach((tag, hanged) -> known.put(
                tag, new HungBefore(hanged.hungOn(), Optional.ofNullable(hanged.pulledOn()), hanged.mostGrams())));
        return PastTable.read(form.rows(), form.manner(), known, workshops.today());
    }

    private static PastView view(Read read, Map<String, HungPiece> here) {
        int known = 0;
        int weighings = 0;
        List<StoryLine> stories = new ArrayList<>();
        for (PastPiece piece : read.pieces()) {
            int there = piece.story().isPresent() ? 0 : alreadyThere(piece, here);
            known += there;
            weighings += piece.weighings().size() - there;
            stories.add(new StoryLine(piece.name(), piece.row(), piece.story().isEmpty(), sentence(piece)));
        }
        return new PastView(
                (int) read.pieces().stream()
                        .filter(piece -> piece.story().isPresent())
                        .count(),
                weighings,
                known,
                stories,
                read.leftOut().stream()
                        .map(row -> "Row %d is left out: “%s” is no piece but sums others up."
                                .formatted(row.row(), words(row.name())))
                        .toList(),
                read.faults().stream()
                        .map(fault -> new CellFault(fault.row(), fault.field().orElse(null), fault.sentence()))
                        .toList());
    }

    private static int alreadyThere(PastPiece piece, Map<String, HungPiece> here) {
        HungPiece hanged = here.get(piece.name().toUpperCase(Locale.ROOT));
        return hanged == null
                ? 0
                : (int) piece.weighings().stream()
                        .filter(each -> hanged.knows(each.day(), each.grams()))
                        .count();
    }

    private static String sentence(PastPiece piece) {
        String weighings = piece.weighings().size() == 1
                ? "1 weighing"
                : "%d weighings".formatted(piece.weighings().size());
        return piece.story()
                .map(told -> "%s, %s on %s, %s on %s, %s of steak, %s."
                        .formatted(
                                told.cut().name(),
                                mass(told.greenGrams()),
                                date(told.hungOn()),
                                mass(told.agedGrams()),
                                date(told.pulledOn()),
                                mass(told.piles().getOrDefault(elvaro.core.ledger.Stream.STEAK, 0)),
                                weighings))
                .orElse("%s.".formatted(weighings));
    }

    /** @throws Refusal if a cell cannot be, or a new piece has no chamber to have hung in */
    PastView take(UUID id, PastForm form) {
        workshops.lock();
        if (archive.isHere(pieceId(id, 0))) {
            return preview(form); // sent again
        }
        Map<String, HungPiece> here = here(form);
        Read read = read(form, here);
        PastView view = view(read, here);
        if (!read.faults().isEmpty()) {
            throw Refusal.wrong(
                    "bad-table",
                    "rows",
                    "%d cells cannot be, the first in row %d. Nothing was taken in."
                            .formatted(
                                    read.faults().size(), read.faults().get(0).row()));
        }
        Chamber chamber = form.chamberId() == null
                ? null
                : chambers.find(form.chamberId()).orElseThrow(() -> Refusal.notFound("chamber"));
        if (view.pieces() > 0 && chamber == null) {
            throw Refusal.wrong("no-chamber", "chamberId", "Choose where the new pieces hung. Nothing was taken in.");
        }
        HouseClock house = workshops.mine().clock();
        int number = 0;
        for (PastPiece piece : read.pieces()) {
            if (piece.story().isPresent()) {
                bring(pieceId(id, number), piece, piece.story().get(), Objects.requireNonNull(chamber), house);
                number++;
            } else {
                HungPiece hanged = Objects.requireNonNull(here.get(piece.name().toUpperCase(Locale.ROOT)));
                piece.weighings().stream()
                        .filter(each -> !hanged.knows(each.day(), each.grams()))
                        .forEach(each -> archive.more(
                                hanged.piece(), weighed(hanged.piece().id(), each, house)));
            }
        }
        return view;
    }

    private static UUID pieceId(UUID id, int number) {
        return Ids.after(id, "past piece " + number);
    }

    private void bring(UUID id, PastPiece piece, CompletedPiece told, Chamber chamber, HouseClock house) {
        Lot lot = lots.receive(new LotForm(
                Ids.after(id, "lot"),
                0,
                told.cut().code(),
                told.grade(),
                false,
                0,
                told.greenGrams(),
                told.priceMinorPerKg() == 0 ? null : Integer.valueOf(told.priceMinorPerKg()),
                told.supplier(),
                null,
                told.hungOn(),
                null,
                "",
                "%s: %s".formatted(WORDS, piece.name()),
                answered(Stream.concat(
                                new PastDay(told.hungOn(), workshops.today()).question("receivedOn").stream(),
                                new Arrival(told.cut(), told.greenGrams(), Optional.empty(), Optional.empty())
                                        .questions().stream())
                        .toList())));
        int days = (int) ChronoUnit.DAYS.between(told.hungOn(), told.pulledOn());
        PieceDraft hung = PieceDraft.hung(
                        id,
                        lot,
                        lot.number() + "A",
                        PieceRole.PLAIN,
                        told.greenGrams(),
                        told.method(),
                        told.hungOn(),
                        days)
                .hangIn(chamber, new Place(1, 1));
        List<LogEntry> log = new ArrayList<>();
        piece.weighings().stream()
                .filter(each -> !(each.day().equals(told.hungOn()) && each.grams() == told.greenGrams()))
                .filter(each -> !(each.day().equals(told.pulledOn()) && each.grams() == told.agedGrams()))
                .forEach(each -> log.add(weighed(id, each, house)));
        log.add(entry(id, "pulled", LogFactKind.PULLED, told.pulledOn(), PULLED, told.agedGrams(), null, house));
        told.piles()
                .forEach((stream, grams) -> log.add(
                        entry(id, "pile " + stream, LogFactKind.PILE, told.pulledOn(), CUT, grams, stream, house)));
        log.add(entry(id, "closed", LogFactKind.CLOSED, told.pulledOn(), CUT.plusMinutes(1), 0, null, house));
        archive.add(hung, PieceState.CUT, log);
    }

    private static Map<String, String> answered(List<Question> questions) {
        return questions.stream().collect(Collectors.toMap(Question::id, question -> WORDS));
    }

    private LogEntry weighed(UUID pieceId, Weighing weighing, HouseClock house) {
        return entry(
                pieceId,
                "weighed %s %d".formatted(weighing.day(), weighing.grams()),
                LogFactKind.WEIGHED,
                weighing.day(),
                WEIGHED,
                weighing.grams(),
                null,
                house);
    }

    private LogEntry entry(
            UUID pieceId,
            String what,
            LogFactKind kind,
            LocalDate day,
            LocalTime time,
            int grams,
            elvaro.core.ledger.@Nullable Stream stream,
            HouseClock house) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Instant at = house.at(day, time);
        LogFact fact = new LogFact(Ids.after(pieceId, what), null, kind, at.isAfter(now) ? now : at, grams, stream);
        return new LogEntry(pieceId, fact, WORDS, now, current.person().accountId());
    }
}
