package elvaro.server.carcass;

import elvaro.core.game.Animal;
import elvaro.core.game.CarcassYield.Weighed;
import elvaro.core.game.Part;
import elvaro.core.game.School;
import elvaro.core.game.School.Packed;
import elvaro.core.ledger.Balance;
import elvaro.core.ledger.Stream;
import elvaro.core.question.Question;
import elvaro.core.working.Working;
import elvaro.server.hanging.PieceCard;
import elvaro.server.piece.PieceState;
import elvaro.server.shared.CautionView;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An animal from its tag to its parts.
 *
 * @param card of the whole
 * @param held why nothing of it may be packed or shared yet
 * @param skinOn as it came in
 * @param hideOn whether it hangs in its hide now
 * @param packed what the school puts into packs; absent where there is none
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
        boolean hideOn,
        CoolingView cooling,
        DiseaseTest test,
        @Nullable String held,
        YieldAhead ahead,
        School school,
        @Nullable Packed packed,
        List<String> readying,
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
            List<CautionView> cautions) {
        static AnimalView of(Animal animal) {
            return new AnimalView(
                    animal,
                    animal.label(),
                    animal.build(),
                    animal.fewestDays(),
                    animal.mostDays(),
                    animal.daysBecause(),
                    animal.mayBeTested(),
                    CautionView.of(animal.cautions()));
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
     * How its core cooled.
     *
     * @param limitCelsius at which it counts as cold
     * @param cores as measured, the first first
     * @param coldAt when it was cold, as told or as measured
     * @param hours from the kill to then
     * @param expectedColdAt while it is warm: when, going on as it did
     * @param late whether it took, or is going to take, longer than a day
     */
    record CoolingView(
            double limitCelsius,
            List<CoreView> cores,
            @Nullable Instant coldAt,
            @Nullable Double hours,
            @Nullable Instant expectedColdAt,
            boolean late) {}

    record CoreView(UUID id, Instant at, double celsius) {}

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
            @Nullable Map<Stream, Integer> piles) {}

    /**
     * Where the animal's weight went.
     *
     * @param partsGrams as they came off
     * @param whole what was weighed off the animal itself: bone, fat, discard
     * @param cut what the parts gave at the bench, together
     * @param toCutGrams of parts that hang or wait for the bench
     * @param boneless steaks, roasts and usable trim so far
     * @param perKgMinor what a kilogram of that cost so far, minor units: the animal's price over what is no more to cut
     */
    record CutSheet(
            int agedGrams,
            int partsGrams,
            Map<Stream, Integer> whole,
            Map<Stream, Integer> cut,
            int toCutGrams,
            int boneless,
            @Nullable Double perKgMinor,
            int residualGrams,
            Balance.BalanceState balance,
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
