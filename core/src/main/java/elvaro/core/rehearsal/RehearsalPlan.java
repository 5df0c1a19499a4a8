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
 * @param number of the piece among those of one house, from 0: they share room and animal, and each has luck of its own
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
        long seed,
        int number) {
    public RehearsalPlan {
        mishaps = Set.copyOf(mishaps);
        if (greenGrams <= 0 || fatCoverMm < 0 || plannedDays < 1 || beginsOnDay < 0 || number < 0) {
            throw new IllegalArgumentException("A piece weighs more than 0 g and hangs for a day or more");
        }
    }

    /** Of the only piece of its house. */
    public RehearsalPlan(
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
        this(cut, greenGrams, boneIn, fatCoverMm, method, coating, place, plannedDays, beginsOnDay, mishaps, seed, 0);
    }

    /** The same in another world. */
    public RehearsalPlan befallen(Set<Mishap> others, long otherSeed) {
        return new RehearsalPlan(
                cut,
                greenGrams,
                boneIn,
                fatCoverMm,
                method,
                coating,
                place,
                plannedDays,
                beginsOnDay,
                others,
                otherSeed,
                number);
    }

    /** The same in another world: only chance differs. */
    public RehearsalPlan seeded(long other) {
        return befallen(mishaps, other);
    }

    /** Another piece of the same house. */
    public RehearsalPlan piece(int which, int grams, Method how, int days) {
        return new RehearsalPlan(
                cut, grams, boneIn, fatCoverMm, how, coating, place, days, beginsOnDay, mishaps, seed, which);
    }

    boolean has(Mishap mishap) {
        return mishaps.contains(mishap);
    }

    boolean isWrapped() {
        return method == Method.MEMBRANE || method == Method.VACUUM;
    }
}
