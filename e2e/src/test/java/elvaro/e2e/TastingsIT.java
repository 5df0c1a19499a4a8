package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.InstanceOfAssertFactories.LIST;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A blind tasting: a host at a screen, six guests with phones, and one without. */
class TastingsIT {
    private static final List<String> GUESTS = List.of("Tove", "Anselm", "Rhea", "Bastian", "Odile", "Kester");
    private static final Pattern CODE = Pattern.compile("^[1-9]\\d\\d$");

    /** Sets a table of honey and plain, and returns to the host's view of it. */
    private static void set(Visitor maren, String question, List<String> guests) {
        maren.go("Table");
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New tasting"))
                .click();
        maren.fill("The question, in words", question);
        maren.fill("Sample 1", "Honey");
        maren.fill("Sample 2", "Plain");
        for (int place = 0; place < guests.size(); place++) {
            if (place > 0) {
                maren.press("One place more");
            }
            maren.field("Place " + (place + 1)).fill(guests.get(place));
        }
    }

    private static String link(Visitor maren, String guest) {
        maren.press("Link for " + guest);
        String address = maren.field("Or send it").inputValue();
        maren.press("Done");
        return address;
    }

    /** Which code is honey; the host has uncovered the key. */
    private static String honey(Visitor maren) {
        return maren.page
                .getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^Honey")))
                .getByRole(AriaRole.CELL)
                .last()
                .textContent();
    }

    /** Tastes both, scores them, and comes to the choice. */
    private static void taste(Visitor guest, String liked) {
        guest.press("Begin");
        guest.page
                .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Taste ")))
                .waitFor();
        assertThat(guest.page.evaluate(EveryViewIT.TOO_SMALL))
                .asInstanceOf(LIST)
                .isEmpty();
        for (int plate = 0; plate < 2; plate++) {
            String code = guest.page
                    .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Taste ")))
                    .textContent()
                    .replace("Taste ", "");
            guest.press("Liking %d of 7".formatted(code.equals(liked) ? 6 : 4));
            guest.press("Next");
            if (plate == 0) {
                guest.sees("Rinse");
                guest.press("Next");
            }
        }
        guest.sees("Which one do you like more?");
        guest.press("Next");
        guest.reads("Choose one.");
        guest.press(liked);
        guest.press("Next");
        guest.sees("Hand it in?");
    }

    @Test
    void a_host_and_six_phones_taste_blind_and_the_reveal_says_what_was_what() {
        House house = House.shop();
        List<Visitor> phones = new ArrayList<>();
        try (Visitor maren = Visitor.at(house).signedIn()) {
            set(maren, "Is the honey liked more by six phones?", GUESTS.subList(0, 4));
            maren.reads("With 4 tasters even 4 of 4 is no proof; 6 of 6 is.");
            maren.press("One place more");
            maren.field("Place 5").fill(GUESTS.get(4));
            maren.press("One place more");
            maren.field("Place 6").fill(GUESTS.get(5));
            maren.reads("With 6 tasters, 6 must agree to be more than chance");
            maren.press("Set the table");
            maren.reads("The table is set.");
            maren.press("Show which code is what");
            String honey = honey(maren);
            assertThat(honey).matches(CODE);

            for (String guest : GUESTS) {
                Visitor phone = Visitor.withPhone(house);
                phones.add(phone);
                phone.page.navigate(link(maren, guest));
                phone.reads("never for the pregnant");
            }
            Visitor tove = phones.get(0);
            tove.reads("Your host has not begun yet.");
            assertThat(tove.button("Begin")).isDisabled();
            maren.press("Let the tasting begin");
            maren.reads("0 of 6 sheets are in.");

            for (Visitor phone : phones) {
                taste(phone, honey);
                assertThat(phone.page.content()).doesNotContain("Honey", "Plain", "Anselm", "six phones");
                assertThat(phone.overflow()).isZero();
            }
            tove.page.getByRole(AriaRole.CHECKBOX).check();
            tove.press("Hand in");
            tove.sees("Thank you");
            maren.reads("1 of 6 sheets are in.");
            assertThat(maren.page.content()).as("who, not what").doesNotContain("liked Honey better");

            // Tove takes another phone, which knows nothing of the first sheet until it is handed in.
            try (Visitor again = Visitor.withPhone(house)) {
                again.page.navigate(link(maren, "Tove"));
                again.press("Begin");
                again.sees("Thank you");
            }

            // Anselm is out of reach while handing in.
            Visitor anselm = phones.get(1);
            anselm.page.context().setOffline(true);
            anselm.press("Hand in");
            anselm.reads("One sheet waits on this phone");
            for (Visitor phone : phones.subList(2, 6)) {
                phone.press("Hand in");
                phone.sees("Thank you");
            }
            maren.reads("5 of 6 sheets are in.");
            anselm.page.context().setOffline(false);
            anselm.sees("Thank you");
            maren.reads("All 6 sheets are in.");

            maren.press("Reveal");
            maren.press("Reveal it now");
            maren.reads("6 of 6 liked Honey better than Plain. That is not chance.");
            maren.reads("Tove knew or guessed which was which.");
            maren.reads("Liking: Honey higher than Plain by 2.0 of 7.");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            for (Visitor phone : phones) {
                phone.sees("This table is cleared");
                assertThat(phone.page.content()).doesNotContain("Honey");
                assertThat(phone.complaints).isEmpty();
                assertThat(phone.foreignRequests).isEmpty();
            }
        } finally {
            phones.forEach(Visitor::close);
        }
    }

    @Test
    void two_phones_of_one_guest_hand_in_one_sheet() {
        House house = House.shop();
        try (Visitor maren = Visitor.at(house).signedIn();
                Visitor first = Visitor.withPhone(house);
                Visitor second = Visitor.withPhone(house)) {
            set(maren, "Does a second sheet count?", List.of("Odile"));
            maren.press("Set the table");
            maren.press("Show which code is what");
            String honey = honey(maren);
            String link = link(maren, "Odile");
            maren.press("Let the tasting begin");
            for (Visitor phone : List.of(first, second)) {
                phone.page.navigate(link);
                taste(phone, honey);
            }
            assertThat(AccessIT.faults(second.page)).isEmpty();
            second.page.context().setOffline(true); // or it would notice and go on by itself
            first.press("Hand in");
            first.sees("Thank you");
            second.press("Hand in");
            second.page.context().setOffline(false);
            second.reads("The first sheet counts and stays as it was.");
            maren.reads("The one sheet is in.");
        }
    }

    @Test
    void three_are_put_in_order_words_are_found_again_and_a_guest_is_forgotten() {
        House house = House.shop();
        try (Visitor maren = Visitor.at(house).signedIn();
                Visitor guest = Visitor.withPhone(house)) {
            set(maren, "Which of three crusts?", List.of("Rhea the second"));
            maren.choose("What the tasters are asked", "Three to six put in order");
            maren.press("One sample more");
            maren.fill("Sample 3", "Porcini");
            maren.press("Set the table");
            maren.press("Let the tasting begin");
            guest.page.navigate(link(maren, "Rhea the second"));
            guest.press("Begin");
            List<String> codes = new ArrayList<>();
            for (int plate = 0; plate < 3; plate++) {
                if (plate > 0) {
                    guest.sees("Rinse");
                    guest.press("Next");
                }
                Locator heading = guest.page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^Taste ")));
                codes.add(heading.textContent().replace("Taste ", ""));
                guest.page
                        .getByText("nutty", new Page.GetByTextOptions().setExact(true))
                        .click();
                guest.fill("Your own words for " + codes.get(plate), "wet slate number " + plate);
                guest.press("Next");
            }
            guest.sees("Put them in order");
            guest.press(codes.get(2));
            guest.press("Next");
            guest.reads("Put all of them in order.");
            guest.press(codes.get(0));
            guest.press("as good as the one above");
            guest.press(codes.get(1));
            assertThat(guest.overflow()).isZero();
            guest.press("Next");
            guest.press("Hand in");
            guest.sees("Thank you");
            maren.reads("The one sheet is in.");
            maren.press("Reveal");
            maren.press("Reveal it now");
            maren.reads("nutty, wet slate number 2");
            maren.go("Table");
            maren.fill("Find a word tasters used", "SLATE number 1");
            maren.reads("nutty, wet slate number 1");
            maren.press("Forget Rhea the second");
            maren.press("Forget the name");
            maren.doesNotRead("Rhea the second");
        }
    }

    @Test
    void paper_is_typed_in_and_the_kitchen_knows_when_to_start_what() {
        try (Visitor maren = Visitor.at(House.shop()).signedIn()) {
            set(maren, "Does paper count as well?", List.of("Bastian"));
            maren.page.getByLabel("Thickness").nth(1).fill("40");
            maren.press("Set the table");
            maren.reads("in after 53 minutes");
            maren.fill("Core of Honey", "58");
            maren.press("Keep what was measured of Honey");
            maren.fill("Core of Plain", "54");
            maren.press("Keep what was measured of Plain");
            maren.reads("more than 2 degrees apart");
            maren.press("Let the tasting begin");
            maren.press("Type in for Bastian");
            maren.press("Hand it in");
            maren.reads("Choose one.");
            Locator dialog = maren.page.getByRole(AriaRole.DIALOG);
            dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("I like neither more"))
                    .click();
            maren.press("Hand it in");
            maren.reads("The one sheet is in.");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Plate plan and paper sheets"))
                    .click();
            maren.sees("Plate plan");
            maren.reads("I like more (write the number):");
        }
    }
}
