package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A piece is aged before the meat is bought, on the screens of the real thing. */
class RehearsalIT {
    private static final String IDRIS = "idris@brackenrow.example";

    private static Locator weighs(Visitor idris, String heap) {
        return idris.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Weigh: " + heap));
    }

    /** Lays a heap on the scale, waits until it rests, and puts it onto a pile. */
    private static void lay(Visitor idris, String heap, String pile) {
        weighs(idris, heap).click();
        idris.reads("Steady");
        idris.pile(pile).click();
        idris.reads(pile + ": ");
    }

    private static void begin(Visitor idris, String lesson) {
        idris.go("Guide");
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Rehearse it without meat"))
                .click();
        idris.press("Begin: " + lesson);
        idris.sees(lesson);
        idris.reads("No real meat. Nothing here is in your records.");
    }

    private static void days(Visitor idris, int weeks) {
        for (int week = 1; week <= weeks; week++) {
            idris.press("7 days on");
            idris.reads("Day " + 7 * week + " of ");
        }
    }

    private static void pull(Visitor idris) {
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Turn, reseal")))
                .click();
        idris.press("Pull");
        idris.reads("Steady");
        idris.press("Pull it");
        assertThat(weighs(idris, "Steaks")).isVisible();
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^See ")))
                .click();
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Cut ")))
                .click();
        idris.sees("Bench, ");
    }

    private static void judged(Visitor idris) {
        idris.press("Close the bench");
        idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^See ")))
                .click();
        idris.press("Be told what it came to");
        idris.reads("against what could be known");
    }

    @Test
    void on_a_phone_from_the_course_to_the_verdict() {
        try (Visitor idris = Visitor.withPhone(House.demo()).signedInAs(IDRIS, House.PASSWORD)) {
            begin(idris, "What the seal cost");
            assertThat(AccessIT.faults(idris.page)).isEmpty();
            days(idris, 5);
            pull(idris);
            lay(idris, "Steaks", "Steaks");
            lay(idris, "Fat", "Rendering fat");
            lay(idris, "Bone", "Bone");
            lay(idris, "Dark, soft or mouldy parts", "Discard");
            judged(idris);
            idris.reads("Passed");
            idris.reads("A closed pocket holds oxygen");
            assertThat(AccessIT.faults(idris.page)).isEmpty();
            idris.press("Leave");
            idris.sees("Rehearsal");
            idris.reads("Passed, best");
            idris.go("Room");
            idris.reads("North Room");
        }
    }

    @Test
    void at_a_desk_by_keyboard_with_a_look_and_the_wrong_pile() {
        try (Visitor idris = Visitor.at(House.demo()).signedInAs(IDRIS, House.PASSWORD)) {
            idris.opens("/rehearsal");
            by(idris, idris.button("Begin: One steak is not a loin"));
            idris.sees("One steak is not a loin");
            by(idris, idris.button("Smell it"));
            idris.reads("Close to it:");
            for (int week = 1; week <= 3; week++) {
                by(idris, idris.button("7 days on"));
                idris.reads("Day " + 7 * week + " of ");
            }
            by(idris, link(idris, "^Look at "));
            idris.sees("Look");
            Locator key = idris.page
                    .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Which of these is it?"))
                    .first();
            by(idris, key);
            idris.reads("Like bark");
            assertThat(AccessIT.faults(idris.page)).isEmpty();
            by(
                    idris,
                    idris.page.getByRole(
                            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^brown"))));
            assertThat(idris.page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("brown")))
                    .isChecked();
            for (String seen : new String[] {"leathery", "nutty"}) {
                by(
                        idris,
                        idris.page.getByRole(
                                AriaRole.RADIO,
                                new Page.GetByRoleOptions().setName(seen).setExact(true)));
            }
            by(idris, idris.button("Keep the look"));
            assertThat(idris.page.getByLabel(Pattern.compile("^Answer for "))).isVisible();
            by(idris, link(idris, "^See "));
            idris.reads("Your last look led to");
            pull(idris);
            lay(idris, "Steaks", "Steaks");
            lay(idris, "Crust", "Steaks"); // which does not chew
            judged(idris);
            idris.reads("Not passed");
            idris.reads("of crust was cut as steak");
            idris.choose("Otherwise", "the other order at the bench");
            by(idris, idris.button("Play it again"));
            assertThat(idris.page.getByRole(
                            AriaRole.IMG,
                            new Page.GetByRoleOptions().setName(Pattern.compile("with the other choice"))))
                    .isVisible();
            by(idris, idris.button("Leave"));
            idris.reads("Not passed yet");
        }
    }

    @Test
    void a_table_is_set_its_guests_eat_and_what_it_shows_is_judged() {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            begin(maren, "Three tasters");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            link(maren, "^Set a blind table").click();
            maren.field("The question, in words").fill("Is the second liked better?");
            maren.press("Everybody who tasted before");
            maren.press("Set the table");
            maren.press("Let the tasting begin");
            maren.reads("0 of 24 sheets are in");
            link(maren, "^What is asked").click();
            maren.press("Let the guests eat");
            maren.reads("Once the table is open");
            link(maren, "^The tables").click();
            link(maren, "^Is the second liked better").click();
            maren.press("Reveal");
            maren.press("Reveal it now");
            maren.doesNotRead("Reveal what was what");
            link(maren, "^What is asked").click();
            maren.press("It does not tell");
            maren.reads("You said: it does not tell.");
            maren.reads("24 tasters, yours");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            maren.press("Leave");
            maren.sees("Rehearsal");
        }
    }

    @Test
    void a_plan_is_let_run_twenty_times_and_a_hand_is_asked_for_lessons_before_working_alone() {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.go("Plan");
            maren.press("Let it run twenty times");
            maren.reads("Left alone until day");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            maren.opens("/rehearsal");
            maren.press("Ask Idris Vale for lessons");
            maren.page
                    .getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("The fan that stood"))
                    .check();
            maren.press("Ask for these");
            maren.reads("1 asked for still open");
        }
        try (Visitor idris = Visitor.withPhone(House.demo()).signedInAs(IDRIS, House.PASSWORD)) {
            idris.reads("Before you work alone your shop asks you to pass");
            link(idris, "^“The fan that stood”").click();
            idris.reads("your shop asks for it");
        }
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.opens("/rehearsal");
            maren.press("Ask Idris Vale for lessons");
            maren.page
                    .getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("The fan that stood"))
                    .uncheck();
            maren.press("Ask for these");
            maren.doesNotRead("asked for still open");
        }
    }

    private static Locator link(Visitor idris, String name) {
        return idris.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile(name)))
                .first();
    }

    private static void by(Visitor idris, Locator place) {
        place.focus();
        idris.page.keyboard().press("Enter");
    }
}
