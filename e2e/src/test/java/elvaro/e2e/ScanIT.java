package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A hang tag before the camera of a phone. */
class ScanIT {
    private final House house = House.shop();

    @Test
    void a_hang_tag_opens_its_piece_and_on_the_scale_picks_it() throws Exception {
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        String piece = client.hangToday(client.chamber("Cabinet " + UUID.randomUUID(), 90_000), 28, 4000)
                .get(0);
        String tag = client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
        CameraAtHand.show("http://192.168.1.20:8306/pieces/" + piece);
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            maren.press("Scan");
            maren.sees(tag);
            maren.go("Weigh");
            maren.press("Scan");
            assertThat(maren.page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Weighing " + tag)))
                    .isVisible();
        }
    }

    @Test
    void a_code_of_something_else_is_said_to_be_none_of_ours() throws Exception {
        CameraAtHand.show("4006381333931");
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            maren.press("Scan");
            maren.reads("That code is none of Elvaro’s.");
            maren.press("Close");
        }
    }
}
