package elvaro.server.hanging;

import elvaro.core.game.Ice;
import elvaro.server.piece.Piece;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The ice a piece takes.
 *
 * @param meatCelsius as it was laid in
 * @param outsideCelsius of the air round the chest
 * @param besideGrams what else lies in the chest and has its share of its walls
 * @param onceKg melts as the meat cools
 * @param laidInKg on the first day
 * @param allKg until it is taken out, what is topped up among it
 * @param topUpDays every how many days it is topped up and drained
 * @param topUpKg each time
 * @param bags in whole bags, where somebody said what one holds
 */
public record IceView(
        double meatCelsius,
        double outsideCelsius,
        long besideGrams,
        double onceKg,
        double perDayKg,
        double laidInKg,
        double allKg,
        int topUpDays,
        double topUpKg,
        Ice.@Nullable Bags bags) {

    /** Empty off the ice, or where nobody said how warm it is. */
    static Optional<IceView> of(Piece piece, long chestGrams) {
        return piece.ice(chestGrams)
                .map(ice -> new IceView(
                        piece.meatCelsius().orElseThrow(),
                        piece.outsideCelsius().orElseThrow(),
                        Math.max(0, chestGrams - piece.greenGrams()),
                        ice.onceKg(),
                        ice.perDayKg(),
                        ice.laidInKg(),
                        ice.inAllKg(piece.targetDays().orElse(1)),
                        ice.topUpDays(),
                        ice.topUpKg(),
                        piece.iceBagGrams()
                                .map(grams -> ice.bags(grams, piece.targetDays().orElse(1)))
                                .orElse(null)));
    }
}
