package elvaro.server.chamber;

import elvaro.core.air.ChamberKind;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A chamber as a person enters and sees it.
 *
 * @param version 0 for a new one, else what the person saw
 * @param setHumidityPercent the set-point, or null where the chamber has none
 * @param setMetresPerSecond how fast the air moves at the pieces
 * @param shelfSquareCentimetres area of its shelves, or null where pieces hang
 * @param purchaseMinor what it cost, written off evenly over {@code lifeYears}
 * @param forMeatAlone whether its machine runs for the meat alone, so that its energy is the meat's; absent for as usual
 * @param keeperId whose work it is, or null for everybody's
 */
public record ChamberForm(
        @NotNull UUID id,
        @NotNull Integer version,

        @NotBlank(message = "The chamber needs a name.") @Size(max = 60, message = "The name is too long.")
        String name,

        @NotNull ChamberKind kind,

        @NotNull
        @Min(value = 1, message = "At least one rail or shelf.")
        @Max(value = 20, message = "At most 20 rails.")
        Integer rails,

        @NotNull
        @Min(value = 1, message = "At least one place.")
        @Max(value = 60, message = "At most 60 places a rail.")
        Integer placesPerRail,

        @NotNull
        @Min(value = 500, message = "A chamber carries at least ⟦limit 500⟧.")
        @Max(value = 50_000_000, message = "A chamber carries at most 50 t.")
        Integer limitGrams,

        @NotNull @Min(value = -5, message = SET) @Max(value = 15, message = SET)
        Double setCelsius,

        @Nullable @Min(value = 10, message = HUMIDITY) @Max(value = 100, message = HUMIDITY)
        Integer setHumidityPercent,

        @NotNull @Min(value = 0, message = SPEED) @Max(value = 10, message = SPEED)
        Double setMetresPerSecond,

        @Nullable
        @Min(value = 100, message = "Shelves have at least 100 cm².")
        @Max(value = 10_000_000, message = "Shelves have at most 1000 m².")
        Integer shelfSquareCentimetres,

        @NotNull @Min(value = 0, message = "The price is 0 or more.")
        Integer purchaseMinor,

        @NotNull @Min(value = 1, message = "At least one year.") @Max(value = 60, message = "At most 60 years.")
        Integer lifeYears,

        @NotNull @Min(value = 0, message = "Watts are 0 or more.") @Max(value = 100_000, message = "Too many watts.")
        Integer powerWatts,

        @Nullable Boolean forMeatAlone,
        @Nullable UUID keeperId) {
    private static final String SET = "A chamber is set between ⟦temperature -5⟧ and ⟦temperature 15⟧.";
    private static final String SPEED = "Air moves at 0 to 10 m/s.";
    private static final String HUMIDITY = "Humidity is 10 to 100 %.";
}
