package elvaro.server.plan;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A piece somebody thinks of hanging.
 *
 * @param greenGrams weight of one piece
 * @param steaksOnBone whether steaks are to be sawn through the bone; absent for what is usual of the cut
 * @param contactPercent share of a membrane that touches meat; the usual one where nobody looked
 * @param chamberId where, for its air, its cost and what the shop learnt there
 * @param kind of place whose usual air it is, where no chamber is chosen; a household refrigerator where that is not said
 * @param celsius air other than the chamber's, each where given
 * @param steakMm how thick the steaks are to be
 */
public record ScenarioForm(
        @NotBlank(message = "Choose the cut.") @Size(max = 40)
        String cutCode,

        @NotNull Boolean boneIn,
        @Nullable Boolean steaksOnBone,

        @NotNull
        @Min(value = 0, message = "Fat cover is ⟦length 0⟧ or more.")
        @Max(value = 80, message = "Fat cover above ⟦length 80⟧ is not a cover.")
        Integer fatCoverMm,

        @NotNull(message = "The weight is needed.")
        @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
        @Max(value = 300_000, message = "The weight must be at most ⟦limit 300000⟧.")
        Integer greenGrams,

        @NotNull Method method,
        @NotNull Coating coating,

        @Nullable
        @Min(value = 1, message = "Contact is 1 to 100 % of the film.")
        @Max(value = 100, message = "Contact is 1 to 100 % of the film.")
        Integer contactPercent,

        @Nullable UUID chamberId,
        @Nullable ChamberKind kind,

        @Nullable @Min(value = -5, message = AIR) @Max(value = 15, message = AIR)
        Double celsius,

        @Nullable
        @Min(value = 10, message = "Humidity is 10 to 100 %.")
        @Max(value = 100, message = "Humidity is 10 to 100 %.")
        Double humidityPercent,

        @Nullable
        @Min(value = 0, message = "Air moves at 0 to 10 m/s.")
        @Max(value = 10, message = "Air moves at 0 to 10 m/s.")
        Double metresPerSecond,

        @NotNull(message = "For how many days?")
        @Min(value = 1, message = "At least one day.")
        @Max(value = 400, message = "At most 400 days.")
        Integer targetDays,

        @NotNull
        @Min(value = 0, message = "The price is 0 or more.")
        @Max(value = 10_000_000, message = "That price is beyond reason.")
        Integer priceMinorPerKg,

        @NotNull @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer consumablesMinor,

        @NotNull
        @Min(value = 5, message = "A steak is ⟦length 5 150⟧ thick.")
        @Max(value = 150, message = "A steak is ⟦length 5 150⟧ thick.")
        Integer steakMm) {
    private static final String AIR = "A chamber is between ⟦temperature -5⟧ and ⟦temperature 15⟧.";

    /** A lot that comes in, as it is described. */
    ScenarioForm of(LotAheadForm lot) {
        return new ScenarioForm(
                lot.cutCode(),
                lot.boneIn(),
                null,
                lot.fatCoverMm(),
                lot.greenGrams(),
                method,
                coating,
                contactPercent,
                chamberId,
                kind,
                celsius,
                humidityPercent,
                metresPerSecond,
                targetDays,
                lot.priceMinorPerKg() == null ? 0 : lot.priceMinorPerKg(),
                consumablesMinor,
                steakMm);
    }

    /** The same of another cut. */
    ScenarioForm of(String code, int price) {
        return new ScenarioForm(
                code,
                boneIn,
                steaksOnBone,
                fatCoverMm,
                greenGrams,
                method,
                coating,
                contactPercent,
                chamberId,
                kind,
                celsius,
                humidityPercent,
                metresPerSecond,
                targetDays,
                price,
                consumablesMinor,
                steakMm);
    }

    /** The same piece aged in another way, in the air that was asked for and no chamber of the house. */
    ScenarioForm aged(Method way, Coating coat, int days, int consumables) {
        return new ScenarioForm(
                cutCode,
                boneIn,
                steaksOnBone,
                fatCoverMm,
                greenGrams,
                way,
                coat,
                contactPercent,
                null,
                kind,
                celsius,
                humidityPercent,
                metresPerSecond,
                days,
                priceMinorPerKg,
                consumables,
                steakMm);
    }
}
