package elvaro.server.hanging;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.EntryCheck;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.ledger.Stream;
import elvaro.core.question.Question;
import elvaro.server.forecast.SurpriseCheck;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogReader;
import elvaro.server.piece.LogWriter;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writing into a piece's log. The piece's row is locked first, so that entries from two tablets follow one another and
 * each is checked against what the other wrote.
 */
@Service
@Transactional
public class LogService {
    /** A device's clock may run ahead by this much. */
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(5);

    private final PieceReader pieces;
    private final PieceWriter writer;
    private final LogReader entries;
    private final LogWriter log;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final SurpriseCheck surprise;
    private final Clock clock;

    LogService(
            PieceReader pieces,
            PieceWriter writer,
            LogReader entries,
            LogWriter log,
            DecisionService decisions,
            WorkshopService workshops,
            CurrentWorkshop current,
            SurpriseCheck surprise,
            Clock clock) {
        this.pieces = pieces;
        this.writer = writer;
        this.entries = entries;
        this.log = log;
        this.decisions = decisions;
        this.workshops = workshops;
        this.current = current;
        this.surprise = surprise;
        this.clock = clock;
    }

    /** An entry as asked for, with the piece it goes to and the log it joins. */
    private record Request(
            Piece piece,
            UUID id,
            EntryForm form,
            PieceLog log,
            @Nullable LogEntry corrected) {}

    /**
     * Writes an entry once, however often it is sent.
     *
     * @throws Refusal if the piece's state does not take it, the weight cannot be, or a question is open
     */
    public void write(UUID pieceId, UUID entryId, EntryForm form) {
        String elsewhere = switch (form.kind()) {
            case CLOSED, REOPENED -> "The bench is closed and opened at the bench.";
            case LOOKED, LEAKED -> "A look says what was seen.";
            case MOVED -> "A move says where to.";
            case APART -> "Taking a batch apart says what each of it weighs.";
            case HUNG -> "Hanging says where, and for how long.";
            case GREEN_ESTIMATED -> "What was not weighed says so as it is hung.";
            case TREATED, STEP_DONE -> "A treatment says which one, and which step.";
            default -> null;
        };
        if (elsewhere != null) {
            throw Refusal.wrong("wrong-kind", "kind", elsewhere);
        }
        // Its coat and its cost go with it.
        boolean treatment = form.kind() == LogFactKind.TAKEN_BACK
                && form.corrects() != null
                && entries.findById(form.corrects())
                        .filter(entry -> entry.kind() == LogFactKind.TREATED)
                        .isPresent();
        if (treatment) {
            throw Refusal.conflict("its-own-line", "A treatment is taken back on its own line.");
        }
        writeFor(pieceId, entryId, form);
    }

    /** The same for those who keep more about an entry under its id. */
    public void writeFor(UUID pieceId, UUID entryId, EntryForm form) {
        Piece piece = writer.lock(pieceId);
        if (isRetry(pieceId, entryId, form.kind(), form.grams(), form.stream())) {
            mustSayTheSame(entries.findById(entryId).orElseThrow(), form);
            return;
        }
        List<LogEntry> all = entries.ofPiece(pieceId);
        LogEntry corrected = form.corrects() == null ? null : correctable(piece, all, form);
        if (corrected == null && !piece.state().takes(form.kind())) {
            throw Refusal.conflict("wrong-state", refusalFor(piece.state()));
        }
        if (corrected != null && piece.cameOff() && form.kind() == LogFactKind.PULLED && form.grams() > 0) {
            writer.weighAnew(piece, form.grams()); // What it came off with is all it ever weighed.
        }
        Request request = new Request(piece, entryId, form, logWithout(piece, all, corrected), corrected);
        LogFact fact = fact(request);
        String refusal = EntryCheck.refusal(request.log(), piece.greenGrams(), fact, division())
                .orElse(null);
        if (refusal != null) {
            throw Refusal.wrong("impossible-weight", "grams", refusal);
        }
        mustBeOnTheWhole(request, fact);
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions(request, fact));
        boolean isPile = form.kind() == LogFactKind.PILE;
        log.append(
                piece,
                new LogEntry(
                        pieceId,
                        fact,
                        form.words().strip(),
                        now(),
                        current.person().accountId(),
                        isPile ? form.pile() : null,
                        isPile && Boolean.TRUE.equals(form.untrimmed())),
                stateAfter(request));
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    /**
     * One pile that came of cleaning.
     *
     * @param name of the house's own
     */
    public record CleanPile(
            Stream stream,
            int grams,
            @Nullable Integer steaks,
            @Nullable DiscardCause cause,
            @Nullable String name) {}

    /**
     * Puts what was packed untrimmed onto the piles it gave once it was cleaned. The bench stays closed and the piles go on
     * adding up; the caller has seen to the weights.
     *
     * @param grams that were packed untrimmed
     * @throws Refusal if less lies on untrimmed piles
     */
    public void clean(UUID pieceId, UUID entryId, int grams, List<CleanPile> piles) {
        Piece piece = writer.lock(pieceId);
        List<LogEntry> all = entries.ofPiece(pieceId);
        Set<UUID> replaced = PieceLog.replaced(all.stream().map(LogEntry::fact).toList());
        int rest = grams;
        for (LogEntry untrimmed : all) {
            if (rest > 0 && untrimmed.untrimmed() && !replaced.contains(untrimmed.id())) {
                int taken = Math.min(rest, untrimmed.grams());
                if (taken < untrimmed.grams()) {
                    lessen(piece, entryId, untrimmed, untrimmed.grams() - taken);
                } else {
                    takeAway(piece, entryId, untrimmed, all);
                }
                rest -= taken;
            }
        }
        if (rest > 2 * division()) {
            throw Refusal.conflict(
                    "nothing-untrimmed", "Less than %s of this piece lies there untrimmed.".formatted(mass(grams)));
        }
        for (int index = 0; index < piles.size(); index++) {
            CleanPile pile = piles.get(index);
            LogFact fact = new LogFact(
                    Ids.after(entryId, "pile " + index),
                    null,
                    LogFactKind.PILE,
                    now(),
                    pile.grams(),
                    pile.stream(),
                    pile.steaks(),
                    pile.cause(),
                    false);
            append(piece, fact, "Cleaned when thawed", pile.name(), false);
        }
    }

    /** So much is left of an untrimmed pile. */
    private void lessen(Piece piece, UUID entryId, LogEntry pile, int left) {
        LogFact fact = new LogFact(
                Ids.after(entryId, pile.id().toString()),
                pile.id(),
                LogFactKind.PILE,
                pile.happenedAt(),
                left,
                pile.stream(),
                pile.steaks(),
                null,
                false);
        append(piece, fact, "Thawed to be cleaned", pile.pile(), true);
    }

    /** Nothing is left of it: taken back with all it corrected, since what a correction that is taken back corrected comes back. */
    private void takeAway(Piece piece, UUID entryId, LogEntry pile, List<LogEntry> all) {
        UUID next = pile.id();
        while (next != null) {
            LogFact fact =
                    new LogFact(Ids.after(entryId, next.toString()), next, LogFactKind.TAKEN_BACK, now(), 0, null);
            append(piece, fact, "Thawed to be cleaned", null, false);
            UUID gone = next;
            next = all.stream()
                    .filter(entry -> entry.id().equals(gone))
                    .findFirst()
                    .map(LogEntry::correctsId)
                    .orElse(null);
        }
    }

    private void append(Piece piece, LogFact fact, String words, @Nullable String pile, boolean untrimmed) {
        log.append(
                piece,
                new LogEntry(piece.id(), fact, words, now(), current.person().accountId(), pile, untrimmed));
    }

    /** What came off a whole animal as parts lies on none of its own piles. */
    private void mustBeOnTheWhole(Request request, LogFact pile) {
        Piece whole = request.piece();
        if (pile.kind() != LogFactKind.PILE || whole.isPart()) {
            return;
        }
        int parts = pieces.ofLot(whole.lot().id()).stream()
                .filter(Piece::isPart)
                .mapToInt(Piece::greenGrams)
                .sum();
        int left = request.log().ledger().residual() - parts;
        int slack = 2 * division() * (request.log().weighingsAtTheBench() + 1);
        if (parts > 0 && pile.grams() > left + slack) {
            throw Refusal.wrong(
                    "impossible-weight",
                    "grams",
                    "Only %s is left of the animal beside its parts; a pile of %s cannot be."
                            .formatted(mass(Math.max(0, left)), mass(pile.grams())));
        }
    }

    /** What is odd by itself; else whether the forecast is surprised. One doubt about a weight is enough. */
    private List<Question> questions(Request request, LogFact fact) {
        Piece piece = request.piece();
        Instant hungAt = piece.hungAt(workshops.mine().clock()).orElse(fact.at());
        List<Question> odd = EntryCheck.questions(request.log(), piece.greenGrams(), hungAt, fact);
        boolean weighsThePiece = fact.kind() == LogFactKind.WEIGHED || fact.kind() == LogFactKind.PULLED;
        if (!odd.isEmpty() || !weighsThePiece) {
            return odd;
        }
        return surprise.at(piece, request.log(), fact).stream().toList();
    }

    /**
     * Closes or opens the bench; the caller has checked that it may.
     *
     * @param piece locked
     */
    public void turn(Piece piece, UUID entryId, LogFactKind kind, String reason) {
        turn(piece, entryId, kind, reason, kind == LogFactKind.CLOSED ? PieceState.CUT : PieceState.PULLED);
    }

    /**
     * Ends a piece that was broken down; the caller has checked that its parts add up.
     *
     * @param piece locked
     */
    public void part(Piece piece, UUID entryId, String reason) {
        turn(piece, entryId, LogFactKind.CLOSED, reason, PieceState.PARTED);
    }

    /**
     * Ends a batch that was taken apart.
     *
     * @param piece locked
     */
    public void takeApart(Piece piece, UUID entryId, String words) {
        turn(piece, entryId, LogFactKind.APART, words, PieceState.PARTED);
    }

    private void turn(Piece piece, UUID entryId, LogFactKind kind, String reason, PieceState next) {
        if (!piece.state().takes(kind)) {
            throw Refusal.conflict("wrong-state", refusalFor(piece.state()));
        }
        LogFact fact = new LogFact(entryId, null, kind, now(), 0, null);
        log.append(
                piece,
                new LogEntry(
                        piece.id(),
                        fact,
                        reason.strip(),
                        fact.at(),
                        current.person().accountId()),
                next);
    }

    /**
     * Whether this very entry is there already.
     *
     * @throws Refusal if the id was used for something else
     */
    public boolean isRetry(UUID pieceId, UUID entryId, LogFactKind kind, int grams, @Nullable Stream stream) {
        Optional<LogEntry> known = entries.findById(entryId);
        known.filter(entry -> !entry.pieceId().equals(pieceId)
                        || entry.kind() != kind
                        || entry.grams() != grams
                        || !Objects.equals(entry.stream(), stream))
                .ifPresent(entry -> {
                    throw Refusal.conflict("id-used", storedAlready(entry));
                });
        return known.isPresent();
    }

    /** Sent again with the same weight, but with other words: those would be lost without a word. */
    private static void mustSayTheSame(LogEntry known, EntryForm form) {
        boolean same = known.words().equals(form.words().strip())
                && Objects.equals(known.correctsId(), form.corrects())
                && known.cause() == form.cause()
                && known.estimated() == Boolean.TRUE.equals(form.estimated())
                && (form.steaks() == null || form.steaks().equals(known.steaks()));
        if (!same) {
            throw Refusal.conflict("id-used", storedAlready(known));
        }
    }

    private static String storedAlready(LogEntry entry) {
        String what = entry.kind().weighs() ? mass(entry.grams()) : "what you entered";
        if (!entry.words().isEmpty()) {
            what += " with the words “%s”".formatted(entry.words());
        }
        return "Your first try did arrive: %s stands in the log. What you changed is not saved. Save again to add it, or"
                        .formatted(what)
                + " leave it and correct the entry.";
    }

    private LogEntry correctable(Piece piece, List<LogEntry> all, EntryForm form) {
        LogEntry target = all.stream()
                .filter(entry -> entry.id().equals(form.corrects()))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("entry"));
        if (target.kind() == LogFactKind.TAKEN_BACK
                || PieceLog.replaced(facts(all)).contains(target.id())) {
            throw Refusal.conflict("corrected-already", "Somebody corrected that entry already. Look again.");
        }
        if (form.kind() != LogFactKind.TAKEN_BACK && form.kind() != target.kind()) {
            throw Refusal.wrong("wrong-kind", "kind", "A correction says the same kind of thing as what it corrects.");
        }
        if (!piece.state().allowsCorrectionOf(target.kind())) {
            throw Refusal.conflict("wrong-state", refusalFor(piece.state()));
        }
        boolean undoesThePull = form.kind() == LogFactKind.TAKEN_BACK && target.kind() == LogFactKind.PULLED;
        if (undoesThePull && piece.cameOff()) {
            throw Refusal.conflict("came-off", "It came off an animal and never hung by itself; it cannot go back.");
        }
        if (undoesThePull
                && pieces.ofLot(piece.lot().id()).stream().anyMatch(each -> each.isPart() && !piece.isPart())) {
            throw Refusal.conflict("parts-off", "Parts are off it already; it cannot hang whole again.");
        }
        if (undoesThePull && PieceLog.of(piece.greenGrams(), facts(all)).piles().total() > 0) {
            throw Refusal.conflict("piles-there", "Piles were weighed already. Take them back before the pull.");
        }
        return target;
    }

    private static PieceLog logWithout(Piece piece, List<LogEntry> all, @Nullable LogEntry corrected) {
        List<LogFact> facts = new ArrayList<>(facts(all));
        if (corrected != null) {
            facts.add(new LogFact(
                    UUID.randomUUID(), corrected.id(), LogFactKind.TAKEN_BACK, corrected.happenedAt(), 0, null));
        }
        return PieceLog.of(piece.greenGrams(), facts);
    }

    private static List<LogFact> facts(List<LogEntry> all) {
        return all.stream().map(LogEntry::fact).toList();
    }

    private LogFact fact(Request request) {
        EntryForm form = request.form();
        if (form.kind().weighs() && form.grams() == 0) {
            throw Refusal.wrong("no-weight", "grams", "Enter what the scale shows.");
        }
        if (form.kind() == LogFactKind.PILE && form.stream() == null) {
            throw Refusal.wrong("no-pile", "stream", "Say which pile it is.");
        }
        boolean counts = form.kind() == LogFactKind.COUNTED;
        if (form.steaks() != null && form.stream() != Stream.STEAK && !counts) {
            throw Refusal.wrong("not-steaks", "steaks", "Only steaks are counted.");
        }
        if (counts && (form.steaks() == null || form.steaks() == 0)) {
            throw Refusal.wrong("no-count", "steaks", "Say how many steaks there were.");
        }
        boolean estimated = Boolean.TRUE.equals(form.estimated());
        if (estimated && form.kind() != LogFactKind.PULLED) {
            throw Refusal.wrong("not-estimated", "estimated", "Only the weight at the pull may be estimated.");
        }
        if (form.cause() != null && form.stream() != Stream.DISCARD && form.kind() != LogFactKind.CUT_AWAY) {
            throw Refusal.wrong("not-discard", "cause", "Only what is thrown away has a cause.");
        }
        if (form.kind() == LogFactKind.NOTE && form.words().isBlank()) {
            throw Refusal.wrong("no-words", "words", "A note needs words.");
        }
        return new LogFact(
                request.id(),
                form.corrects(),
                form.kind(),
                happenedAt(request),
                form.kind().weighs() ? form.grams() : 0,
                form.kind() == LogFactKind.PILE ? form.stream() : null,
                form.kind() == LogFactKind.PILE || counts ? form.steaks() : null,
                form.cause(),
                estimated);
    }

    private Instant happenedAt(Request request) {
        Instant asked = request.form().at();
        if (asked == null) {
            return request.corrected() == null ? now() : request.corrected().happenedAt();
        }
        Instant now = now();
        Instant at = request.form().sentAt() == null
                ? asked
                : asked.plus(Duration.between(request.form().sentAt(), now)); // by this clock, not the device's
        if (at.isAfter(now.plus(CLOCK_SLACK))) {
            throw Refusal.wrong("future-date", "at", "It cannot have happened in the future.");
        }
        HouseClock house = workshops.mine().clock();
        request.piece().hungOn().filter(day -> at.isBefore(house.start(day))).ifPresent(day -> {
            throw Refusal.wrong("before-hanging", "at", "That is before the piece was hung.");
        });
        if (at.isBefore(house.start(request.piece().lot().receivedOn()))) {
            throw Refusal.wrong("before-arrival", "at", "That is before the lot came.");
        }
        // What a clock that runs ahead says would stay the newest until the day it names.
        return (at.isAfter(now) ? now : at).truncatedTo(ChronoUnit.MICROS);
    }

    private static PieceState stateAfter(Request request) {
        LogFactKind kind = request.form().kind();
        if (kind == LogFactKind.PULLED) {
            return PieceState.PULLED;
        }
        boolean undoesThePull = kind == LogFactKind.TAKEN_BACK
                && request.corrected() != null
                && request.corrected().kind() == LogFactKind.PULLED;
        if (!undoesThePull) {
            return request.piece().state();
        }
        return request.piece().role() == PieceRole.FRESH ? PieceState.FRESH : PieceState.HANGING;
    }

    private static String refusalFor(PieceState state) {
        return switch (state) {
            case WAITING -> "The piece does not hang yet. Hang it first.";
            case HANGING -> "The piece still hangs. Pull it first.";
            case PULLED -> "The piece was pulled already.";
            case CUT -> "The bench is closed for this piece. Open it again, with a reason, to correct it.";
            case PARTED -> "It was broken down; its parts are pieces of their own.";
            case FRESH -> "The piece was set aside fresh. Take it to the bench first.";
        };
    }

    private int division() {
        return workshops.mine().divisionGrams();
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
