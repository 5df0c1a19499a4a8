package elvaro.core.schedule;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;

/**
 * What the regular work of a piece follows from.
 *
 * @param method how it is aged
 * @param coating what is on it: sugar is looked at every three days
 * @param hungFree whether it hangs whole with air on every side, so that nothing is to be turned
 * @param iceDays every how many days its ice is topped up and drained, 1 or more; of no matter off the ice
 */
public record Care(Method method, Coating coating, boolean hungFree, int iceDays) {
    /** While nobody said how warm it is round the chest (EST). */
    public static final int USUAL_ICE_DAYS = 2;

    public Care {
        if (iceDays < 1) {
            throw new IllegalArgumentException("Ice is topped up once a day at most");
        }
    }

    public Care(Method method, Coating coating) {
        this(method, coating, false, USUAL_ICE_DAYS);
    }
}
