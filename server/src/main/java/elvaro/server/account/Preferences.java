package elvaro.server.account;

import elvaro.core.working.Units;
import jakarta.validation.constraints.NotNull;
import java.util.Currency;
import java.util.Locale;

/** How one person wants figures and screens. */
public record Preferences(
        @NotNull WeightUnit weightUnit,
        @NotNull TemperatureUnit temperatureUnit,
        @NotNull LengthUnit lengthUnit,
        @NotNull Theme theme) {
    static final Preferences STARTING =
            new Preferences(WeightUnit.KG, TemperatureUnit.CELSIUS, LengthUnit.MM, Theme.SYSTEM);

    /** How paper is written for this person. */
    Units units(Currency currency, Locale locale) {
        return new Units(
                switch (weightUnit) {
                    case KG -> Units.Mass.KILOGRAM;
                    case G -> Units.Mass.GRAM;
                    case LB -> Units.Mass.POUND;
                    case LB_OZ -> Units.Mass.POUND_AND_OUNCE;
                },
                temperatureUnit == TemperatureUnit.FAHRENHEIT,
                lengthUnit == LengthUnit.INCH,
                currency,
                locale);
    }

    /** Kilograms, grams, decimal pounds, or pounds and ounces. */
    public enum WeightUnit {
        KG,
        G,
        LB,
        LB_OZ
    }

    /** Degrees. */
    public enum TemperatureUnit {
        CELSIUS,
        FAHRENHEIT
    }

    /** Thickness and cover. */
    public enum LengthUnit {
        MM,
        INCH
    }

    /** Light for the shop, dark for the cold room, or as the device says. */
    public enum Theme {
        LIGHT,
        DARK,
        SYSTEM
    }
}
