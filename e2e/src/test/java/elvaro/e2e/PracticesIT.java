package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Locale;
import org.junit.jupiter.api.MethodOrderer.OrderAnnotation;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** The three commonest practices, by people who think in pounds, Fahrenheit and inches; the first begins with an empty house. */
@TestMethodOrder(OrderAnnotation.class)
class PracticesIT {
    private static LocalDate daysAgo(int days) {
        return LocalDate.now().minusDays(days);
    }

    private static void link(Visitor owner, String name) {
        owner.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name))
                .first()
                .click();
    }

    private static void check(Visitor owner, String box) {
        owner.page
                .getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(box))
                .check();
    }

    private static void pull(Visitor owner, String tag, String pounds) {
        owner.finds(tag);
        owner.takesDown(pounds).click();
        owner.sees("Bench, " + tag);
    }

    private static void close(Visitor owner) {
        assertThat(owner.page
                        .getByText("Every gram is on a pile")
                        .or(owner.page.getByText("within what scale and drip explain"))
                        .first())
                .isVisible();
        owner.press("Close the bench");
        owner.button("Pack it").waitFor();
    }

    @Test
    @Order(1)
    void halves_in_membranes_from_an_empty_house_to_their_trial() {
        House house = House.abroad();
        try (Visitor owner = Visitor.abroad(house).arrives()) {
            assertThat(owner.page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("lb, °F, in")))
                    .isChecked();
            assertThat(owner.field("Currency")).hasValue("USD");
            owner.fill("One-time code", house.code());
            owner.fill("Name of the workshop", "Brackenrow");
            owner.fill("Your name", "Maren Oakes");
            owner.fill("Sign-in name", House.OWNER);
            owner.fill("Password", House.PASSWORD);
            owner.press("Make the account");
            owner.sees("Room");

            owner.field("Weight").fill("4.5");
            owner.fill("Price per lb", "12/lb");
            owner.field("Days").fill("5 weeks");
            owner.fillDay("It hangs since", daysAgo(33));
            check(owner, "I cut it in two");
            owner.fill("Weight of that half", "4.4");
            owner.choose("It gets", "Paste or rub");
            owner.fill("What exactly", "porcini");
            assertThat(AccessIT.faults(owner.page)).isEmpty();
            owner.press("Hang it");
            owner.reads("No dose is written down");
            owner.keep();
            owner.sees("1A Ribeye roll");
            owner.reads("33 of 35");
            owner.reads("A week longer costs");
            link(owner, "Preparation");
            owner.reads("cut the pack open inside it");

            pull(owner, "1A", "3.5");
            owner.cutBy("slice first, the crust off");
            owner.onto("Steaks", "2.6");
            owner.onto("Usable trim", "0.4");
            owner.onto("Discard", "0.5");
            close(owner);
            pull(owner, "1B", "3.6");
            owner.cutBy("slice first, the crust off");
            owner.onto("Steaks", "2.5");
            owner.onto("Discard", "1.1");
            close(owner);
            owner.go("Trials");
            link(owner, "Is it better with porcini?");
            owner.reads("porcini");
            owner.reads("57.8 %"); // 2.6 of 4.5 lb
            assertThat(owner.complaints).isEmpty();
        }
    }

    @Test
    @Order(2)
    void a_cabinet_with_weekly_looks_a_photo_and_three_more_than_it_holds() throws IOException {
        House house = House.abroad();
        try (Visitor owner = Visitor.abroad(house).signedIn()) {
            owner.go("Settings");
            owner.press("Add a chamber");
            owner.fill("Name of the chamber", "Stone Locker");
            owner.fill("Carries at most", "40");
            owner.press("Save chamber");
            owner.go("Receive");
            owner.chooseCut("180", "Strip loin");
            owner.field("Weight").fill("13.5");
            owner.fillDay("Came on", daysAgo(20));
            owner.press("Take it in");
            owner.sees("Lot 2");
            owner.fillDay("Hung on", daysAgo(20));
            owner.choose("Chamber", "Stone Locker");
            owner.field("Target days").fill("48");
            owner.press("Hang it");
            owner.reads("Cut into one piece");
            owner.reads("13.50 lb green");
            owner.go("Receive");
            owner.chooseCut("112A", "Ribeye roll");
            owner.field("Weight").fill("30");
            owner.press("Take it in");
            owner.keep();
            owner.sees("Lot 3");
            owner.choose("Chamber", "Stone Locker");
            owner.press("Hang it");
            owner.reads("and is made for 40 lb");

            owner.finds("2A");
            owner.opens("/look?piece=" + owner.page.url().replaceAll(".*/", ""));
            owner.chip("brown");
            owner.chip("dry");
            owner.chip("bread or yeast");
            owner.press("Keep the look");
            owner.reads("Carry on");
            owner.finds("2A");
            owner.press("Take a photo");
            owner.chip("while it hangs");
            owner.page
                    .getByLabel("Photo of 2A", new Page.GetByLabelOptions().setExact(true))
                    .setInputFiles(new FilePayload("2a.png", "image/png", LookingIT.picture()));
            assertThat(owner.page
                            .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Photos by day"))
                            .getByRole(AriaRole.BUTTON))
                    .hasCount(1);
            owner.press("New target");
            owner.fill("Days in all", "400 days");
            owner.press("Set target");
            owner.reads("Ninety days and more are an experiment");
            assertThat(AccessIT.faults(owner.page)).isEmpty();
            assertThat(owner.complaints).isEmpty();
        }
    }

    @Test
    @Order(3)
    void a_deer_entered_late_goes_to_packs_and_what_was_frozen_untrimmed_is_cleaned() {
        House house = House.abroad();
        try (Visitor owner = Visitor.abroad(house).signedIn()) {
            LocalDateTime killed = daysAgo(8).atTime(LocalTime.of(17, 30));
            owner.visit("/carcass/new");
            owner.choose("Animal", "Middling deer, as fallow");
            owner.fillMoment("Killed", killed);
            owner.field("Weight").fill("118");
            owner.choose("Where it goes", "Stone Locker");
            owner.field("Days").fill("8 days");
            owner.press("Hang it");
            owner.reads("Air must reach every face");
            owner.page.getByLabel("Reason").fill("For a day; the shed beside it is as cold.");
            owner.keep();
            owner.sees("Middling deer, as fallow");
            owner.reads("day 8 of 8");
            String address = owner.page.url();
            link(owner, "Take it down and weigh it");
            owner.takesDown("104");
            owner.page.navigate(address);
            cutOff(owner, "Left haunch", "14.5");
            owner.page
                    .getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("Left haunch"))
                    .getByRole(AriaRole.LINK)
                    .click();
            owner.sees("Bench");
            owner.fill("Name of your own", "Haunch, whole");
            check(owner, "Untrimmed");
            owner.onto("Roasts and ends", "14.5");
            owner.reads("Haunch, whole, to clean when thawed");
            owner.reads("Every gram is on a pile");
            owner.press("Close the bench");
            owner.press("Pack it");
            owner.choose("What", "Roast");
            owner.field("Pack 1").fill("14.5");
            owner.page.getByRole(AriaRole.DIALOG).getByText("Pack it").click();
            owner.reads("Roast, to clean when thawed");
            link(owner, "1");
            owner.sees("Pack 1");
            owner.press("Thawed and cleaned");
            owner.field("Steaks and roasts").fill("9.5");
            owner.field("Bone").fill("2.6");
            owner.field("Discard").fill("1.6");
            owner.press("Keep the weights");
            owner.reads("cleaned");
            assertThat(owner.complaints).isEmpty();
        }
    }

    private static void cutOff(Visitor owner, String part, String pounds) {
        owner.page
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(part))
                .getByRole(AriaRole.BUTTON)
                .click();
        owner.fill("Weight of the " + part.toLowerCase(Locale.ROOT), pounds);
        owner.press("Cut it off");
        owner.page
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(part))
                .getByRole(AriaRole.LINK)
                .first()
                .waitFor();
    }
}
