package elvaro.core.forecast;

/**
 * One weighing, as the forecast sees it.
 *
 * @param day since the hanging, 0 or more
 * @param lost fraction of the green weight gone as water: (G − W − weight)/G; negative when it was weighed too heavy
 */
public record Observed(double day, double lost) {}
