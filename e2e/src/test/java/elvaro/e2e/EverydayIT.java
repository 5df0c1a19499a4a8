package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Client;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The daily work on the demo workshop: with a phone, by keys alone, over a bad network, in pounds. */
class EverydayIT {

    private static String address(Visitor maren, String tag) {
        return maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(tag + ", "))
                .first()
                .getAttribute("href");
    }

    /** What the demo expects a piece to weigh now, in grams: a weight nobody asks about. */
    private static int expected(String tag) {
        Client hand = House.demo().client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        return hand.get("/api/pieces?tag=" + tag)
                .body()
                .at("/0/expectedNowGrams")
                .asInt();
    }

    private static String kilograms(int grams) {
        return String.format(Locale.ROOT, "%.3f", grams / 1000.0);
    }

    /** The first entry is stored and its answer never arrives; counts what is sent. */
    private static AtomicInteger loseTheFirstAnswer(Visitor visitor) {
        AtomicInteger sent = new AtomicInteger();
        visitor.page.route(Pattern.compile("/log/"), route -> {
            if (sent.getAndIncrement() == 0) {
                route.fetch();
                route.abort();
            } else {
                route.resume();
            }
        });
        return sent;
    }

    @Test
    void a_weigh_in_whose_answer_was_lost_is_sent_again_and_stored_once() {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            AtomicInteger sent = loseTheFirstAnswer(maren);
            maren.oneByOne("weigh");
            String button = maren.page
                    .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Weigh \\d")))
                    .first()
                    .getAttribute("aria-label");
            String tag = button.substring("Weigh ".length());
            String weight = kilograms(expected(tag));
            maren.press(button);
            maren.fill("Weight on the scale", weight);
            maren.press("Save weight");
            maren.reads("1 entry waits on this device and will be sent when Elvaro answers: %s: %s kg"
                    .formatted(tag, weight));
            maren.doesNotRead("waits on this device");
            maren.visit(address(maren, tag));
            maren.sees(tag);
            assertThat(maren.page.getByText("Weighed %s kg".formatted(weight))).hasCount(1);
            assertThat(sent).hasValue(2);
        }
    }

    @Test
    void a_slice_changed_after_a_lost_answer_is_told_what_was_stored_and_can_be_saved() {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            loseTheFirstAnswer(maren);
            maren.visit(address(maren, "35A"));
            maren.happened("A slice taken …");
            maren.fill("Weight of the slice", "0.12");
            maren.press("Save slice");
            maren.reads("What you typed is kept; try again");
            maren.fill("Weight of the slice", "0.11");
            maren.press("Save slice");
            maren.reads("Your first try did arrive: 0.120 kg stands in the log");
            assertThat(maren.field("Weight of the slice")).hasValue("0.11");
            maren.press("Save slice");
            maren.reads("35A: 0.110 kg saved");
            assertThat(maren.page.getByText("Slice taken 0.120 kg")).hasCount(1);
            assertThat(maren.page.getByText("Slice taken 0.110 kg")).hasCount(1);
        }
    }

    @Test
    void a_phone_shows_room_weigh_and_pull_without_sideways_scrolling() {
        try (Visitor maren = Visitor.withPhone(House.demo()).signedIn()) {
            assertThat(maren.overflow()).isZero();
            maren.press("Pull 24A");
            assertThat(maren.overflow()).isZero();
            maren.fill("Weight at the pull", "5.6");
            assertThat(maren.button("Pull it")).isEnabled();
            var figure = maren.field("Weight at the pull");
            assertThat(figure.evaluate("input => parseFloat(getComputedStyle(input).fontSize)"))
                    .isEqualTo(48);
            assertThat(maren.button("Pull it").boundingBox().height).isGreaterThanOrEqualTo(48);
            maren.press("Close");
            maren.go("Weigh");
            assertThat(maren.overflow()).isZero();
        }
    }

    @Test
    void weighing_goes_by_keys_alone_and_leads_to_the_next_due() {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.page.keyboard().press("?");
            maren.reads("weigh a piece");
            maren.page.keyboard().press("Escape");
            maren.page.keyboard().press("w");
            maren.sees("Weigh");
            maren.page.keyboard().type("30a");
            maren.page
                    .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("30A"))
                    .waitFor();
            maren.page.keyboard().press("Enter");
            maren.field("Weight on the scale").waitFor();
            String weight = kilograms(expected("30A"));
            maren.page.keyboard().type(weight.replace('.', ','));
            maren.page.keyboard().press("Enter");
            maren.reads("30A: %s kg saved".formatted(weight));
            assertThat(maren.page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("to weigh")))
                    .isVisible();
            assertThat(maren.field("Weight on the scale")).isFocused();
            assertThat(maren.field("Weight on the scale")).hasValue("");
        }
    }

    @Test
    void units_and_screen_are_each_persons_own() {
        try (Visitor idris = Visitor.at(House.demo()).signedInAs("idris@brackenrow.example", House.PASSWORD)) {
            idris.go("Settings");
            idris.choose("Weights", "pounds and ounces");
            idris.choose("Temperatures", "°F");
            idris.choose("Screen", "dark, for the cold room");
            assertThat(idris.page.locator("html")).hasAttribute("data-scheme", "dark");
            idris.go("Room");
            idris.reads("°F");
            idris.doesNotRead("°C");
            idris.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("28A, "))
                    .first()
                    .click();
            idris.sees("28A");
            idris.press("Weigh");
            double ounces = expected("28A") / 28.349523125;
            int pounds = (int) ounces / 16;
            String weight = String.format(Locale.ROOT, "%d lb %.2f oz", pounds, ounces - 16 * pounds);
            idris.fill("Weight on the scale", weight);
            idris.press("Save weight");
            idris.reads("28A: %s saved".formatted(weight));
            idris.press("Undo");
            idris.doesNotRead("28A: %s saved".formatted(weight));
        }
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.reads("°C");
        }
    }

    @Test
    void a_bench_hand_sees_no_prices_to_set_and_no_people() {
        try (Visitor pilar = Visitor.at(House.demo()).signedInAs("pilar@brackenrow.example", House.PASSWORD)) {
            pilar.go("Settings");
            pilar.reads("Where meat hangs");
            pilar.doesNotRead("Add a person");
            pilar.doesNotRead("Add a chamber");
            pilar.doesNotRead("Save workshop");
            pilar.press("Sign out");
            pilar.reads("Sign-in name");
        }
    }

    /** The limits of the project: script and style 300 kB, with fonts 450 kB, as they travel. */
    @Test
    void the_first_view_is_light_and_comes_from_this_house_alone() {
        try (Visitor maren = Visitor.at(House.demo())) {
            java.util.Map<String, Long> sizes = new java.util.concurrent.ConcurrentHashMap<>();
            List<Response> responses = new java.util.concurrent.CopyOnWriteArrayList<>();
            maren.page.onResponse(responses::add);
            maren.signedIn();
            maren.page.reload();
            maren.sees("Room");
            maren.page.evaluate("document.fonts.ready");
            for (Object entry : (List<?>) maren.page.evaluate(
                    "performance.getEntriesByType('resource').map(each => [each.name, each.encodedBodySize])")) {
                List<?> pair = (List<?>) entry;
                sizes.put(String.valueOf(pair.get(0)), ((Number) pair.get(1)).longValue());
            }
            long code = sum(sizes, ".js") + sum(sizes, ".css");
            long fonts = sum(sizes, ".woff2");
            System.out.printf("First view: %d kB of script and style, %d kB of fonts%n", code / 1000, fonts / 1000);
            assertThat(code).isBetween(50_000L, 300_000L);
            assertThat(fonts).isGreaterThan(10_000L);
            assertThat(code + fonts).isLessThan(450_000L);
            assertThat(maren.foreignRequests).isEmpty();
            assertThat(maren.complaints).isEmpty();
        }
    }

    private static long sum(java.util.Map<String, Long> sizes, String ending) {
        return sizes.entrySet().stream()
                .filter(each -> each.getKey().endsWith(ending))
                .mapToLong(java.util.Map.Entry::getValue)
                .sum();
    }

    @Test
    void somebody_is_invited_by_a_link_and_chooses_a_password_that_nobody_else_knows() {
        String name = "ines-" + System.nanoTime() + "@brackenrow.example";
        try (Visitor maren = Visitor.at(House.shop()).signedIn();
                Visitor ines = Visitor.withPhone(House.shop()).arrives()) {
            maren.go("Settings");
            maren.press("Add a person");
            maren.fill("Their name", "Ines Tarn");
            maren.fill("Their sign-in name", name);
            maren.press("Add them");
            String link = maren.page.getByText("/join#").innerText();
            ines.page.navigate(link);
            ines.fill("New password", "ines tarn tarn");
            ines.press("Go in");
            ines.reads("guessed too soon");
            ines.fill("New password", "lantern mossy quarry");
            ines.press("Go in");
            ines.sees("Room");
            assertThat(ines.page.url()).doesNotContain("#");
        }
    }

    /** Passkeys are for addresses that are names; the authenticator is the browser's own pretended one. */
    @Test
    void a_passkey_made_in_settings_opens_the_house_without_a_password_until_it_is_removed() {
        try (Visitor maren = Visitor.at(House.shop()).arrives()) {
            maren.page.navigate(House.shop().address.replace("127.0.0.1", "localhost"));
            maren.fill("Sign-in name", House.OWNER);
            maren.fill("Password", House.PASSWORD);
            maren.button("Sign in").first().click();
            maren.sees("Room");
            CDPSession device = maren.page.context().newCDPSession(maren.page);
            device.send("WebAuthn.enable");
            JsonObject kind = new JsonObject();
            kind.addProperty("protocol", "ctap2");
            kind.addProperty("transport", "internal");
            List.of("hasResidentKey", "hasUserVerification", "isUserVerified", "automaticPresenceSimulation")
                    .forEach(what -> kind.addProperty(what, true));
            JsonObject options = new JsonObject();
            options.add("options", kind);
            device.send("WebAuthn.addVirtualAuthenticator", options);
            maren.go("Settings");
            maren.press("Make a passkey on this device");
            maren.reads("used last");
            Locator remove =
                    maren.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove the passkey"));
            assertThat(remove).hasCount(1);
            maren.press("Sign out");
            maren.press("Sign in with a passkey");
            maren.sees("Room");
            maren.go("Settings");
            remove.click();
            assertThat(remove).hasCount(0);
            maren.press("Sign out");
            maren.press("Sign in with a passkey");
            maren.reads("This passkey opens nothing here");
        }
    }

    @Test
    void a_rule_is_led_to_in_the_guide_and_back_leads_to_where_one_stood() {
        try (Visitor maren = Visitor.withPhone(House.demo()).signedIn()) {
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("North Room"))
                    .last()
                    .click();
            maren.sees("North Room");
            Locator rule = maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Rule and source"))
                    .first();
            for (int time = 0; time < 2; time++) { // the second time all of the guide is known
                rule.scrollIntoViewIfNeeded();
                rule.click();
                maren.sees("Guide");
                String topic = URI.create(maren.page.url()).getFragment();
                assertThat(maren.page.locator("[id='%s']".formatted(topic))).isInViewport();
                maren.page.goBack();
                maren.sees("North Room");
                assertThat(rule).isInViewport();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"23A", "26A", "28A", "33A"})
    void the_picture_of_a_piece_is_true_to_its_numbers(String tag) {
        try (Visitor maren = Visitor.at(House.demo()).signedIn()) {
            maren.visit(address(maren, tag));
            maren.sees(tag);
            // Areas of the nested outlines, measured by the browser itself, against the shares written beside them.
            String measure = """
                    async () => {
                      const svg = document.querySelector('main svg[role=img]');
                      await new Promise((done) => setTimeout(done, 800));
                      const paths = [...svg.querySelectorAll('path')].filter((path) => path.closest('g'));
                      const area = (path) => { const m = path.getCTM(); return Math.abs(m.a * m.d - m.b * m.c); };
                      const whole = Math.abs(svg.querySelector('path[stroke-dasharray]').getCTM().a ** 2);
                      return paths.map((path) => area(path) / whole);
                    }
                    """;
            List<?> areas = (List<?>) maren.page.evaluate(measure);
            String title = maren.page.locator("main svg[role=img]").first().getAttribute("aria-label");
            var numbers = Pattern.compile("([0-9.]+) %")
                    .matcher(title)
                    .results()
                    .map(found -> Double.parseDouble(found.group(1)) / 100)
                    .toList(); // now, steak, crust, fat, bone
            double now = numbers.get(0);
            double steak = numbers.get(1);
            double fat = numbers.get(3);
            double bone = numbers.get(4);
            List<Double> drawn =
                    areas.stream().map(area -> ((Number) area).doubleValue()).toList();
            assertThat(drawn.get(0)).isCloseTo(now, org.assertj.core.api.Assertions.within(0.002));
            assertThat(drawn.get(1)).isCloseTo(now - fat, org.assertj.core.api.Assertions.within(0.002));
            assertThat(drawn.get(2)).isCloseTo(now - fat - bone, org.assertj.core.api.Assertions.within(0.002));
            assertThat(drawn.get(3)).isCloseTo(steak, org.assertj.core.api.Assertions.within(0.002));
        }
    }
}
