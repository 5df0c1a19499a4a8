package elvaro.server.plan;

import elvaro.core.drying.Method;
import elvaro.core.working.Working;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What each way comes to; money in minor units.
 *
 * @param freshPerKg of steak of the same piece, unaged
 */
record WorthView(double freshPerKg, double boughtPerKg, List<WayView> ways) {
    /**
     * A way.
     *
     * @param perKg of steak, equipment and energy included
     * @param equipmentPerKg of that
     * @param dries whether it grows the taste of dry ageing at all
     * @param breakEven pieces a year from which it is cheaper than buying; absent where no number is enough
     */
    record WayView(
            Method method,
            String label,
            int days,
            double steakGrams,
            double perKg,
            double equipmentPerKg,
            double overFresh,
            double savedAYear,
            @Nullable Double breakEven,
            int restsOnPieces,
            boolean dries,
            Working working) {}
}
