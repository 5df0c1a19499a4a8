package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From a closed bench to packs with labels, out over the counter, and back to the animal. */
class PackingIT {

    @Test
    void a_cut_piece_is_packed_labelled_sold_and_traced() {
        House house = House.shop();
        Client hand = house.client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        String piece = hand.cut();
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.go("Stock");
            maren.choose("Kept", "frozen");
            maren.field("Days").fill("120");
            maren.press("Keep the rule");
            maren.reads("120 days");

            maren.visit("/bench/" + piece);
            maren.press("Pack it");
            maren.reads("3.000 kg is left to pack.");
            maren.field("Where").fill("long freezer");
            maren.field("Pack 1").fill("1.2");
            maren.press("One pack more");
            maren.field("Pack 2").fill("2.4");
            maren.reads("0.600 kg more than there was.");
            maren.page.getByRole(AriaRole.DIALOG).getByText("Pack it").click();
            maren.reads("The packs hold 3.600 kg, but only 3.000 kg lay on the pile of steaks and roasts.");
            maren.field("Pack 2").fill("0.9");
            maren.reads("your own rule says");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            maren.page.getByRole(AriaRole.DIALOG).getByText("Pack it").click();
            maren.reads("long freezer");

            maren.press("Labels …");
            String label = maren.page
                    .getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^62 × 29")))
                    .getAttribute("href");
            APIResponse pdf = maren.page.request().get(house.address + label);
            assertThat(pdf.headers().get("content-type")).isEqualTo("application/pdf");
            assertThat(new String(pdf.body(), 0, 5)).isEqualTo("%PDF-");
            maren.page.keyboard().press("Escape");

            maren.page
                    .getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("1\\.200 kg")))
                    .getByRole(AriaRole.LINK)
                    .click();
            maren.sees("Pack ");
            maren.field("How much").fill("0.5");
            maren.fill("To whom, or why", "market stall");
            maren.press("Take it out");
            maren.reads("0.500 kg sold, market stall");
            maren.press("Take back 0.500 kg sold");
            maren.reads("taken back");
            assertThat(maren.field("How much")).hasValue("1.200");
            maren.choose("What for", "tasted");
            maren.press("Take it out");
            maren.reads("nothing");
            assertThat(AccessIT.faults(maren.page)).isEmpty();

            maren.page
                    .getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName(Pattern.compile("^What else came from lot")))
                    .click();
            maren.reads("2 packs; 0.900 kg still here.");
            maren.reads("1.200 kg tasted");
        }
    }

    @Test
    void a_grind_is_blended_from_bought_meat_and_what_is_in_the_way_is_said() {
        try (Visitor maren = Visitor.at(House.shop()).signedIn()) {
            maren.go("Stock");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Blend a grind"))
                    .click();
            maren.sees("Blend a grind");
            String[][] bought = {{"fresh shank", "5", "11", "95"}, {"fresh plate", "5", "8", "60"}};
            for (int meat = 1; meat <= bought.length; meat++) {
                maren.press("One meat more");
                maren.field("Meat " + meat).fill(bought[meat - 1][0]);
                maren.field("There is of " + meat).fill(bought[meat - 1][1]);
                maren.fill("Price of " + meat, bought[meat - 1][2]);
                maren.field("Lean of %d".formatted(meat)).fill(bought[meat - 1][3]);
            }
            maren.reads("1.143 kg"); // (80 − 60)/(95 − 60) of 2 kg
            maren.reads("0.857 kg");
            maren.reads("cooked through");
            maren.field("Lean").first().fill("97");
            maren.reads("Nothing here is leaner than 95 % lean; 97 % cannot be reached.");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
        }
    }

    /** Trim of a piece goes into a grind, the grind into packs, and all of it comes up when the lot is called back. */
    @Test
    void a_grind_of_a_pieces_trim_is_packed_and_called_back_with_its_lot() {
        House house = House.shop();
        Client hand = house.client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        String piece = hand.cut();
        String trim = hand.must(hand.put(
                        "/api/pieces/%s/packs".formatted(piece),
                        Map.of("packs", List.of(Bodies.packBody("TRIM", 400)))))
                .body()
                .at("/0/number")
                .asString();
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.visit("/stock/blend");
            maren.field("Crust at most").fill("100");
            maren.field("Lean").first().fill("80");
            maren.field("Batch").fill("0.4");
            maren.page
                    .getByRole(AriaRole.ROWHEADER, new Page.GetByRoleOptions().setName("pack " + trim))
                    .waitFor();
            maren.field("What came out").fill("0.3");
            maren.press("Ground: keep the lot");
            maren.reads("96.0 % to 100.0 % is usual");
            maren.field("What came out").fill("0.396");
            maren.press("Ground: keep the lot");
            maren.sees("Grind ");
            maren.reads("99.0 % of 0.400 kg");
            maren.press("Pack it");
            maren.field("Pack 1").fill("0.396");
            maren.page.getByRole(AriaRole.DIALOG).getByText("Pack it").click();
            maren.reads("nothing");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            String lot =
                    hand.get("/api/pieces/" + piece).body().at("/card/lotId").asString();
            maren.visit("/lots/%s/recall".formatted(lot));
            maren.reads("2 packs; 0.396 kg still here.");
            maren.reads("0.400 kg ground");
        }
    }
}
