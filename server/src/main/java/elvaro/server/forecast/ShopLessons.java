package elvaro.server.forecast;

import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Belief;

/**
 * What the shop's finished pieces of one method and chamber teach about the next one.
 *
 * @param prior of how it dries
 * @param crustFactor what is cut away over what the law says
 * @param steakShift how much more of the green weight comes out as steak than the law says
 * @param steakSd what the steak yield is still off by, fraction of green
 * @param benches how many finished benches crust and steak rest on
 */
public record ShopLessons(Belief prior, double crustFactor, double steakShift, double steakSd, int benches) {
    /** The estimates alone. */
    public static final ShopLessons NOTHING = new ShopLessons(Belief.ESTIMATES, 1, 0, Estimates.STEAK_YIELD_SD, 0);
}
