package elvaro.core.working;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/** Numbers as they stand in the sentences and workings of the core. */
public final class Figures {
    private Figures() {}

    /**
     * A weight as it stands in every sentence: {@code 8400 g}. The interface turns grams and degrees Celsius of a sentence
     * into the reader's own units.
     */
    public static String weight(long grams) {
        return grams + " g";
    }

    /** A weight as {@code 8.400 kg}, for workings. */
    public static String kilograms(long grams) {
        return BigDecimal.valueOf(grams, 3).toPlainString() + " kg";
    }

    /** A fraction as {@code 11.3 %}. */
    public static String percent(double fraction) {
        return String.format(Locale.ROOT, "%.1f %%", fraction * 100);
    }

    /** Money in minor units as {@code 38.20}. */
    public static String money(double minor) {
        return BigDecimal.valueOf(minor / 100).setScale(2, RoundingMode.HALF_UP).toPlainString();
    }

    /** A number to the nearest whole, {@code 12}. */
    public static String whole(double number) {
        return String.valueOf(Math.round(number));
    }
}
