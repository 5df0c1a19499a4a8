package elvaro.server.tasting;

import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.TastingKind;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A tasting to be set up.
 *
 * @param rounds how often each taster goes through the samples
 * @param attributes what is scored; empty where nothing is
 * @param trialId the trial it is to answer
 * @param coreCelsius the core aimed at in every sample
 * @param fireCelsius of oven, grill or pan; absent for a usual one
 * @param startCelsius of the meat as it is put on; absent for out of the refrigerator
 */
record TastingForm(
        @NotBlank(message = "Put the question in words.") @Size(max = 300, message = "Ask in fewer words.")
        String question,

        @NotNull(message = "Say what the tasters are asked.")
        TastingKind kind,

        @NotNull
        @Min(value = 1, message = "One round at least.")
        @Max(value = 3, message = "Three rounds at most: tongues tire.")
        Integer rounds,

        @NotNull @Size(max = 12, message = "Twelve attributes at most: tongues tire.")
        List<@NotNull Attribute> attributes,

        @NotNull @Size(min = 2, max = 6, message = "Two to six samples.")
        List<@Valid SampleForm> samples,

        @NotNull @Size(min = 1, max = 300, message = "One taster at least, 300 at most.")
        List<@Valid TasterForm> tasters,

        @Nullable UUID trialId,
        @NotNull(message = "Say how it is cooked.") Heat heat,

        @NotNull
        @DecimalMin(value = "40", message = "A core is at least ⟦temperature 40⟧.")
        @DecimalMax(value = "95", message = "A core is at most ⟦temperature 95⟧.")
        Double coreCelsius,

        @Nullable @DecimalMin(value = "80", message = FIRE) @DecimalMax(value = "500", message = FIRE)
        Double fireCelsius,

        @Nullable
        @DecimalMin(value = "-5", message = "Meat is put on at ⟦temperature -5⟧ to ⟦temperature 30⟧.")
        @DecimalMax(value = "30", message = "Meat is put on at ⟦temperature -5⟧ to ⟦temperature 30⟧.")
        Double startCelsius,

        @NotNull
        @Min(value = 0, message = "Rest is not negative.")
        @Max(value = 120, message = "Two hours' rest at most.")
        Integer restMinutes,

        @NotNull @Size(max = 200, message = "Say it in fewer words.")
        String seasoning) {
    private static final String FIRE = "A fire has ⟦temperature 80⟧ to ⟦temperature 500⟧.";

    /**
     * What is tasted.
     *
     * @param name what the host calls it; no taster sees it
     * @param finish what is put on it at the table; absent for nothing
     * @param thicknessMm as it is cooked, 0 where it is not known
     */
    record SampleForm(
            @NotNull UUID id,

            @NotBlank(message = "Every sample has a name.") @Size(max = 120, message = "The name is too long.")
            String name,

            @Nullable UUID pieceId,
            @Nullable UUID armId,

            @NotNull
            @Min(value = 0, message = "A thickness is not negative.")
            @Max(value = 200, message = "At most ⟦length 200⟧.")
            Integer thicknessMm,

            boolean thawed,
            @Nullable Finish finish) {}

    /** @param tasterId one who tasted before; absent for somebody new */
    record TasterForm(
            @NotNull UUID id,
            @Nullable UUID tasterId,

            @NotBlank(message = "Every taster has a name.") @Size(max = 60, message = "The name is too long.")
            String name) {}
}
