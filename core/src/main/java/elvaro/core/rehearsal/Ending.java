package elvaro.core.rehearsal;

import elvaro.core.ledger.Piles;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;

/**
 * How a piece ended.
 *
 * @param day it came down
 * @param order at the bench
 * @param closeness of the knife
 * @param piles as the person filled them
 */
public record Ending(double day, BenchOrder order, Closeness closeness, Piles piles) {}
