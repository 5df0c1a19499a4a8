package elvaro.server.carcass;

import elvaro.core.game.Animal;
import elvaro.core.game.CarcassYield.Weighed;
import elvaro.core.game.Part;
import elvaro.core.ledger.Balance;
import elvaro.core.ledger.Piles;
import elvaro.core.question.Question;
import elvaro.core.working.Working;
import elvaro.server.piece.PieceCard;
import elvaro.server.piece.PieceState;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An animal from its tag to its parts.
 *
 * @param card of the whole
 * @param held why nothing of it may be packed or shared yet
 * @param coolingHours from the kill to a cold core
 * @param ice absent where it hangs in the air
 */
record CarcassView(
        UUID id,
        int version,
        PieceCard card,
        int lotNumber,
        AnimalView animal,
        String tag,
        String permit,
        Instant killedAt,
        String place,
        Weighed weighed,
        boolean skinOn,
        String wound,
        @Nullable Double coolingHours,
        DiseaseTest test,
        @Nullable String held,
        YieldAhead ahead,
        @Nullable IceView ice,
        List<PartView> parts,
        CutSheet sheet) {

    /**
     * @param daysBecause why so many days
     * @param cautions the gravest first
     */
    record AnimalView(
            Animal animal,
            String label,
            Animal.Build build,
            int fewestDays,
            int mostDays,
            String daysBecause,
            boolean mayBeTested,
            List<String> cautions) {
        static AnimalView of(Animal animal) {
            return new AnimalView(
                    animal,
                    animal.label(),
                    animal.build(),
                    animal.fewestDays(),
                    animal.mostDays(),
                    animal.daysBecause(),
                    animal.mayBeTested(),
                    animal.hazards().stream().map(Animal.Hazard::caution).toList());
        }
    }

    /** Boneless meat to be expected, before anything is cut; grams. */
    record YieldAhead(
            double carcassGrams,
            double idealGrams,
            double realisticGrams,
            double leastGrams,
            double mostGrams,
            Working working) {}

    /**
     * @param laidInKg on the first day
     * @param allKg until it is taken out
     * @param topUpDays every how many days it is topped up and drained
     */
    record IceView(double onceKg, double perDayKg, double laidInKg, double allKg, int topUpDays) {}

    /**
     * A part, on the animal or off it.
     *
     * @param see what to see to at this joint
     * @param expectedGrams of what the animal weighs now
     * @param pieceId once it is off, as all that follows
     */
    record PartView(
            Part part,
            String label,
            String see,
            double share,
            int expectedGrams,
            @Nullable UUID pieceId,
            @Nullable String tag,
            @Nullable Integer grams,
            @Nullable PieceState state,
            @Nullable Piles piles) {}

    /**
     * Where the animal's weight went.
     *
     * @param partsGrams as they came off
     * @param whole what was weighed off the animal itself: bone, fat, discard
     * @param cut what the parts gave at the bench, together
     * @param toCutGrams of parts that hang or wait for the bench
     * @param boneless steaks, roasts and usable trim so far
     */
    record CutSheet(
            int agedGrams,
            int partsGrams,
            Piles whole,
            Piles cut,
            int toCutGrams,
            int boneless,
            int residualGrams,
            Balance.State balance,
            @Nullable Question question) {}

    /** An animal in a list. */
    record CarcassLine(
            UUID id,
            PieceCard card,
            String label,
            String tag,
            Instant killedAt,
            @Nullable String held) {}
}
