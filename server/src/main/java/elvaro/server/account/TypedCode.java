package elvaro.server.account;

import java.security.SecureRandom;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Codes that people read from a screen or from paper and type: in groups of four, and read however they were typed. */
final class TypedCode {
    /** Without the letters and figures that are read for one another. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int GROUP = 4;
    private static final SecureRandom RANDOM = new SecureRandom();

    private TypedCode() {}

    /** @param groups of four letters, five bits each */
    static String fresh(int groups) {
        return IntStream.range(0, groups).mapToObj(group -> group()).collect(Collectors.joining("-"));
    }

    private static String group() {
        return RANDOM.ints(GROUP, 0, LETTERS.length())
                .mapToObj(index -> LETTERS.substring(index, index + 1))
                .collect(Collectors.joining());
    }

    /** The letters and figures of it alone: without its dashes, in small letters, with spaces, it is the same code. */
    static String read(String typed) {
        return typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }
}
