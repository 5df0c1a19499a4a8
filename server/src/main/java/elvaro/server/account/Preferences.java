package elvaro.server.account;

import elvaro.core.working.Units;
import jakarta.validation.constraints.NotNull;
import java.util.Currency;
import java.util.Locale;
import java.util.Set;

/** How one person wants figures and screens. */
public record Preferences(
        @NotNull WeightUnit weightUnit,
        @NotNull TemperatureUnit temperatureUnit,
        @NotNull LengthUnit lengthUnit,
        @NotNull Theme theme,
        @NotNull Figures figures) {
    static final Preferences STARTING =
            new Preferences(WeightUnit.KG, TemperatureUnit.CELSIUS, LengthUnit.MM, Theme.SYSTEM, Figures.DEVICE);

    public boolean inPounds() {
        return weightUnit == WeightUnit.LB || weightUnit == WeightUnit.LB_OZ;
    }

    /** In what a person thinks, asked in one touch. */
    public enum Measures {
        /** Kilograms, degrees Celsius, millimetres. */
        METRIC,
        /** Pounds, degrees Fahrenheit, inches. */
        IMPERIAL;

        /** Where pounds and degrees Fahrenheit are in daily use (Unicode CLDR, measurement systems, from memory). */
        private static final Set<String> IMPERIAL_IN = Set.of("US", "LR", "PW", "FM", "MH", "PR", "GU", "VI");

        /** As they are usual where a device is. */
        public static Measures usualIn(Locale device) {
            return IMPERIAL_IN.contains(device.getCountry()) ? IMPERIAL : METRIC;
        }

        Preferences preferences() {
            return this == METRIC
                    ? STARTING
                    : new Preferences(
                            WeightUnit.LB, TemperatureUnit.FAHRENHEIT, LengthUnit.INCH, Theme.SYSTEM, Figures.DEVICE);
        }
    }

    /**
     * How paper is written for this person.
     *
     * @param device what the device asked for, where the person left it to it
     */
    Units units(Currency currency, Locale device) {
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
                figures == Figures.DEVICE ? device : figures.locale());
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

    /** How numbers, money and days are written; words are English. */
    public enum Figures {
        /** As the device writes them. */
        DEVICE(Locale.ROOT),
        /** 1.5 and 28 Nov 2026. */
        POINT_DAY_FIRST(Locale.UK),
        /** 1.5 and Nov 28, 2026. */
        POINT_MONTH_FIRST(Locale.US),
        /** 1,5 and 28 Nov 2026. */
        COMMA_DAY_FIRST(Locale.GERMANY);

        private final Locale locale;

        Figures(Locale locale) {
            this.locale = locale;
        }

        Locale locale() {
            return locale;
        }
    }

    /** Light for the shop, dark for the cold room, or as the device says. */
    public enum Theme {
        LIGHT,
        DARK,
        SYSTEM
    }
}
