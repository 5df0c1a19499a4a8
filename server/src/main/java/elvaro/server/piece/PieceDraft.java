package elvaro.server.piece;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.server.chamber.Chamber;
import elvaro.server.lot.Lot;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A piece that is being made: what is known of it before it is written. */
public final class PieceDraft {
    private final Piece piece;

    private PieceDraft(Piece piece) {
        this.piece = piece;
    }

    /** Set aside fresh, for comparison. */
    public static PieceDraft fresh(UUID id, Lot lot, String tag, int greenGrams) {
        return new PieceDraft(new Piece(id, lot, tag, PieceRole.FRESH, PieceState.FRESH, greenGrams));
    }

    /** Something is done to it for days; then it hangs by a method for a number of days. */
    public static PieceDraft waiting(UUID id, Lot lot, String tag, PieceRole role, int grams, Method method, int days) {
        Piece piece = new Piece(id, lot, tag, role, PieceState.WAITING, grams);
        piece.agedBy(method, null, days);
        return new PieceDraft(piece);
    }

    /** Hung on a day, by a method, for a number of days. */
    public static PieceDraft hung(
            UUID id, Lot lot, String tag, PieceRole role, int greenGrams, Method method, LocalDate hungOn, int days) {
        Piece piece = new Piece(id, lot, tag, role, PieceState.HANGING, greenGrams);
        piece.agedBy(method, hungOn, days);
        return new PieceDraft(piece);
    }

    /** A part that goes to the bench as it comes off. It hung with the whole, and is no measure of drying. */
    public static PieceDraft takenOff(UUID id, Lot lot, String tag, int grams, Method hungBy) {
        Piece piece = new Piece(id, lot, tag, PieceRole.PLAIN, PieceState.PULLED, grams);
        piece.agedBy(hungBy, null, null);
        return new PieceDraft(piece);
    }

    /** A part of a carcass, which is another cut than its lot. */
    public PieceDraft cutAs(String code, boolean withBone) {
        piece.cutAs(code, withBone);
        return this;
    }

    public PieceDraft hangIn(Chamber where, Place place) {
        piece.hangIn(where, place);
        return this;
    }

    /** A batch of so many like things. */
    public PieceDraft of(int things) {
        piece.holds(things);
        return this;
    }

    /** At what moment it was hung, where that is known. */
    public PieceDraft since(@Nullable Instant at) {
        piece.hangSince(at);
        return this;
    }

    public PieceDraft spend(int minor) {
        piece.spend(minor);
        return this;
    }

    /** What is on it, and how much of its membrane touches meat, if somebody looked. */
    public PieceDraft cover(Coating coat, @Nullable Integer membraneContactPercent) {
        piece.cover(coat, membraneContactPercent);
        return this;
    }

    /** Its length, width and height by tape measure. */
    public PieceDraft measure(@Nullable Integer length, @Nullable Integer width, @Nullable Integer height) {
        piece.measure(length, width, height);
        return this;
    }

    /** As it is going to be written. */
    public Piece piece() {
        return piece;
    }
}
