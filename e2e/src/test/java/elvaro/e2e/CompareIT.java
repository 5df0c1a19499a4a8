package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What all finished pieces say, asked as a person asks. */
class CompareIT {
    private static Locator link(Visitor maren, String name) {
        return maren.page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void a_question_is_asked_narrowed_kept_and_carried_away() throws IOException {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.go("Compare");
            maren.reads("the rest is held against it");
            maren.reads("A trial would tell");
            maren.choose("Groups by", "chamber");
            maren.choose("Compare", "cost of the steak");
            maren.reads("cost of the steak, as found");
            maren.page.getByText("Days, supplier, grade and more").click();
            maren.field("Days from").fill("20 days or so");
            assertThat(maren.field("Days from")).hasValue("20");
            maren.field("Days to").fill("1");
            maren.reads("No finished piece is like that. Ask for less.");
            maren.field("Days to").fill("");
            maren.field("Keep this question as").fill("Rooms by cost");
            maren.press("Keep");
            link(maren, "Stone Locker").click();
            maren.page.waitForURL(Pattern.compile(".*chamber=Stone.*"));
            // The address is there before the view that belongs to it.
            assertThat(link(maren, "The pieces as a table (CSV)"))
                    .hasAttribute("href", Pattern.compile(".*chamber=Stone.*"));
            Locator behind = maren.page
                    .getByRole(
                            AriaRole.REGION,
                            new Page.GetByRoleOptions().setName("Pieces").setExact(true))
                    .getByRole(AriaRole.LINK);
            assertThat(behind.first()).isVisible();
            Download table = maren.page.waitForDownload(
                    () -> link(maren, "The pieces as a table (CSV)").click());
            assertThat(Files.readString(table.path())).contains("Stone Locker").doesNotContain("North Room");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            behind.first().click();
            maren.page.waitForURL(Pattern.compile(".*/pieces/.*"));
            maren.go("Compare");
            link(maren, "Rooms by cost").click();
            maren.reads("cost of the steak, as found");
            maren.press("Drop the question Rooms by cost");
            assertThat(link(maren, "Rooms by cost")).hasCount(0);
        }
    }

    @Test
    void whether_ageing_is_worth_it_is_said_in_pieces_a_year() {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.go("Compare");
            link(maren, "Is ageing worth it?").click();
            maren.sees("Worth it?");
            maren.reads("Say what the meat costs and what aged steak costs to buy");
            maren.field("Aged steak to buy, a kg").fill("dear");
            maren.reads("Say what the meat costs and what aged steak costs to buy");
            maren.field("Aged steak to buy, a kg").fill("68");
            maren.reads("saves");
            maren.reads("Cheaper than buying from the first piece.");
            maren.reads("It grows tender and does not dry: no aged taste.");
            maren.field("Aged steak to buy, a kg").fill("20");
            maren.reads("Never cheaper than buying: the piece alone costs more.");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
        }
    }

    @Test
    void the_answer_fits_a_phone() {
        try (Visitor maren = Visitor.withPhone(House.demo()).signedIn()) {
            maren.visit("/compare?by=TREATMENT&measure=STEAK_YIELD");
            maren.reads("The pieces behind it");
            assertThat(maren.overflow()).isZero();
            maren.visit("/worth");
            maren.sees("Worth it?");
            assertThat(maren.overflow()).isZero();
            maren.visit("/guide");
            maren.field("Find in the guide").fill("bradley");
            maren.reads("strengths, drawn a little towards even");
            assertThat(maren.page.getByText("Household refrigerators")).hasCount(0);
            maren.field("Find in the guide").fill("unicorns");
            maren.reads("Nothing here speaks of that.");
            maren.field("Find in the guide").fill("");
            assertThat(maren.overflow()).isZero();
        }
    }
}
