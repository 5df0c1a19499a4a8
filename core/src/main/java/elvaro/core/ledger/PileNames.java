package elvaro.core.ledger;

import elvaro.core.cut.Species;
import java.util.List;

/** What people call their piles, by animal; a house adds names of its own. Common practice, no source. */
public final class PileNames {
    private PileNames() {}

    public static List<String> usual(Species species) {
        return switch (species) {
            case SEA_FISH ->
                List.of("Head", "Scale strip", "Collar", "Lean belly", "Medium belly", "Fat belly", "Scraped meat");
            case WATERFOWL -> List.of("Wings", "Neck", "Legs", "Breast");
            case VENISON, LAMB -> List.of("Seam roasts", "Stew meat", "Shank slices", "Chops", "Neck");
            case PORK -> List.of("Cap", "Chops", "Back fat", "Stew meat");
            case BEEF -> List.of("Cap", "Flat iron", "Lean", "Medium", "Fat", "Stew meat");
        };
    }
}
