package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import elvaro.server.support.Client;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Looking, acting on it, throwing away, moving; and the record of it all. Pieces of today, so that none is to be weighed. */
class LookingIT {
    private final House house = House.shop();
    private final Client client = house.client();
    private String piece;
    private String tag;

    @BeforeEach
    void hang() {
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        piece = client.hangToday(client.chamber("Cabinet " + UUID.randomUUID(), 90_000), 28, 4000)
                .get(0);
        tag = client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
    }

    @AfterEach
    void take_down() {
        client.put(
                "/api/pieces/%s/discard/%s".formatted(piece, UUID.randomUUID()),
                java.util.Map.of(
                        "grams",
                        3000,
                        "words",
                        "End of the test.",
                        "answers",
                        java.util.Map.of("surprising", "", "fell-fast", "")));
    }

    static byte[] picture() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", bytes);
        return bytes.toByteArray();
    }

    private static void sees(Visitor maren, String colour, String surface, String smell) {
        maren.chip(colour);
        maren.chip(surface);
        maren.chip(smell);
    }

    @Test
    void a_look_on_the_phone_is_acted_on_and_stands_in_the_log_with_its_picture() throws IOException {
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            maren.page.keyboard().press("l");
            maren.sees("Look");
            maren.page.keyboard().type(tag);
            maren.page
                    .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(tag))
                    .waitFor();
            maren.page.keyboard().press("Enter");
            assertThat(maren.button("Say its colour, surface, smell")).isDisabled();
            sees(maren, "bright red", "dry", "clean");
            maren.chip("deep folds or cuts");
            maren.page
                    .getByLabel("Picture of the piece")
                    .setInputFiles(new FilePayload("piece.png", "image/png", picture()));
            assertThat(maren.overflow()).isZero();
            maren.press("Keep the look");
            maren.reads("Deep folds, patches or knife cuts on an exposed side.");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            maren.press("Trimmed");
            maren.reads("Trimmed: in the log.");
            maren.visit("/pieces/" + piece);
            maren.reads("Act.");
            assertThat(maren.page.getByAltText("Picture 1 of this look")).isVisible();
            maren.page.waitForFunction("document.querySelector('img[alt^=Picture]').naturalWidth === 40");
            assertThat(maren.complaints).isEmpty();
        }
    }

    @Test
    void what_must_stop_leads_the_room_until_the_part_is_cut_away_and_the_record_tells_it() {
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.visit("/look?piece=" + piece);
            sees(maren, "grey", "slimy", "sour");
            maren.press("Keep the look");
            maren.reads("nobody tastes to find out");
            maren.go("Room");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("See to it " + tag))
                    .click();
            maren.fill("Weight cut away", "0.3");
            maren.press("Cut away");
            maren.reads("stands in the ledger as discard");
            maren.go("Room");
            assertThat(maren.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("See to it " + tag)))
                    .hasCount(0);
            String there = client.chamber("Locker " + tag, 90_000);
            maren.visit("/pieces/" + piece);
            maren.happened("Moved to another chamber …");
            maren.choose("To", "Locker " + tag);
            maren.press("Move it");
            maren.reads("Locker " + tag + ", ");
            maren.page
                    .getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Record").setExact(true))
                    .click();
            maren.sees("Record of " + tag);
            maren.reads("Stop: grey, slimy, no mould, smells sour.");
            maren.reads("0.300 kg");
            maren.visit("/chambers/%s/record".formatted(there));
            maren.sees("Record of Locker " + tag);
            maren.reads("Moved");
            maren.visit("/day");
            maren.sees("Work of");
            assertThat(maren.complaints).isEmpty();
        }
    }

    @Test
    void what_is_bad_through_and_through_is_thrown_away_whole() {
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.visit("/look?piece=" + piece);
            sees(maren, "green sheen", "slimy", "putrid");
            maren.chip("through the piece");
            maren.press("Keep the look");
            maren.fill("Weight thrown away", "4");
            maren.fill("Why", "Putrid to the bone.");
            maren.press("Throw " + tag + " away");
            maren.reads(tag + " is thrown away");
            maren.visit("/bench/" + piece);
            maren.reads("100.0 %");
        }
    }
}
