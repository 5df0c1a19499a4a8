package elvaro.server.scale;

import elvaro.core.weighing.StableWeight;
import elvaro.core.weighing.StableWeight.Shown;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;

/** What is known of each scale: in this node, or where every node sees it. */
interface ScaleStates {
    /**
     * Makes the next state of a scale; several at once are one after the other.
     *
     * @param divisionGrams of the scale
     * @param next may throw; the state then stays as it was
     * @return what it shows then
     */
    Shown change(UUID scale, int divisionGrams, UnaryOperator<StableWeight> next);

    /** Whether a change here reaches the screens of other nodes only by their looking. */
    boolean isLookedAt();

    /** @return what it shows, if it was changed after the change that is numbered */
    Optional<Numbered> after(UUID scale, long number);

    /** @param number counts the changes of this scale */
    record Numbered(long number, Shown shown) {}
}
