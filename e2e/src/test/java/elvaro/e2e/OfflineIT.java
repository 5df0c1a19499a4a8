package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import elvaro.server.support.Client;
import elvaro.server.support.Pictures;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A cold room that no network reaches: the app opens, is worked with, and sends what was entered. */
class OfflineIT {
    private final House house = House.shop();
    private final Client client = house.client();

    private final List<String> hung = new ArrayList<>();

    @BeforeEach
    void sign_in() {
        client.must(client.signIn(House.OWNER, House.PASSWORD));
    }

    /** So that none is due in the tests after this one; what was pulled is due nowhere. */
    @AfterEach
    void take_down() {
        hung.forEach(piece -> client.put(
                "/api/pieces/%s/discard/%s".formatted(piece, UUID.randomUUID()),
                Map.of(
                        "grams",
                        3000,
                        "words",
                        "End of the test.",
                        "answers",
                        Map.of("surprising", "", "fell-fast", ""))));
    }

    private static final String KNOWN = """
            async id => {
                const worker = await navigator.serviceWorker.ready;
                const there = await indexedDB.databases();
                if (worker.active.state !== 'activated' || !there.some(({ name }) => name === 'keyval-store')) {
                    return false;
                }
                const open = indexedDB.open('keyval-store');
                const store = await new Promise(done => { open.onsuccess = () => done(open.result); });
                const asked = store.transaction('keyval').objectStore('keyval').get('elvaro known');
                const known = await new Promise(done => { asked.onsuccess = () => done(asked.result); });
                store.close();
                return String(known).includes('["looks","' + id + '"]');
            }""";

    /** The app is on the device, and the piece is known to it: a promise is always true to what waits in the page, so it is asked anew. */
    private static void isOnTheDevice(Visitor maren, String piece) {
        for (int asked = 0; asked < 120 && !(Boolean) maren.page.evaluate(KNOWN, piece); asked++) {
            maren.page.waitForTimeout(500);
        }
        assertThat(maren.page.evaluate(KNOWN, piece)).isEqualTo(true);
    }

    @Test
    void it_opens_without_a_network_every_view_loads_and_what_is_entered_is_sent_later() {
        List<String> pieces =
                client.hangAgo(9, client.chamber("Cabinet " + UUID.randomUUID(), 90_000), 9, 4000, 4100, 4200);
        hung.addAll(pieces);
        List<String> tags = pieces.stream()
                .map(piece -> client.get("/api/pieces/" + piece)
                        .body()
                        .at("/card/tag")
                        .asString())
                .toList();
        int expected = client.get("/api/pieces/" + pieces.get(0))
                .body()
                .at("/card/expectedNowGrams")
                .asInt();
        try (Visitor maren = Visitor.withPhoneOfTheHouse(house).signedIn()) {
            pieces.forEach(piece -> isOnTheDevice(maren, piece));
            maren.page.context().setOffline(true);
            maren.page.reload();
            maren.sees("Room");
            maren.reads("Elvaro does not answer.");
            maren.reads("What you see is as of");
            for (String view : List.of("/plan", "/compare", "/stock", "/trials", "/pieces/" + pieces.get(0))) {
                maren.visit(view);
                maren.page.waitForTimeout(1_500); // a person looks at a page before the next
                assertThat(maren.page.getByText("Elvaro does not answer").first())
                        .isVisible();
                maren.doesNotRead("This view broke");
            }

            maren.visit("/weigh?piece=" + pieces.get(0));
            maren.reads("Weight on the scale");
            maren.fill("Weight on the scale", "%.3f".formatted(expected / 1000.0));
            maren.press("Save weight");
            maren.reads(tags.get(0) + ": ");
            maren.reads("1 entry waits on this device");

            maren.visit("/look?piece=" + pieces.get(1));
            for (String seen : List.of("dark red", "leathery", "nutty")) {
                maren.chip(seen);
            }
            maren.field("Picture of the piece")
                    .setInputFiles(new FilePayload("rim.jpg", "image/jpeg", Pictures.picture("jpg", 640, 480)));
            assertThat(maren.button("Leave picture 1 out")).isVisible();
            maren.press("Keep the look");
            maren.reads("What to do about it is said once Elvaro answers");

            maren.visit("/pieces/" + pieces.get(2));
            maren.press("Pull");
            maren.fill("Weight at the pull", "3.7");
            maren.press("Pull it");
            maren.reads("3 entries wait on this device");
            assertThat(maren.overflow()).isZero();

            maren.visit("/settings");
            maren.page.reload();
            maren.reads("3 entries wait on this device");
            maren.page.context().setOffline(false);
            assertThat(maren.page.getByText("wait on this device")).hasCount(0);
            maren.doesNotRead("Elvaro does not answer.");
            assertThat(maren.page.getByRole(
                            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Drop"))))
                    .hasCount(0);
        }
        assertThat(kinds(pieces.get(0))).contains("WEIGHED");
        assertThat(kinds(pieces.get(1))).contains("LOOKED");
        assertThat(client.get("/api/pieces/" + pieces.get(1) + "/looks").body().at("/0/photos"))
                .hasSize(1);
        assertThat(kinds(pieces.get(2))).contains("PULLED");
    }

    private List<String> kinds(String piece) {
        return client.get("/api/pieces/" + piece)
                .body()
                .path("log")
                .valueStream()
                .map((JsonNode entry) -> entry.path("kind").asString())
                .toList();
    }

    @Test
    void a_view_that_is_not_on_the_device_says_so_and_comes_once_there_is_a_network() {
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.sees("Room");
            maren.page.context().setOffline(true);
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Guide"))
                    .click();
            maren.reads("It comes by itself once Elvaro answers.");
            maren.page.context().setOffline(false);
            maren.sees("Guide");
        }
    }

    @Test
    void what_cannot_wait_says_so_at_once_and_stays_as_it_was_typed() {
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.go("Settings");
            maren.press("Add a chamber");
            maren.fill("Name", "Ice House");
            maren.page.context().setOffline(true);
            maren.press("Save chamber");
            maren.reads("Elvaro does not answer. What you typed is kept; try again in a moment.");
            assertThat(
                            maren.page.evaluate(
                                    "[...document.querySelectorAll('input')].filter(({ value }) => value === 'Ice House').length"))
                    .isEqualTo(1);
        }
    }

    @Test
    void a_session_that_ended_is_gone_on_with_on_the_spot() {
        String piece = client.hangAgo(2, client.chamber("Cabinet " + UUID.randomUUID(), 90_000), 9, 4000)
                .get(0);
        hung.add(piece);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.visit("/pieces/" + piece);
            maren.press("Note");
            maren.fill("What you saw or did", "A soft place below");
            maren.page.context().clearCookies();
            maren.press("Save note");
            maren.reads("You were signed out");
            maren.fill("Password", House.PASSWORD);
            maren.press("Sign in");
            maren.doesNotRead("You were signed out");
            assertThat(maren.page.getByText("waits on this device")).hasCount(0);
            maren.reads("A soft place below");
        }
    }
}
