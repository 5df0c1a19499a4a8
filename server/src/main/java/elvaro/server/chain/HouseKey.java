package elvaro.server.chain;

import elvaro.server.shared.Sha256;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The house's own key (Ed25519, RFC 8032): what it signs, nobody signs who has only the database or a backup. It is made at
 * the first start and lies in a file beside the data: the private part (PKCS #8) in the first line, the public one in the
 * second, both in Base64.
 */
@Component
public class HouseKey {
    private static final Logger LOG = LoggerFactory.getLogger(HouseKey.class);
    private static final String KIND = "Ed25519";
    private static final int PRINT_DIGITS = 16;
    private static final int GROUP = 4;

    private final PrivateKey secret;
    private final String open;

    /** @param file where it lies; empty for a key that ends with this run */
    public HouseKey(@Value("${elvaro.key-file}") String file) {
        try {
            List<String> lines;
            if (file.isEmpty()) {
                LOG.warn("No file is named for the house's key: what is signed now is signed with a key of this run.");
                lines = fresh();
            } else {
                Path path = Path.of(file);
                if (!Files.exists(path)) {
                    keep(path, fresh());
                }
                lines = Files.readAllLines(path);
            }
            secret = KeyFactory.getInstance(KIND)
                    .generatePrivate(new PKCS8EncodedKeySpec(Base64.getDecoder().decode(lines.get(0))));
            open = lines.get(1);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The house's key cannot be read: " + file, unreadable);
        } catch (GeneralSecurityException | IllegalArgumentException | IndexOutOfBoundsException broken) {
            throw new IllegalStateException("The file of the house's key is broken: " + file, broken);
        }
    }

    private static List<String> fresh() throws GeneralSecurityException {
        KeyPair pair = KeyPairGenerator.getInstance(KIND).generateKeyPair();
        Base64.Encoder text = Base64.getEncoder();
        return List.of(
                text.encodeToString(pair.getPrivate().getEncoded()),
                text.encodeToString(pair.getPublic().getEncoded()));
    }

    /** Whole or not at all, and for nobody else to read. */
    private static void keep(Path path, List<String> lines) throws IOException {
        Path half = Files.createTempFile(
                path.toAbsolutePath().getParent(),
                "key",
                ".new",
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.write(half, lines);
        Files.move(half, path, StandardCopyOption.ATOMIC_MOVE);
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

    /** Whether the one with this key signed these words; false for what is no key or no signature. */
    public static boolean signed(String open, byte[] words, String signature) {
        try {
            PublicKey key = KeyFactory.getInstance(KIND)
                    .generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(open)));
            Signature check = Signature.getInstance(KIND);
            check.initVerify(key);
            check.update(words);
            return check.verify(Base64.getDecoder().decode(signature));
        } catch (GeneralSecurityException | IllegalArgumentException none) {
            return false;
        }
    }
}
