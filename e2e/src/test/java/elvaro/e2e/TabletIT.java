package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.io.IOException;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** From the pull to labels on a tablet beside the block: by touch alone, every weight from the simulated scale. */
class TabletIT {
    private static final int BOX = 350;
    private static final int WRAP = 40;

    @TempDir
    private Path folder;

    private static void tap(Locator what) {
        what.first().tap();
    }

    private static Locator named(Visitor idris, AriaRole role, String name) {
        return idris.page.getByRole(role, new Page.GetByRoleOptions().setName(name));
    }

    private static void touch(Visitor idris, String button) {
        tap(named(idris, AriaRole.BUTTON, button));
    }

    /** Lifts what lies there, lays a container on, and touches its pile once the figure is steady. */
    private static void onto(Visitor idris, ScaleAtHand scale, String pile, int grams) throws IOException {
        scale.lay(0);
        assertThat(idris.page.getByText("Lay a container on the scale")).isVisible();
        int before = weighed(idris).count();
        scale.lay(BOX + grams);
        assertThat(idris.page.getByText("Steady: touch the pile it goes onto")).isVisible();
        touch(idris, "Onto " + pile);
        assertThat(weighed(idris)).hasCount(before + 1);
    }

    /** The containers that lie on piles. */
    private static Locator weighed(Visitor idris) {
        return idris.page
                .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Weighed onto piles"))
                .getByRole(AriaRole.LISTITEM);
    }

    @Test
    void a_piece_is_pulled_smelled_cut_weighed_and_labelled_without_a_key() throws Exception {
        House house = House.shop();
        Client client = house.client();
        client.must(client.signIn(House.OWNER, House.PASSWORD));
        String chamber = client.chamber("Stone Locker", 50_000);
        String piece = client.hangAgo(28, chamber, 28, 4000).get(0);
        int aged = client.get("/api/pieces/" + piece)
                .body()
                .at("/card/expectedNowGrams")
                .asInt();
        try (ScaleAtHand scale = new ScaleAtHand(house, client, folder);
                Visitor idris = Visitor.withTablet(house).signedIn()) {
            idris.visit("/pieces/" + piece);
            touch(idris, "Pull");
            scale.lay(aged);
            assertThat(idris.page.getByText("Steady: keep it")).isVisible();
            touch(idris, "Pull it");
            tap(named(idris, AriaRole.LINK, "Cut it"));
            idris.sees("Bench");

            touch(idris, "Smell and look");
            for (String seen : new String[] {"dark red", "leathery", "nutty"}) {
                tap(named(idris, AriaRole.RADIO, seen));
            }
            touch(idris, "Keep the look");
            idris.reads("That is how a crust looks.");
            touch(idris, "To the bench");
            touch(idris, "Wrap and string");
            scale.lay(0);
            idris.reads("on the scale");
            scale.lay(aged - WRAP);
            assertThat(idris.page.getByText("Steady: keep it")).isVisible();
            touch(idris, "Save weight");
            assertThat(named(idris, AriaRole.BUTTON, "Wrap and string")).containsText("taken off");
            touch(idris, "How to cut");
            tap(named(idris, AriaRole.RADIO, "trim first, a little crust left"));
            assertThat(named(idris, AriaRole.RADIO, "trim first, a little crust left"))
                    .isChecked();
            idris.reads("30.0 mm thick");
            assertThat(AccessIT.faults(idris.page)).isEmpty();
            tap(idris.page.getByRole(AriaRole.DIALOG).getByText("Close"));

            scale.lay(0);
            idris.reads("Lay a container on the scale");
            scale.lay(BOX);
            assertThat(idris.page.getByText("Steady: touch the pile it goes onto"))
                    .isVisible();
            touch(idris, "Tare");
            idris.reads("of container");
            touch(idris, "One steak more");
            for (int grams : new int[] {380, 395, 410}) {
                onto(idris, scale, "Steaks", grams);
            }
            onto(idris, scale, "Roasts and ends", 1000);
            onto(idris, scale, "Usable trim", 500);
            onto(idris, scale, "Bone", 300);
            touch(idris, "Undo");
            assertThat(weighed(idris)).hasCount(5);
            tap(named(idris, AriaRole.RADIO, "rot in a pocket"));
            onto(idris, scale, "Discard", aged - WRAP - 1185 - 1000 - 500);
            idris.reads("Discard, rot in a pocket");
            assertThat(idris.overflow()).isZero();
            touch(idris, "Close the bench");
            idris.reads("the price at which it breaks even");

            touch(idris, "Pack it");
            touch(idris, "Each steak as it was weighed");
            tap(idris.page.getByRole(AriaRole.DIALOG).getByText("Pack it"));
            touch(idris, "Labels");
            String label = idris.page
                    .getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^62 × 29")))
                    .getAttribute("href");
            assertThat(idris.page.request().get(house.address + label).headers().get("content-type"))
                    .isEqualTo("application/pdf");
        }
        JsonNode bench = client.get("/api/bench/" + piece).body();
        assertThat(bench.path("wrapGrams").asInt()).isCloseTo(WRAP, within(10));
        assertThat(bench.at("/piece/benchOrder").asString()).isEqualTo("TRIM_FIRST");
        assertThat(bench.at("/cut/steaks").asInt()).isEqualTo(3);
        assertThat(bench.at("/piece/ledger/piles/DISCARD").asInt()).isCloseTo(aged - WRAP - 2685, within(20));
        assertThat(bench.at("/piece/ledger/piles/BONE").asInt()).isZero();
        assertThat(client.get("/api/pieces/%s/packs".formatted(piece)).body()).hasSize(3);
    }
}
