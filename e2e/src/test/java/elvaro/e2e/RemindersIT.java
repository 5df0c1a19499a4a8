package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.devices.Inbox;
import elvaro.devices.ReceivedMessages.Received;
import elvaro.server.support.Client;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Told without asking: an owner says how, meat gets warm, and somebody sees to it on a phone. */
class RemindersIT {
    @TempDir
    Path folder;

    private final House house = House.shop();
    private final Client client = house.client();
    private Inbox inbox;

    @BeforeEach
    void open_the_mailboxes() throws Exception {
        inbox = new Inbox(0, 0, folder.resolve("phones"), "maren");
        inbox.start();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
    }

    /** Nothing shall be sent to mailboxes that are shut. */
    @AfterEach
    void shut_the_mailboxes() {
        Map<String, Object> told = fields("/api/notices/house");
        told.put("mailHost", "");
        client.must(client.put("/api/notices/house", told));
        client.get("/api/me/notices")
                .body()
                .path("phones")
                .forEach(phone -> client.send(
                        "DELETE", "/api/me/phones/" + phone.path("id").asString(), null));
        inbox.close();
    }

    private Map<String, Object> fields(String path) {
        @SuppressWarnings("unchecked")
        Map<String, Object> fields = tools.jackson.databind.json.JsonMapper.shared()
                .convertValue(client.must(client.get(path)).body(), java.util.HashMap.class);
        return fields;
    }

    private Received comes(String title) {
        AtomicReference<Received> found = new AtomicReference<>();
        for (int waited = 0; waited < 150 && found.get() == null; waited++) {
            inbox.received().all().stream()
                    .filter(each -> each.title().contains(title))
                    .findFirst()
                    .ifPresent(found::set);
            House.pause(200);
        }
        assertThat(found.get()).as(title + " among " + inbox.received().all()).isNotNull();
        return found.get();
    }

    @Test
    void an_owner_sets_the_mail_server_and_a_test_says_how_far_it_got() {
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.go("Settings");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("How people are told"))
                    .click();
            maren.sees("Reminders and alarms");
            maren.field("Server").fill("127.0.0.1");
            maren.press("Save mail server");
            maren.reads("Say from which address the mail comes.");
            maren.field("Port").fill(String.valueOf(inbox.mailPort()));
            maren.choose("Encrypted", "not; within the house only");
            maren.field("From the address").fill("elvaro@brackenrow.example");
            maren.press("Save mail server");
            maren.press("Send me a test by mail");
            assertThat(comes("A test from Elvaro").to()).isEqualTo(House.OWNER);
            maren.reads("E-mail: with the mail server");
            assertThat(maren.complaints).isEmpty();
        }
    }

    /** A browser's push service is not there, nor lets itself be asked: the simulated phone stands for it. */
    @Test
    void warm_air_rings_on_a_phone_and_whoever_sees_to_it_says_so_with_a_touch() {
        String[] phone = inbox.reachedBy().getProperty("maren").split(" ");
        String chamber =
                client.chamber("North Room " + UUID.randomUUID().toString().substring(0, 4), 90_000);
        List<String> hung = client.hangToday(chamber, 28, 6000);
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        try (Visitor maren = Visitor.withPhoneOfTheHouse(house)) {
            maren.page.addInitScript("""
                    Object.defineProperty(Notification, 'permission', { get: () => 'granted' });
                    Notification.requestPermission = async () => 'granted';
                    PushManager.prototype.getSubscription = async () => window.connected ?? null;
                    PushManager.prototype.subscribe = async options => window.connected = {
                        endpoint: '%s',
                        options: { applicationServerKey: options.applicationServerKey },
                        getKey: name => Uint8Array.from(
                            atob((name === 'p256dh' ? '%s' : '%s').replaceAll('-', '+').replaceAll('_', '/')),
                            letter => letter.charCodeAt(0)).buffer,
                    };""".formatted(phone[0], phone[1], phone[2]));
            maren.signedIn();
            maren.opens("/reminders");
            maren.press("Show messages on this device");
            maren.reads(", this one");
            maren.press("Send my phones a test");
            assertThat(comes("A test from Elvaro").way()).isEqualTo("phone");
            maren.reads(": taken");

            Instant now = Instant.now();
            StringBuilder pack = new StringBuilder("[");
            for (int minute = 40; minute >= 0; minute -= 5) {
                pack.append(pack.length() > 1 ? "," : "")
                        .append("{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":9.2}"
                                .formatted(now.minus(Duration.ofMinutes(minute)).getEpochSecond()));
            }
            client.must(client.pack(token, pack.append("]").toString()));
            Received alarm = comes("above 5.0 °C");
            assertThat(alarm.loud()).isTrue();
            assertThat(Duration.between(now, Instant.now()))
                    .as("from the reading to the phone")
                    .isLessThan(Duration.ofSeconds(30));

            String id = client.get("/api/alarms").body().at("/alarms/0/id").asString();
            String key = "alarm-%s-1.%s"
                    .formatted(
                            id, client.get("/api/session").body().at("/me/id").asString());
            // What the service worker says once the phone has shown it (sw.test.tsx).
            client.must(client.post("/api/me/notices/shown", Map.of("key", key)));
            maren.opens("/alarms/" + id);
            maren.reads("One piece hangs there");
            maren.page.getByText(Pattern.compile(": shown ")).first().waitFor();
            maren.press("I see to it");
            maren.reads("sees to it, since");
            assertThat(maren.complaints).isEmpty();
        } finally {
            // Cold again, and empty, so that no test after this one finds it.
            client.pack(token, "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2}]");
            hung.forEach(piece -> client.put(
                    "/api/pieces/%s/discard/%s".formatted(piece, UUID.randomUUID()),
                    Map.of("grams", 6000, "words", "End of the test.", "answers", Map.of("surprising", ""))));
        }
    }
}
