package elvaro.server.piece;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.yield.BenchOrder;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A finished piece, read for its figures only.
 *
 * @param partCut of a part of an animal; else it is its lot's
 * @param partBone the same
 */
public record FinishedLine(
        UUID id,
        int logVersion,
        String tag,
        int lotNumber,
        String lotCut,
        @Nullable String partCut,
        boolean lotBone,
        @Nullable Boolean partBone,
        String grade,
        String supplier,
        int fatCoverMm,
        @Nullable Integer priceMinorPerKg,
        int receivedGrams,
        @Nullable Integer cutGrams,
        UUID lotId,
        Method method,
        @Nullable BenchOrder benchOrder,
        UUID chamberId,
        LocalDate hungOn,
        int greenGrams,
        int consumablesMinor) {
    public Cut cut() {
        return CutCatalogue.get(partCut == null ? lotCut : partCut);
    }

    /** What it weighed when it was cut from the lot. */
    public int asCut() {
        return cutGrams == null ? greenGrams : cutGrams;
    }

    public boolean isPart() {
        return partCut != null;
    }

    public boolean boneIn() {
        return partBone == null ? lotBone : partBone;
    }
}
