package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A cold room that no network reaches: the app opens, is worked with, and sends what was entered. */
class OfflineIT {
    private final House house = House.shop();
    private final Client client = house.client();

    @BeforeEach
    void sign_in() {
        client.must(client.signIn(House.OWNER, House.PASSWORD));
    }

    @Test
    void it_opens_and_reloads_without_a_network_and_no_view_breaks() {
        try (Visitor maren = Visitor.withPhoneOfTheHouse(house).signedIn()) {
            maren.page.waitForFunction(
                    "async () => (await navigator.serviceWorker.ready).active.state === 'activated'");
            maren.page.waitForTimeout(3_000); // who is in is kept on the device
            maren.page.context().setOffline(true);
            maren.page.reload();
            for (String view : List.of("/", "/plan", "/compare", "/weigh", "/look")) {
                maren.visit(view);
                maren.reads("Elvaro does not answer");
                maren.doesNotRead("This view broke");
            }
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
