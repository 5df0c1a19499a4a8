package elvaro.server.carcass;

import elvaro.core.drying.Method;
import elvaro.core.game.Animal;
import elvaro.core.game.CarcassYield.Weighed;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An animal as it comes in, and where it is hung or laid on ice.
 *
 * @param tag game tag, as the law asks for it
 * @param hungOn the day it was hung or iced; absent for the day it was killed
 * @param grams absent where there was no scale: {@code size} then says how large it is
 * @param iceBagGrams what a bag of its ice holds
 * @param place in words
 * @param wound where it was hit, in words
 * @param cooledAt when its core was cold, if it is
 * @param meatCelsius of the meat as it is laid on ice
 * @param outsideCelsius of the air round the chest
 * @param days it is to hang or lie
 * @param answers to questions the values raised, by question
 */
record CarcassForm(
        @NotNull(message = "Say what animal it is.") Animal animal,

        @NotNull @Size(max = 60, message = "The tag is too long.")
        String tag,

        @NotNull @Size(max = 60, message = "The permit is too long.")
        String permit,

        @NotNull(message = "Say when it was killed.") Instant killedAt,

        @NotNull @Size(max = 120, message = "Say the place in fewer words.")
        String place,

        @Nullable LocalDate hungOn,

        @Nullable
        @Min(value = 300, message = "An animal weighs at least ⟦limit 300⟧.")
        @Max(value = 500_000, message = "An animal weighs at most ⟦limit 500000⟧.")
        Integer grams,

        Animal.@Nullable Size size,

        @NotNull Weighed weighed,
        @NotNull Boolean skinOn,

        @NotNull @Size(max = 200, message = "Say it in fewer words.")
        String wound,

        @Nullable Instant cooledAt,

        @Nullable @Min(value = -5, message = RANGE) @Max(value = 45, message = RANGE)
        Double meatCelsius,

        @Nullable @Min(value = -30, message = RANGE) @Max(value = 45, message = RANGE)
        Double outsideCelsius,

        @Nullable @Min(value = 500, message = BAG) @Max(value = 50_000, message = BAG)
        Integer iceBagGrams,

        @NotNull DiseaseTest test,

        @NotNull @Size(max = 80, message = "The name is too long.")
        String supplier,

        @Nullable @Min(value = 0, message = "The price is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer priceMinorPerKg,

        @NotNull(message = "Say whether it hangs or lies on ice.")
        Method method,

        @NotNull(message = "Choose where it hangs.") UUID chamberId,

        @NotNull(message = "Say for how many days.")
        @Min(value = 1, message = "At least one day.")
        @Max(value = 60, message = "At most 60 days.")
        Integer days,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {
    private static final String BAG = "A bag of ice holds ⟦limit 500⟧ to ⟦limit 50000⟧.";
    private static final String RANGE = "The temperature is out of range.";

    /**
     * What it weighs, or about what.
     *
     * @throws Refusal if neither weight nor size is said
     */
    int weight() {
        if (grams == null && size == null) {
            throw Refusal.wrong("missing", "grams", "Weigh it, or say how large it is.");
        }
        return grams == null ? animal.estimatedGrams(size, weighed) : grams;
    }
}
