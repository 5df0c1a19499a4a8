package elvaro.server.chain;

import elvaro.server.shared.Sha256;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.encrypt.Encryptors;
import org.springframework.security.crypto.encrypt.TextEncryptor;
import org.springframework.stereotype.Component;

/**
 * The house's own key (Ed25519, RFC 8032): what it signs, nobody signs who has only the database or a backup. It is made at
 * the first start and lies in a file beside the data ({@link KeyFile}).
 */
@Component
public class HouseKey {
    private static final String KIND = "Ed25519";
    private static final int PRINT_DIGITS = 16;
    private static final int GROUP = 4;

    /** The key is random; a salt has nothing to add. */
    private static final String SALT = "656c7661726f2e31";

    private final PrivateKey secret;
    private final String open;
    private final TextEncryptor locks;

    /** @param file where it lies; empty for a key that ends with this run */
    public HouseKey(@Value("${elvaro.key-file}") String file) {
        List<String> lines = KeyFile.lines(file, KeyFile.maker(KIND));
        try {
            secret = KeyFactory.getInstance(KIND)
                    .generatePrivate(new PKCS8EncodedKeySpec(Base64.getDecoder().decode(lines.get(0))));
        } catch (GeneralSecurityException | IllegalArgumentException broken) {
            throw new IllegalStateException("The file of the house's key is broken: " + file, broken);
        }
        open = lines.get(1);
        locks = Encryptors.delux(
                Sha256.of(("what is locked " + lines.get(0)).getBytes(StandardCharsets.US_ASCII)), SALT);
    }

    /** The public part, X.509 in Base64. */
    public String open() {
        return open;
    }

    /** What a person compares and keeps on paper: the first digits of the public part's SHA-256. */
    public String print() {
        return print(open);
    }

    /** The same of any key. */
    public static String print(String open) {
        String digits = Sha256.of(open.getBytes(StandardCharsets.US_ASCII)).substring(0, PRINT_DIGITS);
        return digits.replaceAll("(.{" + GROUP + "})(?!$)", "$1 ");
    }

    /** @return in Base64 */
    public String sign(byte[] words) {
        try {
            Signature signature = Signature.getInstance(KIND);
            signature.initSign(secret);
            signature.update(words);
            return Base64.getEncoder().encodeToString(signature.sign());
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible); // every Java from 15 on has it
        }
    }

    /** Locks a password of another house's service away: a copy of the database does not open it. */
    public String lock(String words) {
        return locks.encrypt(words);
    }

    /** What was locked; empty where another key did it, as after a restore on another machine. */
    public Optional<String> unlock(String locked) {
        if (locked.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(locks.decrypt(locked));
        } catch (IllegalStateException | IllegalArgumentException anotherKey) {
            return Optional.empty();
        }
    }

    /** Whether the one with this key signed these words; false for what is no key or no signature. */
    public static boolean signed(String open, byte[] words, String signature) {
        try {
            byte[] encoded = Base64.getDecoder().decode(open);
            PublicKey key = KeyFactory.getInstance(KIND).generatePublic(new X509EncodedKeySpec(encoded));
            if (!Arrays.equals(encoded, key.getEncoded())) {
                return false; // what follows a key is not read
            }
            Signature check = Signature.getInstance(KIND);
            check.initVerify(key);
            check.update(words);
            return check.verify(Base64.getDecoder().decode(signature));
        } catch (GeneralSecurityException | IllegalArgumentException none) {
            return false;
        }
    }
}
