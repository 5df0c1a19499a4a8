package elvaro.core.working;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/** Numbers as they stand in the sentences and workings of the core. */
public final class Figures {
    private Figures() {}

    /** A weight as {@code 8.400 kg}. Sentences speak in kilograms; a person's own unit is shown beside the entry. */
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
}
