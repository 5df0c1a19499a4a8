package elvaro.server.hanging;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.hanging.ApartForm.Thing;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogWriter;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceDraft;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes a batch of like things apart: each becomes a piece of its own, with its share of what the batch weighed and lost. */
@Service
@Transactional
public class ApartService {
    private static final int LETTERS = 26;

    private final PieceReader pieces;
    private final PieceWriter writer;
    private final PieceLogs logs;
    private final LogWriter log;
    private final LogService entries;
    private final PiecePlans plans;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final Clock clock;

    ApartService(
            PieceReader pieces,
            PieceWriter writer,
            PieceLogs logs,
            LogWriter log,
            LogService entries,
            PiecePlans plans,
            WorkshopService workshops,
            CurrentWorkshop current,
            Clock clock) {
        this.pieces = pieces;
        this.writer = writer;
        this.logs = logs;
        this.log = log;
        this.entries = entries;
        this.plans = plans;
        this.workshops = workshops;
        this.current = current;
        this.clock = clock;
    }

    /**
     * Sent again, it happens once.
     *
     * @throws Refusal if it is no batch that hangs, or the weights cannot be
     */
    public void takeApart(UUID pieceId, UUID entryId, ApartForm form) {
        workshops.lock(); // Letters go up one by one.
        Piece batch = writer.lock(pieceId);
        if (entries.isRetry(pieceId, entryId, LogFactKind.APART, 0, null)) {
            return;
        }
        if (batch.count() == 1) {
            throw Refusal.conflict("no-batch", "It is one piece; there is nothing to take apart.");
        }
        if (form.things().size() != batch.count()) {
            throw Refusal.wrong("count", "things", "It is a batch of %d: weigh each of them.".formatted(batch.count()));
        }
        int now = form.things().stream().mapToInt(Thing::grams).sum();
        int slack = 2 * workshops.mine().divisionGrams() * batch.count();
        PieceLog read = logs.of(List.of(batch)).get(pieceId);
        int most = batch.greenGrams() + read.coatOn();
        if (now > most + slack) {
            throw Refusal.wrong(
                    "more-than-batch",
                    "things",
                    "Together they weigh %s, and the batch was hung with %s%s. Weigh them again."
                            .formatted(mass(now), mass(most), read.coatOn() > 0 ? ", its coat with it" : ""));
        }
        int letter = pieces.ofLot(batch.lot().id()).size();
        if (letter + batch.count() > LETTERS) {
            throw Refusal.wrong("too-many", "things", "At most 26 pieces from one lot.");
        }
        entries.takeApart(batch, entryId, "Taken apart into %d pieces".formatted(batch.count()));
        List<Piece> made = new ArrayList<>();
        double before = 0;
        int greenBefore = 0;
        for (Thing thing : form.things()) {
            before += thing.grams();
            int green = (int) Math.round(batch.greenGrams() * before / now) - greenBefore; // So that they add up.
            greenBefore += green;
            made.add(piece(batch, thing, batch.lot().number() + String.valueOf((char) ('A' + letter++)), green));
        }
        plans.keep(made, now());
        for (int index = 0; index < made.size(); index++) {
            weigh(made.get(index), form.things().get(index).grams(), (double) read.coatOn() / batch.count());
        }
    }

    private Piece piece(Piece batch, Thing thing, String tag, int green) {
        return writer.add(PieceDraft.hung(
                        thing.id(),
                        batch.lot(),
                        tag,
                        batch.role(),
                        green,
                        batch.method().orElseThrow(),
                        batch.hungOn().orElseThrow(),
                        batch.targetDays().orElseThrow())
                .since(batch.hungAt(workshops.mine().clock()).orElseThrow())
                .hangIn(batch.chamber().orElseThrow(), batch.place().orElseThrow())
                .spend(batch.consumablesMinor() / batch.count())
                .cover(batch.coating(), null));
    }

    /** What it weighs now, with its share of the coat that is on it. */
    private void weigh(Piece piece, int grams, double coat) {
        if (coat >= 1) {
            write(piece, "coat", LogFactKind.COAT_ON, (int) Math.round(coat));
        }
        write(piece, "apart", LogFactKind.WEIGHED, grams);
    }

    private void write(Piece piece, String what, LogFactKind kind, int grams) {
        LogFact fact = new LogFact(Ids.after(piece.id(), what), null, kind, now(), grams, null);
        log.append(
                piece,
                new LogEntry(piece.id(), fact, "", now(), current.person().accountId()));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
