package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.LocalDateTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Whatever is typed wrong is answered with a sentence, and what was typed stays. */
class WrongInputIT {
    private Visitor maren;

    @BeforeEach
    void comeIn() {
        maren = Visitor.at(House.demo());
    }

    @AfterEach
    void leave() {
        maren.close();
    }

    private void openPiece(String tag) {
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(tag + ", "))
                .first()
                .click();
        maren.sees(tag);
    }

    @Test
    void at_the_door() {
        maren.arrives();
        maren.fill("Sign-in name", House.OWNER);
        maren.fill("Password", "not the password");
        maren.press("Sign in");
        maren.reads("Name and password do not belong together");
        assertThat(maren.field("Sign-in name *")).hasValue(House.OWNER);
    }

    @Test
    void when_receiving() {
        maren.signedIn().go("Receive");
        maren.press("Take it in");
        maren.reads("Choose the cut.");
        maren.chooseCut("striploin", "Strip loin");
        maren.press("Take it in");
        maren.reads("Weigh it: the weight is needed.");
        maren.field("Weight").fill("heavy");
        maren.reads("Not a weight.");
        maren.field("Weight").fill("90");
        maren.fill("Temperature on arrival", "7");
        maren.press("Take it in");
        maren.reads("90.000 kg is unusual for strip loin");
        maren.reads("above the 5 °C of cold holding");
        assertThat(maren.button("Keep it")).isDisabled();
        maren.field("Weight").fill("8.1");
        maren.fillDay("Came on", LocalDate.of(2126, 1, 1));
        maren.press("Take it in");
        maren.reads("The day it came cannot lie in the future.");
    }

    @Test
    void when_splitting() {
        maren.signedIn();
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Hang 37"))
                .click();
        maren.sees("Lot 37");
        maren.press("One piece more");
        maren.press("Hang it");
        maren.reads("Each piece needs its weight.");
        maren.field("Weight").nth(1).fill("4");
        maren.reads("4.000 kg more than the lot weighs");
        maren.press("Hang it");
        maren.reads("Weigh them again");
        maren.field("Weight").first().fill("3");
        maren.reads("1.120 kg on no piece");
        maren.press("Hang it");
        maren.reads("Is a piece missing, or was that cut away?");
        assertThat(maren.button("Hang it so")).isDisabled();
    }

    @Test
    void when_weighing_and_pulling() {
        maren.signedIn();
        openPiece("30A");
        maren.press("Weigh");
        assertThat(maren.button("Save weight")).isDisabled();
        maren.fill("Weight on the scale", "9");
        maren.press("Save weight");
        maren.reads("Is it the right piece, and was the hook tared?");
        maren.fill("Weight on the scale", "1");
        maren.doesNotRead("was the hook tared?");
        maren.press("Save weight");
        maren.reads("more than a piece loses in that time");
        maren.press("It was earlier: enter when");
        maren.fillMoment("When it was", LocalDateTime.of(2020, 1, 1, 10, 0));
        maren.press("Save weight");
        maren.reads("That is before the piece was hung.");
        maren.press("Close");
        maren.happened("A slice taken …");
        maren.fill("Weight of the slice", "20");
        maren.press("Save slice");
        maren.reads("cannot come off a piece that weighs");
    }

    @Test
    void at_the_bench() {
        maren.signedIn();
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cut 25A"))
                .click();
        maren.sees("Bench, 25A");
        maren.press("Close the bench");
        maren.reads("No pile was weighed");
        maren.field("Weight of the container").fill("12");
        maren.pile("Steaks").click();
        maren.reads("is left of this piece");
        maren.onto("Steaks", "1");
        maren.reads("Steaks: 1.000 kg");
        maren.press("Close the bench");
        maren.reads("Weigh what is missing, or say where it went.");
        assertThat(maren.button("Close it so")).isDisabled();
        maren.press("Undo");
        maren.doesNotRead("Take back");
    }

    @Test
    void at_an_animal() {
        maren.signedIn();
        maren.go("Receive");
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("S-129"))
                .click();
        maren.sees("Small deer, as roe, S-129");
        maren.press("It is broken down");
        maren.reads("or say where it went");
        assertThat(maren.button("Close it so")).isDisabled();
        maren.page
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Neck"))
                .getByRole(AriaRole.BUTTON)
                .click();
        maren.reads("Cut out the glands along the windpipe.");
        maren.field("Weight of the neck").fill("as heavy as a bag");
        maren.reads("Not a weight.");
        assertThat(maren.button("Cut it off")).isDisabled();
        maren.field("Weight of the neck").fill("90");
        maren.press("Cut it off");
        maren.reads("is left of the animal; a part of 90.000 kg cannot be.");
        maren.page
                .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Hang or ice it further"))
                .click();
        assertThat(maren.button("Cut it off")).isDisabled(); // nobody said where
        maren.visit("/carcass/11111111-1111-4111-8111-111111111111");
        maren.reads("There is no such carcass here.");
    }

    @Test
    void when_comparing_and_at_addresses_that_lead_nowhere() {
        maren.signedIn();
        String hanging = maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("30A, "))
                .first()
                .getAttribute("href")
                .replace("/pieces/", "");
        maren.visit("/compare?p=" + hanging + ",11111111-1111-4111-8111-111111111111");
        maren.reads("There is no such piece here.");
        maren.visit("/bench/" + hanging);
        maren.reads("Only a piece that was pulled goes to the bench.");
        maren.visit("/pieces/nonsense");
        maren.visit("/nowhere");
        maren.reads("The address leads nowhere.");
    }
}
