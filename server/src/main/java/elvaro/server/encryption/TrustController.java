package elvaro.server.encryption;

import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.cert.CertificateException;
import java.security.cert.CertificateFactory;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** By what a phone comes to trust the house's own certificate authority. Its public part is for everybody. */
@RestController
class TrustController {
    private static final String CERTIFICATE = "application/x-x509-ca-cert";

    private final String authority;
    private final String address;

    /**
     * @param authority file of the certificate (PEM); empty where the house has none of its own
     * @param address of the page as phones reach it
     */
    TrustController(
            @Value("${elvaro.authority-file}") String authority, @Value("${elvaro.trust-address}") String address) {
        this.authority = authority;
        this.address = address;
    }

    /**
     * Whether the house has a certificate of its own.
     *
     * @param trustAddress of the page on which a phone comes to trust it
     * @param print of its authority, to be compared: SHA-256 in pairs of digits
     */
    record EncryptionView(
            boolean own,
            @Nullable String trustAddress,
            @Nullable String print) {}

    @GetMapping("/api/encryption")
    EncryptionView encryption() throws IOException {
        return authority.isEmpty()
                ? new EncryptionView(false, null, null)
                : new EncryptionView(true, address, print(certificate()));
    }

    private byte[] certificate() throws IOException {
        if (authority.isEmpty()) {
            throw Refusal.notFound("certificate");
        }
        try {
            return CertificateFactory.getInstance("X.509")
                    .generateCertificate(new ByteArrayInputStream(Files.readAllBytes(Path.of(authority))))
                    .getEncoded();
        } catch (CertificateException broken) {
            throw new IOException(broken);
        }
    }

    private static String print(byte[] certificate) {
        return Sha256.of(certificate).toUpperCase(java.util.Locale.ROOT).replaceAll("(..)(?!$)", "$1:");
    }

    @GetMapping("/trust/house.crt")
    ResponseEntity<byte[]> download() throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(CERTIFICATE))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("elvaro-house.crt")
                                .build()
                                .toString())
                .body(certificate());
    }

    @GetMapping(path = "/trust", produces = MediaType.TEXT_HTML_VALUE)
    String page() throws IOException {
        return """
                <!doctype html><html lang="en"><head><meta charset="utf-8">
                <meta name="viewport" content="width=device-width"><title>Trust this house</title><style>
                body{margin:0;padding:24px;background:#efe9dd;color:#2a1f1c;font:18px/1.5 sans-serif}main{max-width:620px;margin:auto}
                a.do{display:inline-block;padding:14px 20px;background:#1f5a50;color:#fff;border-radius:4px;text-decoration:none}
                code{overflow-wrap:anywhere;font-size:15px}</style></head><body><main>
                <h1>Trust this house</h1>
                <p>Elvaro runs on a machine of this house and has made its certificate itself. A device that trusts it opens Elvaro
                without a warning, can use its camera, and shows messages. Do this once on each device.</p>
                <p><a class="do" href="/trust/house.crt">1. Load the certificate</a></p>
                <p>2. Compare its fingerprint with the one in Elvaro, Settings, on the machine it runs on. If they differ, somebody
                stands between: stop here.</p><p><code>SHA-256 %s</code></p>
                <p>3. Open what was loaded and allow it as a certificate authority: on most phones in the settings, under security,
                certificates; some ask afterwards, under about, certificate trust, whether to trust it in full.</p>
                </main></body></html>""".formatted(print(certificate()));
    }
}
