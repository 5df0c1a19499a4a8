package elvaro.devices.bridge;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpsConfigurator;
import com.sun.net.httpserver.HttpsServer;
import elvaro.devices.bridge.Elvaro.Outcome;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.util.List;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A house that made its certificate by itself. */
class ElvaroTest {
    @TempDir
    Path folder;

    private void run(String... command) throws Exception {
        assertThat(new ProcessBuilder(command)
                        .directory(folder.toFile())
                        .start()
                        .waitFor())
                .isZero();
    }

    @Test
    void an_encrypted_house_is_trusted_by_its_own_authority_and_not_without() throws Exception {
        run(
                "openssl",
                "req",
                "-x509",
                "-newkey",
                "ec",
                "-pkeyopt",
                "ec_paramgen_curve:P-256",
                "-nodes",
                "-days",
                "2",
                "-subj",
                "/CN=127.0.0.1",
                "-addext",
                "subjectAltName=IP:127.0.0.1",
                "-keyout",
                "house.key",
                "-out",
                "house.crt");
        run(
                "openssl",
                "pkcs12",
                "-export",
                "-inkey",
                "house.key",
                "-in",
                "house.crt",
                "-out",
                "house.p12",
                "-passout",
                "pass:quiet");
        KeyStore keys = KeyStore.getInstance("PKCS12");
        try (InputStream file = Files.newInputStream(folder.resolve("house.p12"))) {
            keys.load(file, "quiet".toCharArray());
        }
        KeyManagerFactory factory = KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
        factory.init(keys, "quiet".toCharArray());
        SSLContext encryption = SSLContext.getInstance("TLS");
        encryption.init(factory.getKeyManagers(), null, null);
        HttpsServer house = HttpsServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        house.setHttpsConfigurator(new HttpsConfigurator(encryption));
        house.createContext("/", exchange -> {
            exchange.getRequestBody().readAllBytes();
            exchange.sendResponseHeaders(200, -1);
            exchange.close();
        });
        house.start();
        try {
            URI address = URI.create("https://127.0.0.1:" + house.getAddress().getPort());
            assertThat(new Elvaro(address, folder.resolve("house.crt")).handIn("North", "token", List.of("{}")))
                    .isEqualTo(Outcome.TAKEN);
            assertThat(new Elvaro(address, null).handIn("North", "token", List.of("{}")))
                    .isEqualTo(Outcome.LATER);
        } finally {
            house.stop(0);
        }
    }
}
