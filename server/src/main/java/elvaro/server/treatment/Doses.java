package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.server.shared.Refusal;
import org.jspecify.annotations.Nullable;

/** Doses as people enter them. */
final class Doses {
    private Doses() {}

    /**
     * @return null where no dose was entered
     * @throws Refusal if it is no dose
     */
    static @Nullable Dose of(@Nullable Double amount, @Nullable DoseUnit measure, Dose.@Nullable Basis basis) {
        if (amount == null || measure == null || basis == null) {
            return null;
        }
        try {
            return new Dose(amount, measure, basis);
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong("invalid", "amount", String.valueOf(wrong.getMessage()));
        }
    }
}
