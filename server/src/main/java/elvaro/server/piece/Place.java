package elvaro.server.piece;

import elvaro.server.chamber.Chamber;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A hook or a spot on a shelf.
 *
 * @param rail from 1
 * @param slot from 1 along the rail
 */
public record Place(int rail, int slot) {

    /** The first place not taken; when all are, one more on the last rail, for a chamber takes what people put in it. */
    public static Place firstFree(Chamber chamber, Set<Place> taken) {
        return IntStream.rangeClosed(1, chamber.rails())
                .boxed()
                .flatMap(rail ->
                        IntStream.rangeClosed(1, chamber.placesPerRail()).mapToObj(slot -> new Place(rail, slot)))
                .filter(place -> !taken.contains(place))
                .findFirst()
                .orElseGet(() -> IntStream.iterate(chamber.placesPerRail() + 1, slot -> slot + 1)
                        .mapToObj(slot -> new Place(chamber.rails(), slot))
                        .filter(place -> !taken.contains(place))
                        .findFirst()
                        .orElseThrow());
    }
}
