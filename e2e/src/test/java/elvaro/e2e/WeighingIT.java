package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Ten pieces over the simulated scale, by keys alone, with and without a network. */
class WeighingIT {
    private static final int[] GREEN =
            IntStream.range(0, 10).map(piece -> 4000 + 37 * piece).toArray();
    private static final String ENTER_KEEPS_IT = "Steady: Enter keeps it";

    @TempDir
    private Path folder;

    private final House house = House.shop();
    private final Client client = house.client();
    private ScaleAtHand scale;

    @BeforeEach
    void stand_at_the_scale() throws IOException {
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        scale = new ScaleAtHand(house, client, folder);
    }

    @AfterEach
    void leave() throws InterruptedException {
        scale.close();
    }

    /** Each test weighs all it hangs, so that nothing of it is due in the next. */
    private List<String> hang(int... green) {
        return client.hangAgo(1, client.chamber("Cabinet " + UUID.randomUUID(), 90_000), 28, green);
    }

    private String tag(String piece) {
        return client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
    }

    private List<Integer> weighings(String piece) {
        return client.get("/api/pieces/" + piece)
                .body()
                .path("log")
                .valueStream()
                .filter(entry -> entry.path("kind").asString().equals("WEIGHED"))
                .map((JsonNode entry) -> entry.path("grams").asInt())
                .toList();
    }

    /** What it is expected to weigh now, which raises no question at any hour of the day. */
    private int expected(String piece) {
        return client.get("/api/pieces/" + piece)
                .body()
                .at("/card/expectedNowGrams")
                .asInt();
    }

    private void begin(Visitor maren, String tag) {
        maren.page.keyboard().press("w");
        maren.sees("Weigh");
        maren.page.keyboard().type(tag);
        maren.page
                .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(tag))
                .waitFor();
        maren.page.keyboard().press("Enter");
    }

    /** Lifts what lies there, lays another on, and keeps it once it is steady. */
    private void weigh(Visitor maren, String tag, int grams, String said) throws IOException {
        scale.lay(0);
        maren.reads("Lay %s on the scale".formatted(tag));
        scale.lay(grams);
        assertThat(maren.page.getByText(Pattern.compile("Steady: (Enter keeps|keep) it")))
                .isVisible();
        if (maren.page.getByText(ENTER_KEEPS_IT).isVisible()) {
            maren.page.keyboard().press("Enter");
        } else {
            assertThat(maren.button("Save weight")).isInViewport(); // however long the form is
            maren.press("Save weight");
        }
        assertThat(maren.page.getByText(Pattern.compile(tag + ": .* " + said))).isVisible();
    }

    @Test
    void ten_pieces_are_weighed_by_keys_though_the_network_ends_in_the_middle() throws IOException {
        weighed(Visitor.at(house), hang(GREEN), 4, 7);
    }

    @Test
    void four_pieces_are_weighed_on_a_phone_though_the_network_ends_in_the_middle() throws IOException {
        weighed(Visitor.withPhone(house), hang(Arrays.copyOf(GREEN, 4)), 1, 3);
    }

    /** @param from the first that is weighed without a network, {@code to} the first after it is there again */
    private void weighed(Visitor visitor, List<String> pieces, int from, int to) throws IOException {
        List<String> tags = pieces.stream().map(this::tag).toList();
        try (Visitor maren = visitor.signedIn()) {
            begin(maren, tags.get(0));
            for (int piece = 0; piece < from; piece++) {
                weigh(maren, tags.get(piece), expected(pieces.get(piece)), "saved");
            }
            assertThat(maren.page.getByText("%d to weigh".formatted(pieces.size() - from)))
                    .isVisible();
            maren.page.context().setOffline(true);
            for (int piece = from; piece < to; piece++) {
                weigh(maren, tags.get(piece), expected(pieces.get(piece)), "kept on this device");
                int waiting = piece - from + 1;
                maren.reads(waiting == 1 ? "1 entry waits on this device" : waiting + " entries wait on this device");
            }
            assertThat(maren.overflow()).isZero();
            maren.page.context().setOffline(false);
            assertThat(maren.page.getByText("wait on this device")).hasCount(0);
            for (int piece = to; piece < pieces.size(); piece++) {
                weigh(maren, tags.get(piece), expected(pieces.get(piece)), "saved");
            }
            assertThat(maren.page.getByText("No weighing is due")).isVisible();
            assertThat(maren.overflow()).isZero();
        }
        for (int piece = 0; piece < pieces.size(); piece++) {
            List<Integer> kept = weighings(pieces.get(piece));
            assertThat(kept).as(tags.get(piece)).hasSize(1);
            assertThat(kept.get(0)).isCloseTo(expected(pieces.get(piece)), within(10));
        }
    }

    /** The keys are read where they are when the words appear, before anything else can run in the page. */
    @Test
    void enter_keeps_a_figure_from_the_moment_it_says_so() throws IOException {
        String piece = hang(4000).get(0);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            begin(maren, tag(piece));
            assertThat(maren.page.getByText("Lay %s on the scale".formatted(tag(piece))))
                    .isVisible();
            maren.page.evaluate("""
                    words => new MutationObserver((changes, observer) => {
                        if (document.body.innerText.includes(words)) {
                            window.keysAt = document.activeElement.innerText;
                            observer.disconnect();
                        }
                    }).observe(document.body, {subtree: true, childList: true, characterData: true})""", ENTER_KEEPS_IT);
            weigh(maren, tag(piece), expected(piece), "saved");
            assertThat(maren.page.evaluate("window.keysAt")).isEqualTo("Save weight");
        }
    }

    @Test
    void what_waits_outlives_a_reload_and_a_doubt_about_it_is_asked_when_it_is_sent() {
        String piece = hang(4000).get(0);
        String tag = tag(piece);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            maren.opens("/pieces/" + piece);
            maren.press("Weigh");
            // The scale takes the field's place once its first figure comes.
            maren.press("Type it instead");
            maren.page.route("**/log/**", route -> route.abort());
            maren.fill("Weight on the scale", "2.5");
            maren.press("Save weight");
            maren.reads("1 entry waits on this device");
            maren.page.reload();
            maren.reads("1 entry waits on this device");
            assertThat(weighings(piece)).isEmpty();
            maren.page.unroute("**/log/**");
            maren.reads("%s: 2.500 kg, not stored yet".formatted(tag));
            maren.keep();
            // Answered, it waits again until it is sent.
            assertThat(maren.page.getByLabel("Waiting on this device")).hasCount(0);
        }
        assertThat(weighings(piece)).containsExactly(2500);
    }
}
