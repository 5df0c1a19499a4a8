package elvaro.server.hanging;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.question.Question;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogWriter;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceDraft;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Parts of a whole animal become pieces: to the bench at once, or hung further. The caller has checked the weights. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class PartingService {
    private static final int LETTERS = 26;

    private final PieceReader pieces;
    private final ChamberService chambers;
    private final PieceWriter writer;
    private final LogWriter log;
    private final PiecePlans plans;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final Clock clock;

    PartingService(
            PieceReader pieces,
            ChamberService chambers,
            PieceWriter writer,
            LogWriter log,
            PiecePlans plans,
            WorkshopService workshops,
            CurrentWorkshop current,
            Clock clock) {
        this.pieces = pieces;
        this.writer = writer;
        this.chambers = chambers;
        this.log = log;
        this.plans = plans;
        this.workshops = workshops;
        this.current = current;
        this.clock = clock;
    }

    /**
     * A part as it comes off.
     *
     * @param id of the piece it becomes
     * @param cut code among the cuts
     */
    public record Off(UUID id, String cut, boolean boneIn, int grams) {}

    /** Where and how it hangs further; laid on ice, how warm it is and the air round the chest. */
    public record Further(
            UUID chamberId,
            Method method,
            int days,
            @Nullable Double meatCelsius,
            @Nullable Double outsideCelsius) {}

    /** To the bench as it is. */
    public void toTheBench(Piece whole, Off off) {
        Piece piece = writer.add(PieceDraft.takenOff(
                        off.id(),
                        whole.lot(),
                        tag(whole),
                        off.grams(),
                        whole.method().orElse(Method.OPEN_AIR))
                .cutAs(off.cut(), off.boneIn()));
        LogFact pull = new LogFact(Ids.after(off.id(), "off"), null, LogFactKind.PULLED, now(), off.grams(), null);
        log.append(
                piece,
                new LogEntry(piece.id(), pull, "", pull.at(), current.person().accountId()));
    }

    /** What is odd about hanging it there. */
    public List<Question> questions(Further further, int grams) {
        return occupancy(further).questions(grams, List.of(further.method()));
    }

    /** Hangs it further, from today on. */
    public void hang(Piece whole, Off off, Further further) {
        Occupancy occupancy = occupancy(further);
        Piece piece = writer.add(PieceDraft.hung(
                        off.id(),
                        whole.lot(),
                        tag(whole),
                        PieceRole.PLAIN,
                        off.grams(),
                        further.method(),
                        workshops.today(),
                        further.days())
                .since(now())
                .cutAs(off.cut(), off.boneIn())
                .hangIn(occupancy.chamber(), occupancy.takePlace())
                .cover(whole.coating() == Coating.HIDE ? Coating.HIDE : Coating.NONE, null));
        if (further.meatCelsius() != null && further.outsideCelsius() != null) {
            writer.layOnIce(
                    piece,
                    further.meatCelsius(),
                    further.outsideCelsius(),
                    whole.iceBagGrams().orElse(null));
        }
        plans.keep(List.of(piece), now());
    }

    private Occupancy occupancy(Further further) {
        Chamber chamber = chambers.find(further.chamberId())
                .orElseThrow(() -> Refusal.wrong("missing", "chamberId", "Choose the chamber it hangs in."));
        return new Occupancy(chamber, pieces.hangingIn(chamber.id()));
    }

    private String tag(Piece whole) {
        int letter = pieces.ofLot(whole.lot().id()).size();
        if (letter >= LETTERS) {
            throw Refusal.wrong("too-many", "part", "At most 26 pieces from one animal.");
        }
        return whole.lot().number() + String.valueOf((char) ('A' + letter));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
