package elvaro.server.shared;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Base64;

/** 256 random bits that open something to whoever has them. Only their hash is kept; long enough to need no salt. */
public final class Secret {
    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Secret() {}

    /** A new one, fit for an address or a header. */
    public static String make() {
        byte[] secret = new byte[BYTES];
        RANDOM.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    /** SHA-256 of it, in hexadecimal. */
    public static String hash(String secret) {
        return Sha256.of(secret.getBytes(StandardCharsets.UTF_8));
    }
}
