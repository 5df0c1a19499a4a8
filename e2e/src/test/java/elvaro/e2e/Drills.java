package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.server.support.Client;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLHandshakeException;
import javax.net.ssl.SSLParameters;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What happens on some night, lived through now: too long for every test run, by {@code ./elvaro bench drills}. */
class Drills {
    @TempDir
    Path folder;

    private final int httpPort = House.freePort();
    private final int dbPort = House.freePort();

    private Process launcher(Map<String, String> environment, String... words) throws IOException {
        ProcessBuilder process = Launcher.on(folder.resolve("house"), httpPort, dbPort, words)
                .redirectOutput(folder.resolve("said").toFile());
        process.environment().putAll(environment);
        return process.start();
    }

    private static void within(Duration longest, String what, BooleanSupplier happened) {
        Instant deadline = Instant.now().plus(longest);
        while (!happened.getAsBoolean()) {
            assertThat(Instant.now()).as(what).isBefore(deadline);
            House.pause(200);
        }
    }

    private boolean ready() {
        return House.answers("http://127.0.0.1:" + httpPort + "/actuator/health/readiness");
    }

    private String read(String name) {
        try {
            Path file = folder.resolve("house").resolve(name);
            return Files.exists(file) ? Files.readString(file) : "";
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** @return the launcher, whose house was opened shortly before its quiet time */
    private Process opened() throws Exception {
        String night = LocalTime.now().format(DateTimeFormatter.ofPattern("HH:mm"));
        Process launcher = launcher(Map.of("ELVARO_NIGHT", night), "start", "--empty");
        within(Duration.ofSeconds(120), "it starts", this::ready);
        return launcher;
    }

    @Test
    void a_backup_is_written_by_itself_and_restored_beside_the_house() throws Exception {
        Path copies = Files.createDirectory(folder.resolve("stick"));
        assertThat(launcher(Map.of(), "backups", folder.resolve("first").toString(), copies.toString())
                        .waitFor())
                .isZero();
        Process launcher = opened();
        try {
            within(
                    Duration.ofSeconds(180),
                    "it is restored and looked at",
                    () -> !read("backup.checked").isEmpty());
            assertThat(read("backup.checked")).startsWith("whole").contains("Checked: ");
            assertThat(read("backup.last")).startsWith("made").contains("first/night-");
            assertThat(copies).isDirectoryContaining("glob:**/night-*.backup");
            assertThat(folder.resolve("house/tmp")).isDirectoryNotContaining("glob:**drill-*");
        } finally {
            launcher.destroy();
            launcher.waitFor();
        }
    }

    @Test
    void a_backup_that_fails_is_an_alarm_to_the_owner() throws Exception {
        Path full = folder.resolve("full");
        Files.createDirectories(folder.resolve("house"));
        Files.writeString(folder.resolve("house/backup.to"), full.resolve("nowhere") + "\n");
        Files.writeString(full, "a file where the folder should be");
        Process launcher = opened();
        try {
            within(
                    Duration.ofSeconds(90),
                    "it is written down",
                    () -> read("backup.last").startsWith("failed"));
            Client owner = new Client(httpPort);
            owner.must(owner.setUp(House.codeIn(folder.resolve("house/log/app.log")), House.OWNER, House.PASSWORD));
            owner.must(owner.signIn(House.OWNER, House.PASSWORD));
            within(
                    Duration.ofSeconds(60),
                    "it is an alarm",
                    () -> owner.get("/api/alarms").body().toString().contains("a backup failed"));
            assertThat(owner.get("/api/backups").body().at("/last/made").asBoolean())
                    .isFalse();
        } finally {
            launcher.destroy();
            launcher.waitFor();
        }
    }

    @Test
    void a_machine_that_dies_while_the_demo_is_loaded_has_all_of_it_afterwards() throws Exception {
        Process launcher = launcher(Map.of(), "start");
        try {
            Client anybody = new Client(httpPort);
            within(Duration.ofSeconds(120), "the workshop is made", () -> {
                try {
                    return !anybody.get("/api/session")
                            .body()
                            .path("setupNeeded")
                            .asBoolean(true);
                } catch (RuntimeException notYet) {
                    return false;
                }
            });
            long app = Long.parseLong(read("run/app.pid").strip());
            ProcessHandle.of(app).orElseThrow().destroyForcibly();
            launcher.waitFor(); // a start that fails ends; somebody starts it again
            launcher = launcher(Map.of(), "start");
            within(Duration.ofSeconds(120), "it starts again", this::ready);
            Client maren = new Client(httpPort);
            maren.must(maren.signIn(House.OWNER, read("secret/demo-password")));
            assertThat(maren.get("/api/chambers").body()).hasSize(5);
        } finally {
            launcher.destroy();
            launcher.waitFor();
        }
    }

    /** Loaded into a house's database as if an older Elvaro had run there until now. */
    @ParameterizedTest
    @ValueSource(ints = {3, 19, 44})
    void data_of_an_older_version_are_written_down_and_taken_over_at_the_start(int step) throws Exception {
        Path backup = OlderData.backup(step, folder);
        assertThat(launcher(Map.of(), "restore", backup.toString(), "--unsigned")
                        .waitFor())
                .as(read("../said"))
                .isZero();
        replaceDataBy(step);
        Process launcher = launcher(Map.of(), "start");
        try {
            within(Duration.ofSeconds(180), "it starts", this::ready);
            assertThat(read("../said")).contains("The data are of an older Elvaro (step " + step + " of ");
            assertThat(folder.resolve("house/backup")).isDirectoryContaining("glob:**/before-step-*.backup");
            Client anybody = new Client(httpPort);
            assertThat(anybody.get("/api/session").body().path("setupNeeded").asBoolean())
                    .isFalse();
        } finally {
            launcher.destroy();
            launcher.waitFor();
        }
    }

    /** By hand, while nothing of Elvaro runs. */
    private void replaceDataBy(int step) throws Exception {
        String house = folder.resolve("house").toString();
        String by =
                "set -e; PATH=$PATH:/usr/sbin; cd %1$s; mariadbd --no-defaults $([ $(id -u) != 0 ] || echo --user=root) --datadir=%1$s/db"
                        + " --socket=%1$s/s --pid-file=%1$s/p --skip-networking & until mariadb-admin --no-defaults --socket=%1$s/s ping;"
                        + " do sleep 0.2; done; C=\"mariadb --no-defaults --socket=%1$s/s\"; $C -e 'drop database elvaro; create database elvaro';"
                        + " gzip -dc %1$s/../data.sql.gz | $C elvaro; kill $(cat %1$s/p); wait";
        Process client = new ProcessBuilder("bash", "-c", by.formatted(house))
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("by-hand").toFile())
                .start();
        assertThat(client.waitFor()).isZero();
    }

    @Test
    void a_log_that_grew_long_is_put_aside_while_the_house_goes_on() throws Exception {
        Process launcher = launcher(Map.of("ELVARO_LOG_BYTES", "40"), "start", "--empty");
        try {
            within(Duration.ofSeconds(120), "it starts", this::ready);
            within(
                    Duration.ofSeconds(60),
                    "it is put aside",
                    () -> read("log/app.log.1").contains("One-time code"));
            assertThat(read("log/app.log")).doesNotContain("One-time code");
            assertThat(ready()).isTrue();
        } finally {
            launcher.destroy();
            launcher.waitFor();
        }
    }

    /** What is checked of transport: OWASP ASVS 4.0.3, chapter 9 and 3.4, from memory. */
    @Test
    void a_house_in_a_network_is_encrypted_and_leads_people_over() throws Exception {
        int tlsPort = House.freePort();
        Process launcher = launcher(Map.of(), "start", "--empty", "--tls", "--tls-port", String.valueOf(tlsPort));
        try {
            within(Duration.ofSeconds(120), "it starts", this::ready);
            String plain = "http://127.0.0.1:" + httpPort;
            String encrypted = "https://127.0.0.1:" + tlsPort;
            X509Certificate authority;
            try (var in = Files.newInputStream(folder.resolve("house/secret/tls/authority.pem"))) {
                authority = (X509Certificate)
                        CertificateFactory.getInstance("X.509").generateCertificate(in);
            }
            HttpClient phone =
                    HttpClient.newBuilder().sslContext(trusting(authority)).build();
            HttpResponse<String> session = get(phone, encrypted + "/api/session");
            assertThat(session.statusCode()).isEqualTo(200);
            assertThat(session.headers().firstValue("Strict-Transport-Security"))
                    .isPresent();
            assertThat(session.headers().allValues("Set-Cookie"))
                    .isNotEmpty()
                    .allMatch(each -> each.contains("Secure"));
            assertThatThrownBy(() -> get(HttpClient.newHttpClient(), encrypted + "/api/session"))
                    .as("who does not trust the house is not let go on")
                    .isInstanceOf(SSLHandshakeException.class);
            SSLParameters old = new SSLParameters();
            old.setProtocols(new String[] {"TLSv1.1"});
            HttpClient aged = HttpClient.newBuilder()
                    .sslContext(trusting(authority))
                    .sslParameters(old)
                    .build();
            assertThatThrownBy(() -> get(aged, encrypted + "/api/session")).isInstanceOf(IOException.class);

            HttpClient anybody = HttpClient.newHttpClient();
            HttpResponse<String> led = get(anybody, plain + "/pieces/1?x=2");
            assertThat(led.statusCode()).isEqualTo(308);
            assertThat(led.headers().firstValue("Location")).hasValue(encrypted + "/pieces/1?x=2");
            assertThat(post(anybody, plain + "/api/sign-in")).contains("not-encrypted");
            assertThat(post(anybody, plain + "/devices/readings"))
                    .as("a probe trusts no certificate")
                    .contains("unknown-device");
            String print = HexFormat.ofDelimiter(":")
                    .withUpperCase()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(authority.getEncoded()));
            assertThat(get(anybody, plain + "/trust").body()).contains(print);
            assertThat(get(anybody, plain + "/trust/house.crt").statusCode()).isEqualTo(200);
        } finally {
            launcher.destroy();
            launcher.waitFor();
        }
    }

    /** The example of the documentation, with ports and a certificate of this drill. */
    @Test
    void a_house_behind_a_proxy_knows_who_asks_and_believes_nobody_else() throws Exception {
        int plainPort = House.freePort();
        int tlsPort = House.freePort();
        Path pem = folder.resolve("proxy.pem");
        String certificate =
                "openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 2 -subj /CN=localhost"
                        + " -addext subjectAltName=DNS:localhost,IP:127.0.0.1 -keyout %1$s/key -out %1$s/crt && cat %1$s/crt %1$s/key >%2$s";
        assertThat(new ProcessBuilder("bash", "-c", certificate.formatted(folder, pem))
                        .start()
                        .waitFor())
                .isZero();
        String example = Files.readString(Path.of("../docs/proxy/haproxy.cfg"))
                .replace(":<80>", ":" + plainPort)
                .replace(":<443>", ":" + tlsPort)
                .replace("<443>", String.valueOf(tlsPort))
                .replace("</etc/haproxy/elvaro.pem>", pem.toString())
                .replace("<8306>", String.valueOf(httpPort));
        assertThat(example).doesNotContainPattern("<[0-9/]");
        Path configuration = Files.writeString(folder.resolve("haproxy.cfg"), example);
        Process launcher = launcher(
                Map.of("ELVARO_TRUSTED_PROXIES", "127\\.0\\.0\\.1", "ELVARO_ADDRESS", "https://localhost:" + tlsPort),
                "start",
                "--empty");
        Process proxy = new ProcessBuilder("haproxy", "-db", "-f", configuration.toString())
                .inheritIO()
                .start();
        try {
            within(Duration.ofSeconds(120), "it starts", this::ready);
            X509Certificate known;
            try (var in = Files.newInputStream(folder.resolve("crt"))) {
                known = (X509Certificate)
                        CertificateFactory.getInstance("X.509").generateCertificate(in);
            }
            HttpClient phone =
                    HttpClient.newBuilder().sslContext(trusting(known)).build();
            String encrypted = "https://localhost:" + tlsPort;
            within(Duration.ofSeconds(20), "the proxy sees it", () -> {
                try {
                    return get(phone, encrypted + "/api/session").statusCode() == 200;
                } catch (Exception notYet) {
                    return false;
                }
            });
            HttpResponse<String> session = get(phone, encrypted + "/api/session");
            assertThat(session.headers().allValues("Set-Cookie"))
                    .isNotEmpty()
                    .allMatch(each -> each.contains("Secure"));
            assertThat(session.headers().firstValue("Strict-Transport-Security"))
                    .isPresent();
            HttpResponse<String> led = get(HttpClient.newHttpClient(), "http://localhost:" + plainPort + "/room");
            assertThat(led.statusCode()).isEqualTo(308);
            assertThat(led.headers().firstValue("Location").orElse("")).startsWith("https://localhost");
            // Guesses from ever another address, as the guesser says, are those of one.
            String cookie = session.headers().allValues("Set-Cookie").stream()
                    .filter(each -> each.startsWith("XSRF-TOKEN="))
                    .findFirst()
                    .orElseThrow()
                    .split(";")[0];
            List<Integer> answers = new ArrayList<>();
            for (int guess = 0; guess < 70; guess++) {
                HttpRequest request = HttpRequest.newBuilder(URI.create(encrypted + "/api/sign-in"))
                        .header("X-Forwarded-For", "10.1.2." + guess)
                        .header("Cookie", cookie)
                        .header("X-XSRF-TOKEN", cookie.split("=")[1])
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString("username=guest" + guess + "@brackenrow.example&password=guess"))
                        .build();
                answers.add(phone.send(request, BodyHandlers.ofString()).statusCode());
            }
            assertThat(answers).contains(429);
        } finally {
            proxy.destroy();
            launcher.destroy();
            launcher.waitFor();
            proxy.waitFor();
        }
    }

    /** Its user may come encrypted only; whoever shows a certificate of another is not given the password. */
    @Test
    void an_existing_database_is_reached_encrypted_and_known_by_its_certificate() throws Exception {
        try (OtherDatabase database = OtherDatabase.encrypted(folder)) {
            Process launcher = launcher(database.words("authority"), "start", "--empty");
            try {
                within(Duration.ofSeconds(180), "it starts", this::ready);
                String backup = folder.resolve("over-the-network.backup").toString();
                Process written = launcher(database.words("authority"), "backup", backup);
                assertThat(written.waitFor()).as(read("../said")).isZero();
            } finally {
                launcher.destroy();
                launcher.waitFor();
            }
            Process deceived = launcher(database.words("stranger"), "start", "--empty");
            assertThat(deceived.waitFor()).isNotZero();
            assertThat(read("../said")).contains("does not let elvaro into").contains("certificate");
            Process open = launcher(database.words(""), "start", "--empty");
            assertThat(open.waitFor()).as("unencrypted").isNotZero();
            assertThat(read("../said")).contains("does not let elvaro into");
        }
    }

    private static SSLContext trusting(X509Certificate authority) throws Exception {
        KeyStore known = KeyStore.getInstance(KeyStore.getDefaultType());
        known.load(null, null);
        known.setCertificateEntry("house", authority);
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(known);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return context;
    }

    private static HttpResponse<String> get(HttpClient client, String address) throws Exception {
        return client.send(HttpRequest.newBuilder(URI.create(address)).build(), BodyHandlers.ofString());
    }

    private static String post(HttpClient client, String address) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address))
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString("[]"))
                .build();
        return client.send(request, BodyHandlers.ofString()).body();
    }
}
