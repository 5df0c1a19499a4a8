package elvaro.core.working;

/**
 * How one number came about, for whoever asks.
 *
 * @param name what the number is called on the screen
 * @param formula in the symbols of the reference
 * @param filled the formula with this piece's figures in it
 * @param source where the formula comes from
 */
public record Working(String name, String formula, String filled, String source) {}
