package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** From the guide to how much of a treatment a piece gets, and what stands against it. */
class TreatmentsIT {
    @Test
    void a_dose_is_worked_out_from_the_label_and_clashes_are_said() {
        try (Visitor maren = Visitor.withPhone(House.shop()).signedIn()) {
            maren.go("Guide");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("work out a dose"))
                    .click();
            maren.sees("Treatments");
            maren.choose("Treatment", "Liquid smoke");
            maren.field("Green weight").fill("3.4");
            maren.reads("1.5 tsp"); // 3.4 kg is 7.496 lb, a fifth of it, by hand
            maren.reads("1 × the dose on the label");
            maren.field("Dose").fill("3.5");
            maren.reads("more than three times");
            maren.field("Dose").fill("0");
            maren.reads("A dose is above 0.");
            maren.doesNotRead("the dose on the label"); // the answer before is not this dose's
            maren.field("Dose").fill("a lot");
            maren.reads("Not a number.");
            maren.field("Dose").fill("1000000000");
            maren.reads("That is more than any piece takes.");

            maren.choose("Treatment", "Paste or rub");
            maren.choose("Method", "Vacuum");
            maren.field("raw garlic or fresh herbs in it").check();
            maren.reads("Raw garlic and herbs under a wrap can rot");
            maren.field("oil in it").check();
            assertThat(maren.page.getByRole(AriaRole.ALERT)).containsText("botulism");

            // By keys: letters look for a choice while the list is open, and lead nowhere else.
            maren.page
                    .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Treatment"))
                    .focus();
            maren.page.keyboard().press("Enter");
            maren.page.keyboard().type("cold");
            maren.page.keyboard().press("Enter");
            maren.sees("Treatments");
            maren.reads("Measure the meat before each burst");
            maren.field("The meat measures").fill("6");
            maren.reads("The meat is above 4");
            org.assertj.core.api.Assertions.assertThat(maren.overflow()).isZero();
            org.assertj.core.api.Assertions.assertThat(AccessIT.faults(maren.page))
                    .isEmpty();
        }
    }

    @Test
    void a_recipe_is_written_down_and_scaled_to_what_is_on_the_block() {
        try (Visitor maren = Visitor.at(House.shop()).signedIn()) {
            maren.page.keyboard().press("t");
            maren.press("Write a recipe");
            maren.press("Keep the recipe");
            maren.reads("Name what is in it.");
            maren.field("Name *").fill("Porcini rub");
            maren.field("Part 1").fill("porcini powder");
            maren.field("Parts").first().fill("3");
            maren.field("Price per kg").first().fill("90");
            maren.press("One part more");
            maren.field("Part 2").fill("salt");
            maren.press("Keep the recipe");
            maren.reads("3 porcini powder · 1 salt");
            maren.choose("Treatment", "Porcini rub");
            maren.field("Green weight").fill("3.4");
            maren.reads("34 g"); // ten grams a kilogram
            maren.reads("25.5 g"); // three parts of four
            maren.reads("€2.30"); // 25.5 g at 90 a kilogram
        }
    }

    @Test
    void smoke_is_stopped_on_warm_meat_and_done_on_cold() {
        House house = House.shop();
        Client hand = house.client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        String piece =
                hand.hangToday(hand.chamber("Smoke shed", 100_000), 28, 4000).get(0);
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            maren.visit("/pieces/" + piece);
            maren.press("Treat …");
            maren.choose("Treatment", "Cold smoke");
            maren.field("What exactly").fill("beech");
            maren.field("How many sessions").fill("2");
            maren.press("Treat it");
            maren.reads("Cold smoke, beech, 2 sessions");
            maren.chip("no longer cold");
            maren.press("Burst done");
            maren.reads("The meat is above 4");
            maren.chip("measured");
            maren.field("The meat measures").fill("5");
            maren.press("Burst done");
            maren.reads("The meat is above 4");
            maren.chip("feels cold");
            maren.press("Burst done");
            maren.reads("10 minutes of smoke so far");
            maren.reads("Cold to the touch."); // in the log
            maren.press("Start the timer: 10 min");
            assertThat(maren.page.getByRole(AriaRole.TIMER)).containsText("9:5");
            maren.press("Stop the timer");
            maren.press("Done, and that was all of it");
            maren.reads("20 minutes of smoke in all");
            org.assertj.core.api.Assertions.assertThat(maren.overflow()).isZero();
            org.assertj.core.api.Assertions.assertThat(AccessIT.faults(maren.page))
                    .isEmpty();
        } finally {
            throwAway(hand, piece);
        }
    }

    @Test
    void what_is_soaked_first_is_hung_with_the_weight_it_has_then() {
        House house = House.shop();
        Client hand = house.client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        hand.chamber("Soak shed", 100_000);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.go("Receive");
            maren.chooseCut("tri", "Tri-tip");
            maren.field("Weight").fill("2");
            maren.press("Take it in");
            maren.choose("What it is for", "treated first, hung later");
            maren.press("Hang it");
            maren.reads("Cut into one piece");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^\\d+A")))
                    .first()
                    .click();
            maren.reads("does not hang yet");
            maren.press("Treat …");
            maren.choose("Treatment", "Liquid soak");
            maren.field("How many days in the liquid").fill("1");
            maren.press("Treat it");
            maren.reads("Drain it; nobody tastes or reuses the liquid.");
            maren.press("Hang it");
            maren.field("Weight as it hangs").fill("2.06");
            maren.choose("Chamber", "Soak shed");
            maren.page
                    .getByRole(AriaRole.DIALOG)
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hang it"))
                    .click();
            maren.reads("as it was cut, 2.060 kg as it hangs");
            maren.reads("Soak shed, rail 1, place 1");
            throwAway(hand, maren.page.url().replaceAll(".*/", ""));
        }
    }

    /** So that nothing is left to do for the tests that come after. */
    private static void throwAway(Client hand, String piece) {
        hand.must(hand.put(
                "/api/pieces/%s/discard/%s".formatted(piece, UUID.randomUUID()),
                Map.of("grams", 1900, "words", "test", "answers", Map.of("surprising", "", "fell-fast", ""))));
    }
}
