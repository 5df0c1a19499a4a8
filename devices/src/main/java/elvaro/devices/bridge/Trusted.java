package elvaro.devices.bridge;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import javax.net.ssl.TrustManagerFactory;

/** Certificates that an authority of one's own signed, as houses and brokers without a public name have. */
final class Trusted {
    private Trusted() {}

    /**
     * @param authority certificates as PEM
     * @throws IllegalArgumentException with a sentence, if they cannot be read
     */
    static TrustManagerFactory by(Path authority) {
        try (InputStream pem = Files.newInputStream(authority)) {
            KeyStore trusted = KeyStore.getInstance(KeyStore.getDefaultType());
            trusted.load(null, null);
            for (Certificate each : CertificateFactory.getInstance("X.509").generateCertificates(pem)) {
                trusted.setCertificateEntry("authority " + trusted.size(), each);
            }
            TrustManagerFactory factory = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
            factory.init(trusted);
            return factory;
        } catch (IOException | GeneralSecurityException unreadable) {
            throw new IllegalArgumentException(
                    "The certificate in %s cannot be read: %s".formatted(authority, unreadable.getMessage()));
        }
    }
}
