package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The main job by keys alone: after each step the keys are where the next one is. */
class KeysIT {
    private static final int MOST_KEYS = 150;

    private final House house = House.shop();
    private int keys;

    private void press(Visitor maren, String... names) {
        for (String name : names) {
            maren.page.keyboard().press(name);
            keys++;
        }
    }

    private void type(Visitor maren, String text) {
        maren.page.keyboard().type(text);
        keys += text.length();
    }

    private static void hasTheKeys(Visitor maren, String name) {
        assertThat(maren.page.locator(":focus").first()).hasAccessibleName(Pattern.compile("^" + name + "(\\s*\\*)?$"));
    }

    @Test
    void receiving_splitting_weighing_pulling_and_cutting_two_pieces_takes_at_most_150_keys() {
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        client.chamber("Cabinet " + UUID.randomUUID(), 90_000);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            press(maren, "r");
            maren.sees("Receive");
            hasTheKeys(maren, "Cut");
            type(maren, "strip");
            press(maren, "Enter", "Tab");
            type(maren, "6.4");
            press(maren, "Tab");
            type(maren, "21.8");
            press(maren, "Enter");
            maren.sees("Lot ");

            hasTheKeys(maren, "Weight");
            press(maren, "Control+A");
            type(maren, "3.2");
            maren.button("One piece more").focus();
            press(maren, "Enter");
            hasTheKeys(maren, "Weight");
            type(maren, "3.2");
            press(maren, "Enter");
            maren.reads("Cut into 2 pieces");
            String first = maren.page.locator(":focus h3").innerText();
            cut(maren, first);
            String second = first.replace('A', 'B');
            press(maren, "/");
            hasTheKeys(maren, "Find");
            type(maren, second);
            press(maren, "Enter");
            maren.sees(second);
            cutOpen(maren);
            assertThat(keys).isLessThanOrEqualTo(MOST_KEYS);
            System.out.println("The main job, two pieces: %d keys".formatted(keys));
        }
    }

    private void cut(Visitor maren, String tag) {
        press(maren, "Enter");
        maren.sees(tag);
        cutOpen(maren);
    }

    /** From the page of a piece that hangs to its closed bench. */
    private void cutOpen(Visitor maren) {
        press(maren, "Tab");
        hasTheKeys(maren, "Weigh");
        press(maren, "Enter");
        hasTheKeys(maren, "Weight on the scale");
        type(maren, "3.2");
        press(maren, "Enter");
        hasTheKeys(maren, "Weigh");
        press(maren, "Tab", "Enter");
        hasTheKeys(maren, "Weight at the pull");
        type(maren, "3.2");
        press(maren, "Enter");
        hasTheKeys(maren, "Cut it");
        press(maren, "Enter");
        maren.sees("Bench");
        hasTheKeys(maren, "Weight of the container");
        type(maren, "2.1");
        press(maren, "Enter");
        assertThat(maren.field("Weight of the container")).hasValue("");
        hasTheKeys(maren, "Weight of the container");
        type(maren, "1.1");
        for (int tabs = 0; tabs < 12 && !isOn(maren, "Onto Discard"); tabs++) {
            press(maren, "Tab");
        }
        press(maren, "Enter");
        hasTheKeys(maren, "Close the bench");
        press(maren, "Enter");
        maren.reads("Steak yield");
        maren.reads("Open it again");
    }

    private static boolean isOn(Visitor maren, String words) {
        return String.valueOf(maren.page.evaluate("document.activeElement.textContent"))
                .startsWith(words);
    }
}
