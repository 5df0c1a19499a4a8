package elvaro.server.piece;

import elvaro.core.drying.Coating;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.server.chamber.Chamber;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The only way to make a piece or to change one. The caller has checked that it may. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class PieceWriter {
    private final PieceRepository pieces;
    private final EntityManager entities;

    PieceWriter(PieceRepository pieces, EntityManager entities) {
        this.pieces = pieces;
        this.entities = entities;
    }

    /**
     * The piece, with nobody else writing to it or its log until the caller's transaction ends.
     *
     * @throws Refusal if there is none
     */
    public Piece lock(UUID id) {
        return pieces.lock(id).orElseThrow(() -> Refusal.notFound("piece"));
    }

    /** Written at once: its log points at it by id alone, and Hibernate would not know to write it first. */
    public Piece add(PieceDraft draft) {
        Piece piece = draft.piece();
        entities.persist(piece);
        entities.flush();
        return piece;
    }

    /** Changes for how many days it is meant to hang. */
    public void retarget(Piece piece, int days) {
        piece.retarget(days);
    }

    /** Hangs a piece that waited, now. */
    public void hang(Piece piece, int grams, LocalDate on, Instant at, int days, Chamber chamber, Place place) {
        piece.hang(grams, on, at, days);
        piece.hangIn(chamber, place);
    }

    /** @param entryId of the log entry that says when and by whom */
    public void move(Piece piece, UUID entryId, Chamber to, Place place) {
        entities.persist(new PieceMove(entryId, piece.id(), piece.chamber().orElseThrow(), to));
        piece.hangIn(to, place);
    }

    /** Lays it on ice so warm, in so warm a place; said again when the weather turns. */
    public void layOnIce(Piece piece, double meatCelsius, double outsideCelsius, @Nullable Integer bagGrams) {
        piece.layOnIce(meatCelsius, outsideCelsius, bagGrams);
    }

    /** Gives it a coat, or takes one off, while it hangs. */
    public void coat(Piece piece, Coating coating) {
        piece.coat(coating);
    }

    /** @param minor more that was used up for it, or less where it was not used after all; minor units */
    public void spend(Piece piece, int minor) {
        piece.spend(minor);
    }

    /** How it is cut; decided at the bench, or by the question of a trial. */
    public void cutBy(Piece piece, BenchOrder order) {
        piece.cutBy(order);
    }

    /** Whether it counts among what the shop has learnt even where it contradicts the rest. */
    public void teach(Piece piece, boolean always) {
        piece.teach(always);
    }

    /** Whether its steaks are sawn through the bone. */
    public void saw(Piece piece, boolean onBone) {
        piece.saw(onBone);
    }

    /** How close the knife goes, and the crust it found, tenths of a millimetre, if somebody measured it. */
    public void trim(Piece piece, Closeness closeness, @Nullable Integer crust) {
        piece.trim(closeness, crust);
    }

    /** Puts a part that came off a whole, and never hung by itself, on the scale once more. */
    public void weighAnew(Piece piece, int grams) {
        piece.weighAnew(grams);
    }
}
