package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.devices.bridge.Bridge;
import elvaro.server.support.Client;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What others made: boxes with labels, scales at cables, probes on a broker, programs with tokens. */
class ConnectIT {
    /** A scale at the browser's cable, which writes a line five times a second. */
    private static final String CABLE = """
            Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => ({
              open: async () => {}, close: async () => {},
              readable: new ReadableStream({ start(out) {
                setInterval(() => out.enqueue(new TextEncoder().encode('ST,GS,+  3.915kg\\r\\n')), 200);
              } }),
            }) } });
            """;

    @TempDir
    private Path folder;

    private final House house = House.shop();
    private final Client client = house.client();

    @BeforeEach
    void signIn() {
        client.must(client.signIn(House.OWNER, House.PASSWORD));
    }

    /** As a scanner that types: each key at once, the separator as Control and ]. */
    private static void scans(Page page, String code) {
        page.evaluate("""
                code => {
                  for (const sign of [...code, '\\r']) {
                    const key = sign === '\\r' ? 'Enter' : sign === '\\u001d' ? ']' : sign;
                    (document.activeElement ?? document.body).dispatchEvent(new KeyboardEvent('keydown', {
                      key, ctrlKey: sign === '\\u001d', bubbles: true, cancelable: true }));
                  }
                }""", code);
    }

    @Test
    void boxes_are_scanned_at_receive_and_their_article_is_known_the_next_time() throws Exception {
        String number = String.valueOf(System.nanoTime() % 1_000_000);
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            maren.go("Receive");
            scans(maren.page, "]C101906141411234553102001250" + "13261115" + "10L7\u001d21" + number);
            maren.reads("1 box, 12.500 kg");
            CameraAtHand.showBox("01906141411234553102001180" + "10L8\u001d21" + number + "B");
            maren.press("Scan a box");
            maren.reads("2 boxes, 24.300 kg");
            maren.fill("Label of a box", "(01)90614141123454(3102)001250");
            maren.page.keyboard().press("Enter");
            maren.reads("The check digit of (01), the article, is wrong.");
            assertThat(maren.page
                            .getByLabel("Weight", new Page.GetByLabelOptions().setExact(false))
                            .first())
                    .hasValue("24.300");
            assertThat(maren.page.getByLabel("Seller's lot or game tag")).hasValue("L7, L8");
            maren.chooseCut("ribeye", "Ribeye");
            maren.press("Take it in");
            maren.sees("Lot");
            maren.go("Receive");
            scans(maren.page, "]C101906141411234553102000990" + "10L9\u001d21" + number + "C");
            maren.reads("1 box, 9.900 kg");
            assertThat(maren.page
                            .getByLabel("Cut", new Page.GetByLabelOptions().setExact(false))
                            .first())
                    .hasValue(Pattern.compile(".*[Rr]ib.*"));
        }
    }

    @Test
    void a_scale_at_the_browsers_own_cable_weighs() {
        client.deviceToken(UUID.randomUUID().toString(), null);
        String piece = client.hangAgo(1, client.chamber("Cabinet " + UUID.randomUUID(), 90_000), 28, 4000)
                .get(0);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.page.addInitScript(CABLE);
            maren.page.navigate(house.address + "/weigh?piece=" + piece);
            maren.press("Scale at this device");
            maren.page
                    .getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("9600 baud"))
                    .click();
            maren.reads("Steady: Enter keeps it");
            maren.page.keyboard().press("Enter");
            assertThat(maren.page.getByText("3.915 kg").first()).isVisible();
        } finally {
            client.get("/api/devices")
                    .body()
                    .forEach(device -> client.put(
                            "/api/devices/%s/revoke".formatted(device.path("id").asString()),
                            Map.of("version", device.path("version").asInt())));
        }
    }

    @Test
    void a_probe_on_a_broker_reaches_its_chamber_by_the_bridge() throws Exception {
        String chamber =
                client.chamber("Bridge room " + UUID.randomUUID().toString().substring(0, 8), 90_000);
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        int port;
        try (ServerSocket any = new ServerSocket(0)) {
            port = any.getLocalPort();
        }
        Process broker = new ProcessBuilder("/usr/sbin/mosquitto", "-p", String.valueOf(port))
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("broker.log").toFile())
                .start();
        Path file = Files.writeString(
                folder.resolve("bridge.yaml"), """
                elvaro: %s
                queue: %s
                broker: { address: "mqtt://127.0.0.1:%d" }
                probes: [ { name: Room, token: %s, topic: room, temperature: /t, humidity: /rh } ]
                """.formatted(house.address, folder.resolve("queue"), port, token));
        try (Bridge bridge = Bridge.start(file)) {
            Instant end = Instant.now().plus(Duration.ofSeconds(40));
            while (!client.get("/api/chambers/%s/air?from=%s&to=%s"
                            .formatted(
                                    chamber,
                                    Instant.now().minusSeconds(600),
                                    Instant.now().plusSeconds(60)))
                    .body()
                    .has("latest")) {
                assertThat(Instant.now()).isBefore(end);
                new ProcessBuilder(
                                "mosquitto_pub",
                                "-p",
                                String.valueOf(port),
                                "-t",
                                "room",
                                "-m",
                                "{\"t\":2.1,\"rh\":\"81 %\"}")
                        .start()
                        .waitFor();
                Thread.sleep(300);
            }
        } finally {
            broker.destroy();
            broker.waitFor();
        }
    }

    @Test
    void a_program_gets_a_token_that_is_shown_once_and_can_be_taken_away() throws IOException, InterruptedException {
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.go("Settings");
            maren.fill("Name of the program", "Window screen");
            maren.press("Make a token");
            maren.reads("it is not shown again");
            String token = maren.page.getByText(Pattern.compile("^elvaro_")).innerText();
            HttpRequest asks = HttpRequest.newBuilder(URI.create(house.address + "/api/v1/pieces"))
                    .header("Authorization", "Bearer " + token)
                    .build();
            HttpClient http = HttpClient.newHttpClient();
            assertThat(http.send(asks, BodyHandlers.ofString()).statusCode()).isEqualTo(200);
            maren.press("Remove access of Window screen");
            maren.press("Yes, remove access");
            assertThat(maren.page.getByText("Window screen", new Page.GetByTextOptions().setExact(true)))
                    .hasCount(0);
            assertThat(http.send(asks, BodyHandlers.ofString()).statusCode()).isEqualTo(401);
        }
    }
}
