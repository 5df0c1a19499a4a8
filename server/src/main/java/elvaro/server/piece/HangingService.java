package elvaro.server.piece;

import static elvaro.core.working.Figures.weight;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.Kind;
import elvaro.core.ledger.Split;
import elvaro.core.question.Question;
import elvaro.core.treatment.Clash;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.SplitForm.NewPiece;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
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
    private final PieceRepository pieces;
    private final LogService log;
    private final LotService lots;
    private final ChamberService chambers;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final PiecePlans plans;
    private final Clock clock;

    HangingService(
            PieceRepository pieces,
            LogService log,
            LotService lots,
            ChamberService chambers,
            DecisionService decisions,
            WorkshopService workshops,
            CurrentWorkshop current,
            PiecePlans plans,
            Clock clock) {
        this.pieces = pieces;
        this.log = log;
        this.lots = lots;
        this.chambers = chambers;
        this.decisions = decisions;
        this.workshops = workshops;
        this.current = current;
        this.plans = plans;
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
                    "The pieces weigh %s more than the lot. Weigh them again.".formatted(weight(-split.cuttingLoss())));
        }
        Map<UUID, Chamber> where = new LinkedHashMap<>();
        form.pieces().stream().filter(piece -> !piece.fresh()).forEach(piece -> {
            if (piece.hangsLater()) {
                mustSayHow(piece);
                return;
            }
            Chamber chamber = check(piece, lot);
            where.put(chamber.id(), chamber);
        });
        List<Question> questions = new ArrayList<>();
        split.question().ifPresent(questions::add);
        where.values().forEach(chamber -> questions.addAll(questions(chamber, form)));
        form.pieces().stream()
                .filter(piece -> piece.method() != null)
                .flatMap(piece -> Clash.ofCoat(piece.coating(), piece.method()).stream())
                .distinct()
                .forEach(clash -> questions.add(clash.question()));
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

    private List<Question> questions(Chamber chamber, SplitForm form) {
        List<NewPiece> coming = form.pieces().stream()
                .filter(piece -> chamber.id().equals(piece.chamberId()))
                .toList();
        long load = pieces.hangingIn(chamber.id()).stream()
                        .mapToLong(Piece::greenGrams)
                        .sum()
                + coming.stream().mapToLong(NewPiece::greenGrams).sum();
        return questions(
                chamber,
                load,
                coming.stream()
                        .flatMap(piece -> Stream.ofNullable(piece.method()))
                        .toList());
    }

    /**
     * What is odd about hanging more in a chamber.
     *
     * @param load in grams, with what comes
     * @param methods of what comes
     */
    static List<Question> questions(Chamber chamber, long load, List<Method> methods) {
        List<Question> questions = new ArrayList<>();
        if (load > chamber.limitGrams()) {
            questions.add(Question.reason(
                    "overload",
                    "chamberId",
                    "%s would carry %s and is made for %s. Air must reach every face."
                            .formatted(chamber.name(), weight(load), weight(chamber.limitGrams()))));
        }
        boolean ice = chamber.kind() == ChamberKind.ICE_CHEST;
        if (methods.stream().anyMatch(method -> (method == Method.ON_ICE) != ice)) {
            questions.add(Question.confirm(
                    "method-chamber",
                    "method",
                    ice
                            ? "%s holds ice. Is the method right?".formatted(chamber.name())
                            : "%s holds no ice. Is the method right?".formatted(chamber.name())));
        }
        return questions;
    }

    private void make(Lot lot, SplitForm form, Map<UUID, Chamber> where) {
        Map<UUID, Set<Place>> taken = new LinkedHashMap<>();
        where.keySet()
                .forEach(id -> taken.put(
                        id,
                        pieces.hangingIn(id).stream()
                                .flatMap(piece -> piece.place().stream())
                                .collect(Collectors.toCollection(HashSet::new))));
        List<Piece> hung = new ArrayList<>();
        for (int index = 0; index < form.pieces().size(); index++) {
            NewPiece asked = form.pieces().get(index);
            String tag = lot.number() + String.valueOf((char) ('A' + index));
            if (asked.fresh()) {
                pieces.save(Piece.fresh(asked.id(), lot, tag, asked.greenGrams()));
                continue;
            }
            if (asked.hangsLater()) {
                pieces.save(Piece.waiting(
                                asked.id(),
                                lot,
                                tag,
                                asked.role(),
                                asked.greenGrams(),
                                asked.method(),
                                asked.targetDays())
                        .costing(asked.consumablesMinor())
                        .under(Coating.NONE, asked.contactPercent())
                        .measuring(asked.lengthMm(), asked.widthMm(), asked.heightMm()));
                continue;
            }
            Chamber chamber = where.get(asked.chamberId());
            Place place = Place.firstFree(chamber, taken.get(chamber.id()));
            taken.get(chamber.id()).add(place);
            LocalDate hungOn = asked.hungOn();
            Piece piece = pieces.save(Piece.hang(
                            asked.id(),
                            lot,
                            tag,
                            asked.role(),
                            asked.greenGrams(),
                            asked.method(),
                            hungOn,
                            asked.targetDays())
                    .in(chamber, place)
                    .costing(asked.consumablesMinor())
                    .under(asked.coating(), asked.contactPercent())
                    .measuring(asked.lengthMm(), asked.widthMm(), asked.heightMm()));
            hung.add(piece);
        }
        // This reads, and so writes the pieces first; their coats' entries point at them.
        plans.keep(hung, clock.instant().truncatedTo(ChronoUnit.MICROS));
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

    /** The coat's entry has an id made from the piece's, so that it is the same one however often it is sent. */
    private void coat(Piece piece, int grams, LocalDate hungOn) {
        UUID id = Ids.after(piece.id(), " coat");
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Instant at = hungOn.equals(workshops.today())
                ? now
                : hungOn.atTime(12, 0).atZone(workshops.mine().zone()).toInstant();
        LogFact fact = new LogFact(id, null, Kind.COAT_ON, at, grams, null);
        log.persist(
                piece, new LogEntry(piece.id(), fact, "", now, current.person().accountId()));
    }
}
