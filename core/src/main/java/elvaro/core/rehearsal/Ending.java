package elvaro.core.rehearsal;

import elvaro.core.ledger.Piles;
import elvaro.core.rehearsal.Review.WeightOnDay;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.List;

/**
 * How a piece ended.
 *
 * @param day it came down
 * @param order at the bench
 * @param closeness of the knife
 * @param piles as the person filled them
 * @param written what it weighed, as the person wrote it down
 */
public record Ending(double day, BenchOrder order, Closeness closeness, Piles piles, List<WeightOnDay> written) {}
