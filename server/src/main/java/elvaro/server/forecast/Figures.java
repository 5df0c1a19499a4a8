package elvaro.server.forecast;

import elvaro.core.cost.LandedCost;
import elvaro.core.cost.SteakCost;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.PieceLog;
import elvaro.core.yield.Section;
import elvaro.server.piece.Piece;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What core makes of one piece.
 *
 * @param landed what it cost so far
 * @param steak what its steaks cost, of use once it is cut
 * @param perDay what its chamber costs it a day, minor units
 * @param expected what is expected of it, worked out when it is asked for
 */
public record Figures(
        Piece piece,
        PieceLog log,
        Ledger ledger,
        Section section,
        LandedCost landed,
        SteakCost steak,
        double perDay,
        Supplier<@Nullable Ahead> expected) {

    /** What is expected of it; absent for one set aside fresh. */
    public @Nullable Ahead ahead() {
        return expected.get();
    }

    /** What was to be expected of the piece at the weight it was pulled with, whatever the bench found. */
    public Section expectedSection() {
        return FiguresService.expected(ledger, ahead());
    }
}
