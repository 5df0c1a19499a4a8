package elvaro.bench;

import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;

/** What is seen from outside of an application that was started. */
final class Launched {
    private Launched() {}

    static boolean isReady(String address, int port) {
        try {
            HttpURLConnection connection =
                    (HttpURLConnection) URI.create("http://%s:%d/actuator/health/readiness".formatted(address, port))
                            .toURL()
                            .openConnection();
            connection.setConnectTimeout(1_000);
            connection.setReadTimeout(5_000);
            return connection.getResponseCode() == 200;
        } catch (IOException notYet) {
            return false;
        }
    }

    /** @return the code for the first visit that was printed last */
    static String code(Path log) throws IOException {
        return Files.readAllLines(log).stream()
                .filter(line -> line.startsWith("One-time code"))
                .reduce((first, last) -> last)
                .orElseThrow()
                .replaceAll(".*: ", "");
    }

    static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }
}
