package elvaro.core.table;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** Months as people and loggers write them, in English, German and French, whole or cut short. */
public final class MonthName {
    private static final int SHORTEST = 3;

    /** Without accents; of each month, what its name may begin with. */
    private static final List<List<String>> BEGINNINGS = List.of(
            List.of("jan"),
            List.of("feb", "fev"),
            List.of("mar", "mae", "mrz"),
            List.of("apr", "avr"),
            List.of("may", "mai"),
            List.of("jun", "juin"),
            List.of("jul", "juil"),
            List.of("aug", "aou"),
            List.of("sep"),
            List.of("oct", "okt"),
            List.of("nov"),
            List.of("dec", "dez"));

    private MonthName() {}

    /** @return 1 to 12, or nothing if it is no name of a month */
    public static OptionalInt of(String written) {
        String plain = Normalizer.normalize(written, Normalizer.Form.NFD)
                .replaceAll("\\p{M}|\\.", "")
                .toLowerCase(Locale.ROOT);
        if (plain.length() < SHORTEST || !plain.chars().allMatch(Character::isLetter)) {
            return OptionalInt.empty();
        }
        return IntStream.rangeClosed(1, BEGINNINGS.size())
                .filter(month -> BEGINNINGS.get(month - 1).stream().anyMatch(plain::startsWith))
                .findFirst();
    }
}
