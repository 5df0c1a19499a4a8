package elvaro.core.label;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What the label of a pack says to a scanner: net weight, days, lot and serial. It names no article: article numbers belong to
 * houses that have bought a prefix for them.
 */
public final class PackCode {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyMMdd", Locale.ROOT);
    private static final int MOST_GRAMS = 999_999;
    private static final int LONGEST = 20;

    private PackCode() {}

    /**
     * @param grams 1 to 999,999
     * @param lot and serial, of letters, digits and signs; what is longer than 20 or cannot be written is left out
     * @return an element string with its separators, without FNC1 at its begin
     */
    public static String of(int grams, LocalDate packed, @Nullable LocalDate useBy, String lot, String serial) {
        if (grams < 1 || grams > MOST_GRAMS) {
            throw new IllegalArgumentException("A pack weighs 1 to 999999 g.");
        }
        return "3103%06d13%s%s10%s%c21%s"
                .formatted(
                        grams,
                        DAY.format(packed),
                        useBy == null ? "" : "17" + DAY.format(useBy),
                        text(lot),
                        ElementString.SEPARATOR,
                        text(serial));
    }

    private static String text(String words) {
        String possible = words.replaceAll("[^!\"%-?A-Z_a-z]", "");
        return possible.substring(0, Math.min(LONGEST, possible.length()));
    }
}
