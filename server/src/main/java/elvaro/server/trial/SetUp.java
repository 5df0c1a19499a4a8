package elvaro.server.trial;

import com.fasterxml.jackson.annotation.JsonAlias;
import com.fasterxml.jackson.annotation.JsonFormat;
import elvaro.core.drying.Method;
import elvaro.core.yield.BenchOrder;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.TreatmentForm;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What is done with the pieces of an arm.
 *
 * @param fresh whether they are set aside fresh; then nothing of the hanging is said; absent for no
 * @param method how they are aged; absent for fresh ones, as are chamber and days
 * @param contactPercent share of a membrane that touches meat, if somebody looked
 * @param consumablesMinor what bag, seal or salt cost for each piece
 * @param benchOrder how they are to be cut; absent to decide at the bench
 * @param treatments all of them, in the order they are given; none for a plain arm
 */
record SetUp(
        @Nullable Boolean fresh,
        @Nullable Method method,
        @Nullable UUID chamberId,

        @Nullable @Min(value = 1, message = "At least one day.") @Max(value = 400, message = "At most 400 days.")
        Integer targetDays,

        @Nullable
        @Min(value = 1, message = "Contact is 1 to 100 % of the film.")
        @Max(value = 100, message = "Contact is 1 to 100 % of the film.")
        Integer contactPercent,

        @NotNull @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer consumablesMinor,

        @Nullable BenchOrder benchOrder,

        @NotNull
        @Size(max = 4, message = "At most four treatments in an arm.")
        @JsonAlias("treatment")
        @JsonFormat(with = JsonFormat.Feature.ACCEPT_SINGLE_VALUE_AS_ARRAY)
        List<@Valid TreatmentForm> treatments) {

    /** One kept before arms could be fresh, or had several treatments, says nothing of it. */
    SetUp {
        fresh = Boolean.TRUE.equals(fresh);
        treatments = treatments == null ? List.of() : List.copyOf(treatments);
    }

    boolean isFresh() {
        return Boolean.TRUE.equals(fresh);
    }

    /** @throws Refusal if it hangs and does not say how, where and for how long */
    void check() {
        if (!isFresh() && method == null) {
            throw Refusal.wrong("missing", "method", "Say how the arm is aged.");
        }
        if (!isFresh() && chamberId == null) {
            throw Refusal.wrong("missing", "chamberId", "Choose the chamber.");
        }
        if (!isFresh() && targetDays == null) {
            throw Refusal.wrong("missing", "targetDays", "Say for how many days.");
        }
        if (isFresh() && !treatments.isEmpty()) {
            throw Refusal.wrong("fresh-treated", "treatments", "What is set aside fresh is not treated.");
        }
    }

    /** For how many days its treatments go on before a piece hangs; 0 where it hangs at once. */
    int daysBefore() {
        return treatments.stream().mapToInt(TreatmentForm::daysBefore).max().orElse(0);
    }

    /** The same with other treatments. */
    SetUp given(List<TreatmentForm> others) {
        return new SetUp(fresh, method, chamberId, targetDays, contactPercent, consumablesMinor, benchOrder, others);
    }

    /** The same for so many days more or fewer, one at least. */
    SetUp longer(int days) {
        return isFresh() || targetDays == null
                ? this
                : new SetUp(
                        false,
                        method,
                        chamberId,
                        Math.max(1, Math.min(400, targetDays + days)),
                        contactPercent,
                        consumablesMinor,
                        benchOrder,
                        treatments);
    }

    /** The same without what belongs to one occasion: the day, the coat's weight, what was answered. */
    SetUp kept() {
        return given(treatments.stream()
                .map(each -> each.changed(each.amount(), each.number()))
                .toList());
    }
}
