package elvaro.server.chain;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.util.Base64;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A key pair in a file beside the data, made at the first start: the private part (PKCS #8) in the first line, the public one
 * (X.509) in the second, both in Base64.
 */
public final class KeyFile {
    private static final Logger LOG = LoggerFactory.getLogger(KeyFile.class);

    private KeyFile() {}

    /**
     * Its two lines.
     *
     * @param file where it lies; empty for a key that ends with this run
     * @param maker of a pair where there is none yet
     */
    public static List<String> lines(String file, KeyPairGenerator maker) {
        try {
            if (file.isEmpty()) {
                LOG.warn("No file is named for a {} key: the one in use ends with this run.", maker.getAlgorithm());
                return fresh(maker);
            }
            Path path = Path.of(file);
            if (!Files.exists(path)) {
                keep(path, fresh(maker));
            }
            List<String> lines = Files.readAllLines(path);
            if (lines.size() < 2) {
                throw new IllegalStateException("The key file is broken: " + file);
            }
            return lines;
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The key cannot be read: " + file, unreadable);
        }
    }

    private static List<String> fresh(KeyPairGenerator maker) {
        KeyPair pair = maker.generateKeyPair();
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

    /** @throws IllegalStateException if this Java has none of that algorithm */
    public static KeyPairGenerator maker(String algorithm) {
        try {
            return KeyPairGenerator.getInstance(algorithm);
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
