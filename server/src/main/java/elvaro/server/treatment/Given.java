package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.TreatmentKind;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A treatment as it can be given to any piece.
 *
 * @param recipeId the workshop's own mixture, if it is one
 * @param exactly what was used, in words
 * @param dose absent for what is dosed by time, or by nobody
 * @param number how many days or times; absent for as usual
 */
public record Given(
        TreatmentKind kind,
        @Nullable UUID recipeId,
        String exactly,
        @Nullable Dose dose,
        @Nullable Integer number,
        boolean rawGarlicOrHerbs,
        boolean oil,
        boolean spirit) {

    /** Whether somebody dosed it by eye, and nobody said afterwards how much it was. */
    public boolean isGuess() {
        return dose == null && recipeId == null && kind.first().isPresent();
    }

    Given dosed(Dose known) {
        return new Given(kind, recipeId, exactly, known, number, rawGarlicOrHerbs, oil, spirit);
    }

    /** As it stands in a list: {@code Sugar or syrup coat, buckwheat honey, 22 g per kg green weight}. */
    public String words() {
        StringBuilder words = new StringBuilder(kind.label());
        if (!exactly.isEmpty()) {
            words.append(", ").append(exactly);
        }
        if (dose != null) {
            words.append(", ").append(dose.words());
        }
        kind.course()
                .count()
                .filter(count -> number != null && number != count.usual())
                .ifPresent(
                        count -> words.append(", ").append(number).append(' ').append(count.label()));
        return words.toString();
    }

    /** The same as a form, to be given to another piece. */
    public TreatmentForm form() {
        return new TreatmentForm(
                kind,
                recipeId,
                recipeId == null ? exactly : "",
                dose == null ? null : dose.amount(),
                dose == null ? null : dose.measure(),
                dose == null ? null : dose.basis(),
                number,
                null,
                0,
                null,
                rawGarlicOrHerbs,
                oil,
                spirit,
                null,
                Map.of());
    }
}
