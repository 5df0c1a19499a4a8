package elvaro.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** A database of somebody else's, on a machine and port of its own, which lets its user in encrypted only. */
final class OtherDatabase implements AutoCloseable {
    private static final String PASSWORD = "tallow and bone";

    /** Two authorities, of which one signs the database's certificate. */
    private static final String CERTIFICATES = """
            set -e; cd %s
            for who in authority stranger; do
                openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 2 -subj /CN=$who -keyout $who.key -out $who.pem
            done
            openssl req -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -subj /CN=127.0.0.1 -keyout server.key -out server.csr
            echo subjectAltName=IP:127.0.0.1 >names
            openssl x509 -req -in server.csr -CA authority.pem -CAkey authority.key -CAcreateserial -days 2 -extfile names -out server.pem
            """;

    private static final String START = """
            set -e; PATH=$PATH:/usr/sbin; cd %1$s; root=$([ $(id -u) != 0 ] || echo --user=root)
            mariadb-install-db --no-defaults $root --datadir=%1$s/other --auth-root-authentication-method=socket --skip-test-db
            printf '%%s;\\n' 'create database elvaro' "create user elvaro@'%%' identified by '%3$s' require ssl" \\
                "grant all on elvaro.* to elvaro@'%%'" "drop user if exists ''@'localhost'" >first.sql
            exec mariadbd --no-defaults $root --datadir=%1$s/other --socket=%1$s/o --pid-file=%1$s/op --bind-address=127.0.0.1 --port=%2$d \\
                --character-set-server=utf8mb4 --default-time-zone=+00:00 --init-file=%1$s/first.sql \\
                --ssl-ca=%1$s/authority.pem --ssl-cert=%1$s/server.pem --ssl-key=%1$s/server.key
            """;

    private final Process server;
    private final Path folder;
    private final int port;

    private OtherDatabase(Process server, Path folder, int port) {
        this.server = server;
        this.folder = folder;
        this.port = port;
    }

    /** @param folder of the test, short enough for a socket's path */
    static OtherDatabase encrypted(Path folder) throws IOException, InterruptedException {
        int port = House.freePort();
        if (said(CERTIFICATES.formatted(folder), folder.resolve("certificates")).waitFor() != 0) {
            throw new IllegalStateException(Files.readString(folder.resolve("certificates")));
        }
        Process server = said(START.formatted(folder, port, PASSWORD), folder.resolve("other-said"));
        for (int tries = 0; !Files.exists(folder.resolve("op")); tries++) {
            if (!server.isAlive() || tries > 300) {
                throw new IllegalStateException(Files.readString(folder.resolve("other-said")));
            }
            House.pause(200);
        }
        return new OtherDatabase(server, folder, port);
    }

    private static Process said(String words, Path into) throws IOException {
        return new ProcessBuilder("bash", "-c", words)
                .redirectErrorStream(true)
                .redirectOutput(into.toFile())
                .start();
    }

    /** @param authority whose signature its certificate must bear; empty for a connection that is not encrypted */
    Map<String, String> words(String authority) {
        String how = authority.isEmpty()
                ? "?sslMode=disable"
                : "?sslMode=verify-full&serverSslCert=" + folder.resolve(authority + ".pem");
        return Map.of(
                "ELVARO_DB_URL",
                "jdbc:mariadb://127.0.0.1:%d/elvaro%s".formatted(port, how),
                "ELVARO_DB_USER",
                "elvaro",
                "ELVARO_DB_PASSWORD",
                PASSWORD);
    }

    @Override
    public void close() throws InterruptedException {
        server.destroy();
        if (!server.waitFor(60, TimeUnit.SECONDS)) {
            server.destroyForcibly();
        }
    }
}
