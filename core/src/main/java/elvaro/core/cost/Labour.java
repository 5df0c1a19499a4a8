package elvaro.core.cost;

/**
 * What the work at the bench costs, minor units: for each piece, for each steak, for each kilogram of steak; any of them 0.
 */
public record Labour(double perPiece, double perSteak, double perKilogram) {
    public static final Labour NONE = new Labour(0, 0, 0);

    /**
     * @param steaks as counted, 0 where nobody counted them
     * @param steakGrams cut at the bench
     */
    public double of(int steaks, int steakGrams) {
        return perPiece + perSteak * steaks + perKilogram * steakGrams / 1000;
    }
}
