package elvaro.server.account;

import elvaro.server.shared.Sha256;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.stereotype.Component;

/**
 * How often a name, and an address, may try to sign in: ten and sixty times in a quarter of an hour (docs/decisions/0003
 * says why no library does this).
 */
@Component
class SignInLimit {
    private static final Duration WINDOW = Duration.ofMinutes(15);
    private static final int TRIES_OF_A_NAME = 10;
    private static final int TRIES_OF_AN_ADDRESS = 60;

    private final SignInAttempts attempts;

    SignInLimit(SignInAttempts attempts) {
        this.attempts = attempts;
    }

    /** Counts one attempt; false once there were too many. */
    boolean allows(String signInName, String address) {
        return attempts.count("address " + address, WINDOW) <= TRIES_OF_AN_ADDRESS
                && attempts.count(nameKey(signInName), WINDOW) <= TRIES_OF_A_NAME;
    }

    /** A person who got in starts afresh, and what is too old to count is cleared away. */
    void forgive(String signInName) {
        attempts.clear(nameKey(signInName), WINDOW);
    }

    /** What is typed as a name may be anything of any length; its hash is short and tells nothing. */
    private static String nameKey(String signInName) {
        return "name " + Sha256.of(SignInDirectory.canonical(signInName).getBytes(StandardCharsets.UTF_8));
    }
}
