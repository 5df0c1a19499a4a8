package elvaro.e2e;

import elvaro.devices.Scale;
import elvaro.server.support.Client;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.UUID;

/** The simulated scale beside a person: things are laid on it and lifted off. Gone, it is no longer known to the house. */
final class ScaleAtHand implements AutoCloseable {
    private static final String DIVISION_GRAMS = "5";
    private static final String EVERY_MILLIS = "60";

    private final Client client;
    private final Path laid;
    private final Thread scale;

    /** @param client signed in as somebody who may add devices */
    ScaleAtHand(House house, Client client, Path folder) throws IOException {
        this.client = client;
        laid = folder.resolve("laid");
        String token = client.deviceToken(UUID.randomUUID().toString(), null);
        lay(0);
        scale = new Thread(() -> {
            try {
                Scale.main(new String[] {house.address, token, laid.toString(), DIVISION_GRAMS, EVERY_MILLIS});
            } catch (InterruptedException done) {
                Thread.currentThread().interrupt();
            }
        });
        scale.start();
    }

    /** Takes off what lies there and lays this on; 0 lays nothing. */
    void lay(int grams) throws IOException {
        Files.writeString(laid, String.valueOf(grams / 1000.0));
    }

    @Override
    public void close() throws InterruptedException {
        scale.interrupt();
        scale.join();
        client.get("/api/devices")
                .body()
                .forEach(device -> client.put(
                        "/api/devices/%s/revoke".formatted(device.path("id").asString()),
                        Map.of("version", device.path("version").asInt())));
    }
}
