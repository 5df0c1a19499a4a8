package elvaro.server.forecast;

import elvaro.core.cost.Paid;
import elvaro.server.lot.Lot;
import elvaro.server.piece.FinishedLine;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceReader.CutRow;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What of the money paid for its lot falls on each piece. */
final class PaidShares {
    private final Map<UUID, CutRow> byLot;

    PaidShares(List<CutRow> cut) {
        byLot = cut.stream().collect(Collectors.toMap(CutRow::lotId, Function.identity()));
    }

    OptionalDouble of(Piece piece) {
        Lot lot = piece.lot();
        return share(lot.id(), lot.receivedGrams(), lot.priceMinorPerKg(), piece.cutGrams(), piece.isPart());
    }

    OptionalDouble of(FinishedLine line) {
        return share(line.lotId(), line.receivedGrams(), line.priceMinorPerKg(), line.asCut(), line.isPart());
    }

    /** The parts of an animal bear all of its price once it is broken down; until then each bears its own weight's. */
    private OptionalDouble share(UUID lot, int received, @Nullable Integer price, int grams, boolean part) {
        CutRow cut = byLot.get(lot);
        long all = !part ? cut.grams() : cut.broken() > 0 ? cut.partGrams() : Math.max(received, cut.partGrams());
        return Paid.share(
                received,
                price == null ? OptionalDouble.empty() : OptionalDouble.of(price),
                grams,
                Math.max(grams, all));
    }
}
