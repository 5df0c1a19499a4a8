package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** An animal from its tag to packs, at a desk and on a phone. */
class GameIT {
    private static LocalDateTime ago(int hours) {
        return LocalDateTime.now(ZoneId.systemDefault()).minusHours(hours);
    }

    private static void link(Visitor idris, String name) {
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name))
                .first()
                .click();
    }

    /** Touches a part in the list, weighs it and cuts it off. */
    private static void cutOff(Visitor idris, String part, String weight) {
        idris.page
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(part))
                .getByRole(AriaRole.BUTTON)
                .click();
        idris.fill("Weight of the " + part.toLowerCase(java.util.Locale.ROOT), weight);
        idris.press("Cut it off");
        assertThat(idris.page
                        .getByRole(AriaRole.LISTITEM)
                        .filter(new Locator.FilterOptions().setHasText(part))
                        .getByRole(AriaRole.LINK)
                        .first())
                .isVisible();
    }

    /** At the weight that is expected at this hour, which raises no question; returns it in grams. */
    private static int pull(Visitor idris, Client client) {
        String id = idris.page.url().replaceAll(".*/", "");
        int grams = client.get("/api/pieces/" + id)
                .body()
                .at("/card/expectedNowGrams")
                .asInt();
        link(idris, "Take it down and weigh it");
        idris.press("Pull");
        idris.fill("Weight at the pull", grams + " g");
        idris.press("Pull it");
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cut it"))
                .waitFor();
        return grams;
    }

    @Test
    void a_deer_goes_from_its_tag_to_packs_and_waits_for_its_test() {
        House house = House.shop();
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        String larder = "Larder " + UUID.randomUUID().toString().substring(0, 4);
        client.chamber(larder, 200_000);
        try (Visitor idris = Visitor.at(house).signedIn()) {
            idris.go("Receive");
            link(idris, "An animal comes in");
            idris.sees("An animal comes in");
            assertThat(idris.button("Say when it was killed, where it goes")).isDisabled();
            idris.field("Game tag").fill("S-140");
            idris.field("Where, in words").fill("north ride");
            idris.fillMoment("Killed", ago(8));
            idris.fillMoment("Cold to the core (optional)", ago(10));
            idris.field("Weight").fill("4");
            idris.choose("Disease test", "awaited");
            idris.choose("Where it goes", larder);
            idris.press("Hang it");
            idris.reads("It was cold after it was killed");
            idris.fillMoment("Cold to the core (optional)", ago(2));
            idris.press("Hang it");
            idris.reads("Is it the right animal?");
            idris.field("Weight").fill("40");
            idris.press("Hang it");
            idris.sees("Middling deer, as fallow, S-140");
            idris.reads("14.1 kg"); // 40 / 1.331 · 0.67 · 0.70
            idris.reads("do not cut into brain and spine");
            assertThat(AccessIT.faults(idris.page)).isEmpty();
            String address = idris.page.url();

            int aged = pull(idris, client);
            idris.page.navigate(address);
            cutOff(idris, "Left haunch", "6.5");
            idris.reads("%.3f kg is on the animal yet".formatted((aged - 6500) / 1000.0));
            idris.press("It is broken down");
            idris.reads("or say where it went");
            cutOff(idris, "Neck", "2.9");
            assertThat(AccessIT.faults(idris.page)).isEmpty();
            idris.page
                    .getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("Left haunch"))
                    .getByRole(AriaRole.LINK)
                    .click();
            idris.sees("Bench");
            idris.onto("Roasts and ends", "4.5");
            idris.onto("Bone", "1.6");
            idris.onto("Discard", "0.4");
            idris.press("Close the bench");
            idris.reads("the price at which it breaks even");
            idris.press("Pack it");
            idris.choose("What", "Roast");
            idris.field("Pack 1").fill("2.2");
            Locator dialog = idris.page.getByRole(AriaRole.DIALOG);
            dialog.getByText("Pack it").click();
            idris.reads("is held back: awaiting the disease test.");
            idris.press("Later");
            idris.page.navigate(address);
            idris.press("clear");
            idris.reads("Disease test: clear");
            idris.page.goBack();
            idris.press("Pack it");
            assertThat(idris.field("Pack 1")).hasValue("2.2");
            dialog.getByText("Pack it").click();
            idris.reads("2.200 kg");
        }
    }

    @Test
    void a_duck_is_racked_taken_down_and_cut_on_a_phone() {
        House house = House.shop();
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        String rack = "Rack " + UUID.randomUUID().toString().substring(0, 4);
        client.chamber(rack, 20_000);
        try (Visitor idris = Visitor.withPhone(house).signedIn()) {
            idris.visit("/carcass/new");
            idris.choose("Animal", "Wild duck");
            idris.field("Game tag").fill("M-20");
            idris.fillMoment("Killed", ago(20));
            idris.field("Weight").fill("1.1");
            idris.choose("Where it goes", rack);
            assertThat(idris.overflow()).isZero();
            idris.press("Hang it");
            idris.sees("Wild duck, M-20");
            idris.reads("cooked to a core of 74 °C");
            String address = idris.page.url();
            pull(idris, client);
            idris.page.navigate(address);
            cutOff(idris, "Left breast", "0.2");
            idris.page
                    .getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("Right breast"))
                    .getByRole(AriaRole.BUTTON)
                    .click();
            idris.fill("Weight of the right breast", "two hundred");
            idris.reads("Not a weight.");
            assertThat(idris.button("Cut it off")).isDisabled();
            idris.fill("Weight of the right breast", "2");
            idris.press("Cut it off");
            idris.reads("is left of the animal");
            assertThat(idris.overflow()).isZero();

            link(idris, "marinate");
            idris.reads("Fruit juice for a day");
            idris.field("How many days in the juice").fill("2");
            idris.field("What exactly").fill("sloe juice");
            idris.press("Treat it");
            idris.reads("Marinade after ageing, sloe juice");
            idris.reads("Trim it, lay it in the juice, covered and cold.");
            assertThat(idris.overflow()).isZero();
        }
    }

    /** The haunch was laid in two days ago, in a chest nobody has said the weather of. */
    @Test
    void an_iced_quarter_is_drained_and_topped_up_as_the_weather_asks() {
        House house = House.shop();
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        String chest = client.chamber("Chest " + UUID.randomUUID().toString().substring(0, 4), 20_000);
        String piece = client.onIceAgo(2, chest, 9, 2_000);
        try (Visitor idris = Visitor.withPhone(house).signedIn()) {
            idris.visit("/pieces/" + piece);
            assertThat(idris.button("Work out the ice")).isDisabled();
            idris.field("Air round the chest").fill("warm");
            idris.reads("Not a temperature.");
            idris.field("Air round the chest").fill("60");
            idris.field("Meat as it was laid in").fill("10");
            idris.press("Work out the ice");
            idris.reads("The temperature is out of range.");
            idris.field("Air round the chest").fill("30");
            idris.press("Work out the ice");
            idris.reads("every day and top up some 3.9 kg"); // 0.5 W/K · 30 K · 86 400 s / 334 kJ/kg
            assertThat(idris.overflow()).isZero();
            String tag =
                    client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
            idris.opens("/");
            Locator folded = idris.page.getByRole(
                    AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^\\d+ more$")));
            if (folded.isVisible()) { // others hang things in this shop as well
                folded.click();
            }
            idris.reads("drain, add 4 kg of ice");
            idris.press("Iced " + tag);
            assertThat(idris.button("Iced " + tag)).hasCount(0);
            idris.doesNotRead("drain, add 4 kg of ice");
        }
    }
}
