package elvaro.core.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.Cut;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import java.util.Set;

/**
 * What is rehearsed.
 *
 * @param cut of the piece
 * @param greenGrams as hung, above 0
 * @param boneIn whether bone is in it
 * @param fatCoverMm depth of its fat cap, 0 or more
 * @param method how it is aged
 * @param coating what is on it
 * @param place where
 * @param plannedDays for how long, 1 or more
 * @param beginsOnDay days that have passed when somebody first sees it, 0 or more
 * @param mishaps that befall it
 * @param seed of all that is left to chance: equal seeds make equal worlds
 */
public record RehearsalPlan(
        Cut cut,
        int greenGrams,
        boolean boneIn,
        int fatCoverMm,
        Method method,
        Coating coating,
        ChamberKind place,
        int plannedDays,
        int beginsOnDay,
        Set<Mishap> mishaps,
        long seed) {
    public RehearsalPlan {
        mishaps = Set.copyOf(mishaps);
        if (greenGrams <= 0 || fatCoverMm < 0 || plannedDays < 1 || beginsOnDay < 0) {
            throw new IllegalArgumentException("A piece weighs more than 0 g and hangs for a day or more");
        }
    }

    /** The same in another world: only chance differs. */
    public RehearsalPlan seeded(long other) {
        return new RehearsalPlan(
                cut, greenGrams, boneIn, fatCoverMm, method, coating, place, plannedDays, beginsOnDay, mishaps, other);
    }

    boolean has(Mishap mishap) {
        return mishaps.contains(mishap);
    }

    boolean isWrapped() {
        return method == Method.MEMBRANE || method == Method.VACUUM;
    }
}
