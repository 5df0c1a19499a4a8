package elvaro.server.piece;

import java.util.Optional;

/**
 * The ice a piece takes.
 *
 * @param meatCelsius as it was laid in
 * @param outsideCelsius of the air round the chest
 * @param onceKg melts as the meat cools
 * @param laidInKg on the first day
 * @param allKg until it is taken out
 * @param topUpDays every how many days it is topped up and drained
 * @param topUpKg each time
 */
public record IceView(
        double meatCelsius,
        double outsideCelsius,
        double onceKg,
        double perDayKg,
        double laidInKg,
        double allKg,
        int topUpDays,
        double topUpKg) {

    /** Empty off the ice, or where nobody said how warm it is. */
    public static Optional<IceView> of(Piece piece) {
        int grams = piece.greenGrams();
        return piece.ice()
                .map(ice -> new IceView(
                        piece.meatCelsius().orElseThrow(),
                        piece.outsideCelsius().orElseThrow(),
                        ice.onceKg(),
                        ice.perDayKg(),
                        ice.laidIn(grams),
                        Math.max(
                                ice.laidIn(grams),
                                ice.forDays(piece.targetDays().orElse(1))),
                        ice.topUpDays(grams),
                        ice.topUpKg(grams)));
    }
}
