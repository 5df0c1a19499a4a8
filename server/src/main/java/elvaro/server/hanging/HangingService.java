package elvaro.server.hanging;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.drying.Coating;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Split;
import elvaro.core.plan.Doubt;
import elvaro.core.question.Question;
import elvaro.core.treatment.Clash;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.hanging.SplitForm.NewPiece;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogWriter;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceDraft;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cutting a lot into pieces and hanging them, in one step. */
@Service
@Transactional
public class HangingService {
    private final PieceReader pieces;
    private final PieceWriter writer;
    private final LogWriter log;
    private final LotService lots;
    private final ChamberService chambers;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final PiecePlans plans;
    private final Neighbours neighbours;
    private final Clock clock;

    HangingService(
            PieceReader pieces,
            PieceWriter writer,
            LogWriter log,
            LotService lots,
            ChamberService chambers,
            DecisionService decisions,
            WorkshopService workshops,
            CurrentWorkshop current,
            PiecePlans plans,
            Neighbours neighbours,
            Clock clock) {
        this.pieces = pieces;
        this.writer = writer;
        this.log = log;
        this.lots = lots;
        this.chambers = chambers;
        this.decisions = decisions;
        this.workshops = workshops;
        this.current = current;
        this.plans = plans;
        this.neighbours = neighbours;
        this.clock = clock;
    }

    /**
     * Splits a lot; a retry of the same request finds the pieces there.
     *
     * @throws Refusal if the parts weigh more than the lot, a value is missing, or a question is open
     */
    public void split(UUID lotId, SplitForm form) {
        workshops.lock(); // Places and loads of the chambers are counted below.
        Lot lot = lots.lock(lotId);
        List<Piece> known = pieces.ofLot(lotId);
        if (!known.isEmpty()) {
            mustBeTheSame(known, form);
            return;
        }
        List<Integer> grams = form.pieces().stream().map(NewPiece::greenGrams).toList();
        Split split = new Split(lot.receivedGrams(), grams);
        if (split.impossible(workshops.mine().divisionGrams())) {
            throw Refusal.wrong(
                    "more-than-lot",
                    "pieces",
                    "The pieces weigh %s more than the lot. Weigh them again.".formatted(mass(-split.cuttingLoss())));
        }
        Map<UUID, Occupancy> where = new LinkedHashMap<>();
        form.pieces().stream().filter(piece -> !piece.fresh()).forEach(piece -> {
            if (piece.hangsLater()) {
                mustSayHow(piece);
                return;
            }
            Chamber chamber = check(piece, lot);
            where.computeIfAbsent(chamber.id(), id -> new Occupancy(chamber, pieces.hangingIn(id)));
        });
        List<Question> questions = new ArrayList<>();
        split.question().ifPresent(questions::add);
        where.values().forEach(occupancy -> {
            questions.addAll(questions(occupancy, form));
            questions.addAll(neighbours.onHangingIn(occupancy.chamber()));
        });
        form.pieces().stream()
                .filter(piece -> piece.method() != null)
                .flatMap(piece -> Clash.ofCoat(piece.coating(), piece.method()).stream())
                .distinct()
                .forEach(clash -> questions.add(clash.question()));
        form.pieces().stream()
                .filter(piece -> piece.method() != null && piece.contactPercent() != null)
                .flatMap(piece -> Doubt.ofContact(piece.method(), piece.contactPercent() / 100.0).stream())
                .distinct()
                .forEach(doubt -> questions.add(Question.confirm(doubt.id(), "contactPercent", doubt.sentence())));
        form.pieces().stream()
                .flatMap(piece -> Stream.ofNullable(piece.targetDays()))
                .flatMap(days -> Doubt.ofLength(days).stream())
                .distinct()
                .forEach(doubt -> questions.add(Question.confirm(doubt.id(), "targetDays", doubt.sentence())));
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions);
        make(lot, form, where);
        decisions.keep(lotId, null, settled);
    }

    private static void mustBeTheSame(List<Piece> known, SplitForm form) {
        Set<UUID> asked = form.pieces().stream().map(NewPiece::id).collect(Collectors.toSet());
        if (!known.stream().map(Piece::id).collect(Collectors.toSet()).equals(asked)) {
            throw Refusal.conflict("split-already", "This lot was cut into pieces already.");
        }
    }

    private static void mustSayHow(NewPiece piece) {
        if (piece.method() == null) {
            throw Refusal.wrong("missing", "method", "Say how the piece is aged.");
        }
        if (piece.targetDays() == null) {
            throw Refusal.wrong("missing", "targetDays", "Say for how many days it is to hang.");
        }
    }

    private Chamber check(NewPiece piece, Lot lot) {
        mustSayHow(piece);
        if (piece.hungOn() == null) {
            throw Refusal.wrong("missing", "targetDays", "Say on which day it is hung and for how many days.");
        }
        if (piece.hungOn().isAfter(workshops.today())) {
            throw Refusal.wrong("future-date", "hungOn", "A piece cannot have been hung in the future.");
        }
        if (piece.hungOn().isBefore(lot.receivedOn())) {
            throw Refusal.wrong("before-arrival", "hungOn", "It cannot have been hung before the lot came.");
        }
        return Optional.ofNullable(piece.chamberId())
                .flatMap(chambers::find)
                .orElseThrow(() -> Refusal.wrong("missing", "chamberId", "Choose the chamber it hangs in."));
    }

    private static List<Question> questions(Occupancy occupancy, SplitForm form) {
        List<NewPiece> coming = form.pieces().stream()
                .filter(piece -> occupancy.chamber().id().equals(piece.chamberId()))
                .toList();
        return occupancy.questions(
                coming.stream().mapToLong(NewPiece::greenGrams).sum(),
                coming.stream()
                        .flatMap(piece -> Stream.ofNullable(piece.method()))
                        .toList());
    }

    private void make(Lot lot, SplitForm form, Map<UUID, Occupancy> where) {
        List<Piece> hung = new ArrayList<>();
        for (int index = 0; index < form.pieces().size(); index++) {
            NewPiece asked = form.pieces().get(index);
            String tag = lot.number() + String.valueOf((char) ('A' + index));
            Piece piece = writer.add(draft(lot, tag, asked, where));
            if (piece.state() == PieceState.HANGING) {
                hung.add(piece);
            }
        }
        plans.keep(hung, now());
        for (Piece piece : hung) {
            int coatGrams = form.pieces().stream()
                    .filter(asked -> asked.id().equals(piece.id()))
                    .mapToInt(NewPiece::coatGrams)
                    .sum();
            if (coatGrams > 0) {
                coat(piece, coatGrams, piece.hungOn().orElseThrow());
            }
        }
    }

    private PieceDraft draft(Lot lot, String tag, NewPiece asked, Map<UUID, Occupancy> where) {
        if (asked.fresh()) {
            return PieceDraft.fresh(asked.id(), lot, tag, asked.greenGrams()).of(asked.things());
        }
        if (asked.hangsLater()) {
            return PieceDraft.waiting(
                            asked.id(), lot, tag, asked.role(), asked.greenGrams(), asked.method(), asked.targetDays())
                    .of(asked.things())
                    .spend(asked.consumablesMinor())
                    .cover(Coating.NONE, asked.contactPercent())
                    .measure(asked.lengthMm(), asked.widthMm(), asked.heightMm());
        }
        Occupancy occupancy = where.get(asked.chamberId());
        return PieceDraft.hung(
                        asked.id(),
                        lot,
                        tag,
                        asked.role(),
                        asked.greenGrams(),
                        asked.method(),
                        asked.hungOn(),
                        asked.targetDays())
                .of(asked.things())
                .since(asked.hungOn().equals(workshops.today()) ? now() : null)
                .hangIn(occupancy.chamber(), occupancy.takePlace())
                .spend(asked.consumablesMinor())
                .cover(asked.coating(), asked.contactPercent())
                .measure(asked.lengthMm(), asked.widthMm(), asked.heightMm());
    }

    /** The coat's entry has an id made from the piece's, so that it is the same one however often it is sent. */
    private void coat(Piece piece, int grams, LocalDate hungOn) {
        UUID id = Ids.after(piece.id(), " coat");
        Instant now = now();
        Instant at = hungOn.equals(workshops.today())
                ? now
                : workshops.mine().clock().at(hungOn, LocalTime.NOON);
        LogFact fact = new LogFact(id, null, LogFactKind.COAT_ON, at, grams, null);
        log.append(
                piece, new LogEntry(piece.id(), fact, "", now, current.person().accountId()));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
