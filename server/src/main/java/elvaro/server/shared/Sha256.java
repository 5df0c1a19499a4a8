package elvaro.server.shared;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256, FIPS 180-4. */
public final class Sha256 {
    private Sha256() {}

    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException(missing); // Every Java has it.
        }
    }

    /** In hexadecimal, 64 digits. */
    public static String of(byte[] bytes) {
        return HexFormat.of().formatHex(digest().digest(bytes));
    }
}
