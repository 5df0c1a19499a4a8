package elvaro.server.settings;

import elvaro.core.cost.Labour;
import elvaro.core.cost.PriceByAge;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What an owner sets for the workshop. Money in minor units.
 *
 * @param version what the person saw when changing it
 * @param divisionGrams the scale's division
 * @param benchMinutesPerPiece time to cut one piece, for its cost
 * @param benchSecondsPerSteak on top of it for each steak, portioned and packed
 * @param benchSecondsPerKg on top of it for each kilogram of steak
 * @param steakPriceMinorPerKg what the steaks are listed at, 0 if nothing is sold
 * @param priceByAge what they are listed at by their days, ascending; takes the place of the one price
 * @param publicAddress under which people reach the house, as {@code https://house.example}; absent or empty where nobody
 *     said. It belongs to the machine and is not carried to another.
 */
public record WorkshopSettings(
        @NotNull Integer version,

        @NotBlank(message = "The workshop needs a name.") @Size(max = 80, message = "The name is too long.")
        String name,

        @NotNull @Pattern(regexp = "[A-Z]{3}", message = "A currency is three letters, such as EUR.")
        String currency,

        @NotBlank @Size(max = 40) String zone,

        @NotNull
        @Min(value = 1, message = "The scale's division is at least ⟦limit 1⟧.")
        @Max(value = 1000, message = "The scale's division is at most ⟦limit 1000⟧.")
        Integer divisionGrams,

        @NotNull @Min(value = 0, message = PRICE) @Max(value = 10_000, message = PRICE)
        Integer tariffMinorPerKwh,

        @NotNull @Min(value = 0, message = PRICE) @Max(value = 1_000_000, message = PRICE)
        Integer labourMinorPerHour,

        @NotNull @Min(value = 0, message = "Minutes are 0 or more.") @Max(value = 600, message = "At most ten hours.")
        Integer benchMinutesPerPiece,

        @NotNull @Min(value = 0, message = SECONDS) @Max(value = 3_600, message = SECONDS)
        Integer benchSecondsPerSteak,

        @NotNull @Min(value = 0, message = SECONDS) @Max(value = 3_600, message = SECONDS)
        Integer benchSecondsPerKg,

        @NotNull @Min(value = 0, message = PRICE) @Max(value = 10_000_000, message = PRICE)
        Integer steakPriceMinorPerKg,

        @NotNull @Min(value = 0, message = PRICE) @Max(value = 10_000_000, message = PRICE)
        Integer usableTrimPriceMinorPerKg,

        @NotNull @Min(value = 0, message = PRICE) @Max(value = 10_000_000, message = PRICE)
        Integer fatPriceMinorPerKg,

        @NotNull @Min(value = 0, message = PRICE) @Max(value = 10_000_000, message = PRICE)
        Integer bonePriceMinorPerKg,

        @NotNull
        @Min(value = 0, message = "A margin is 0 to 95 %.")
        @Max(value = 95, message = "A margin is 0 to 95 %.")
        Integer targetMarginPercent,

        @NotNull @Size(max = 12, message = "A price list has at most 12 steps.")
        List<@Valid PriceStep> priceByAge,

        @Nullable
        @Size(max = 200, message = "The address is too long.")
        @Pattern(
                regexp = ADDRESS,
                message = "An address begins with https:// or http:// and names the machine, as https://house.example.")
        String publicAddress) {
    private static final String ADDRESS = "\\s*(https?://[A-Za-z0-9.-]+(:[0-9]{1,5})?(/[A-Za-z0-9._~/-]*)?)?\\s*";
    private static final String SECONDS = "Seconds are 0 to 3600.";
    private static final String PRICE = "A price is 0 or more, and not beyond reason.";

    /** What a workshop starts with: a kitchen scale's 5 g, no prices known. */
    public static WorkshopSettings starting(String name, String currency, String zone) {
        return new WorkshopSettings(0, name, currency, zone, 5, 30, 0, 15, 0, 0, 0, 0, 0, 0, 30, List.of(), "");
    }

    /**
     * As they are carried from elsewhere, by the names of their columns.
     *
     * @throws Refusal if they are none; whether each is in its bounds is for the caller to ask
     */
    public static WorkshopSettings from(int version, Map<String, Object> columns) {
        try {
            return new WorkshopSettings(
                    version,
                    (String) columns.get("name"),
                    (String) columns.get("currency"),
                    (String) columns.get("zone"),
                    whole(columns, "division_grams"),
                    whole(columns, "tariff_minor_per_kwh"),
                    whole(columns, "labour_minor_per_hour"),
                    whole(columns, "bench_minutes_per_piece"),
                    whole(columns, "bench_seconds_per_steak"),
                    whole(columns, "bench_seconds_per_kg"),
                    whole(columns, "steak_price_minor_per_kg"),
                    whole(columns, "usable_trim_price_minor_per_kg"),
                    whole(columns, "fat_price_minor_per_kg"),
                    whole(columns, "bone_price_minor_per_kg"),
                    whole(columns, "target_margin_percent"),
                    new PriceSteps().convertToEntityAttribute((String) columns.get("price_by_age")),
                    null);
        } catch (ClassCastException | NullPointerException | ArithmeticException none) {
            throw Refusal.wrong("invalid", "workshop", "These are no settings of a workshop.");
        }
    }

    private static int whole(Map<String, Object> columns, String name) {
        return Math.toIntExact((Long) columns.get(name));
    }

    void check() {
        try {
            ZoneId.of(zone);
        } catch (DateTimeException unknown) {
            throw Refusal.wrong("invalid", "zone", "There is no time zone called " + zone + ".");
        }
        try {
            java.util.Currency.getInstance(currency);
        } catch (IllegalArgumentException unknown) {
            throw Refusal.wrong("invalid", "currency", "There is no currency " + currency + ".");
        }
        for (int index = 1; index < priceByAge.size(); index++) {
            if (priceByAge.get(index).fromDay() <= priceByAge.get(index - 1).fromDay()) {
                throw Refusal.wrong("invalid", "priceByAge", "The days of the price list must ascend.");
            }
        }
    }

    /** What steaks sell for by their age: the list, or the one price for every age where there is no list. */
    public PriceByAge prices() {
        return priceByAge.isEmpty()
                ? PriceByAge.flat(steakPriceMinorPerKg)
                : new PriceByAge(priceByAge.stream()
                        .map(step -> new PriceByAge.Step(step.fromDay(), step.minorPerKg()))
                        .toList());
    }

    public ByProductPrices byProductPrices() {
        return new ByProductPrices(usableTrimPriceMinorPerKg, fatPriceMinorPerKg, bonePriceMinorPerKg);
    }

    /** What the work at the bench costs. */
    public Labour labour() {
        double perSecond = labourMinorPerHour / 3600.0;
        return new Labour(
                perSecond * 60 * benchMinutesPerPiece, perSecond * benchSecondsPerSteak, perSecond * benchSecondsPerKg);
    }
}
