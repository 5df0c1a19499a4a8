package elvaro.server.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import elvaro.server.shared.Refusal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** What may be a password: long enough, and not guessed soon by whoever knows its owner's name and house. */
@Component
class Passwords {
    private static final int SHORTEST = 10;

    /** bcrypt reads no further. */
    private static final int LONGEST_BYTES = 72;

    /** Letters and figures that are left without the words everybody around knows. */
    private static final int LEAST_BESIDE_OWN_WORDS = 6;

    /** Of zxcvbn's 0 to 4: 3 withstands some 10^8 guesses (its authors, USENIX Security 2016). */
    private static final int LEAST_SCORE = 3;

    private final Zxcvbn estimator = new Zxcvbn();
    private final PasswordEncoder encoder;

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    /**
     * @param own words that everybody around knows: name, sign-in name, house
     * @return its hash
     * @throws Refusal if it is too short, too long or too soon guessed
     */
    String hashed(String password, String... own) {
        if (password.length() < SHORTEST) {
            throw refused(
                    "short-password",
                    "A password needs at least %d characters; a few words do well.".formatted(SHORTEST));
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            throw refused("long-password", "A password has at most 72 bytes.");
        }
        List<String> known = Stream.concat(Stream.of(own), Stream.of("elvaro"))
                .flatMap(each -> Stream.concat(Stream.of(each), Stream.of(each.split("[^\\p{L}\\p{N}]+"))))
                .map(each -> each.toLowerCase(Locale.ROOT))
                .filter(each -> each.length() > 2)
                .toList();
        String rest = password.toLowerCase(Locale.ROOT);
        for (String each : known) {
            rest = rest.replace(each, "");
        }
        boolean isOfThemselves = rest.replaceAll("[^\\p{L}\\p{N}]", "").length() < LEAST_BESIDE_OWN_WORDS;
        if (isOfThemselves || estimator.measure(password, known).getScore() < LEAST_SCORE) {
            throw refused(
                    "weak-password",
                    "That is guessed too soon. A few words that have nothing to do with one another, or with you, do well.");
        }
        return encoder.encode(password);
    }

    private static Refusal refused(String type, String sentence) {
        return Refusal.wrong(type, "password", sentence);
    }
}
