package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A trial that leaves its house: the protocol goes to a neighbour, its result comes back, a page is shown around. */
class CarriedIT {
    private static final String QUESTION = "Does honey keep the water?";

    private static Client hand(House house) {
        Client hand = house.client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        return hand;
    }

    private static void finish(Client hand, String piece, int aged) {
        hand.must(hand.write(piece, Bodies.entry("PULLED", aged)));
        hand.must(hand.write(piece, Bodies.pile("STEAK", 1200)));
        hand.must(hand.write(piece, Bodies.pile("DISCARD", aged - 1200)));
        hand.must(hand.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
    }

    /** Two halves hung 30 days ago, honey on the second, both cut. */
    private static String honeyTrial(Client hand, String room) {
        List<String> halves = hand.hangAgo(30, hand.chamber(room, 100_000), 30, 2000, 2000);
        Map<String, Object> honey = Bodies.treatmentBody("SUGAR_COAT");
        honey.putAll(Map.of("amount", 22, "measure", "GRAM", "basis", "KILOGRAM", "exactly", "buckwheat honey"));
        honey.put("answers", Map.of("clash-sugar-hides-mould", ""));
        hand.must(hand.give(halves.get(1), honey));
        String id = UUID.randomUUID().toString();
        Map<String, Object> trial = new HashMap<>(
                Map.of("question", QUESTION, "factor", "TREATMENT", "measure", "SHRINK", "parts", List.of()));
        trial.put("answers", Map.of());
        trial.put("arms", List.of(arm("Plain", true, halves.get(0)), arm("Honey", false, halves.get(1))));
        hand.must(hand.put("/api/trials/" + id, trial));
        finish(hand, halves.get(0), 1660);
        finish(hand, halves.get(1), 1700);
        return id;
    }

    private static Map<String, Object> arm(String name, boolean control, String piece) {
        return Map.of("id", UUID.randomUUID().toString(), "name", name, "control", control, "pieces", List.of(piece));
    }

    private static Path carry(Visitor visitor, Path to) {
        Download file = visitor.page.waitForDownload(() -> visitor.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Protocol and result as a file"))
                .click());
        file.saveAs(to);
        return to;
    }

    private static void takeIn(Visitor visitor, Path file) {
        visitor.page.getByLabel("A protocol file").setInputFiles(file);
    }

    @Test
    void a_protocol_is_carried_to_a_neighbour_and_what_came_of_it_there_comes_back(@TempDir Path folder) {
        House here = House.shop();
        House there = House.neighbour();
        String trial = honeyTrial(hand(here), "North Room");
        Client neighbour = hand(there);
        neighbour.chamber("Stone Locker", 100_000);
        String lot = UUID.randomUUID().toString();
        Map<String, Object> bought = Bodies.lotBody(lot, 4020);
        bought.putAll(Map.of(
                "cutCode",
                "strip",
                "boneIn",
                false,
                "receivedOn",
                Bodies.today().toString()));
        neighbour.must(neighbour.post("/api/lots", bought));
        try (Visitor maren = Visitor.at(here).signedIn();
                Visitor other = Visitor.at(there).signedIn()) {
            maren.visit("/trials/" + trial);
            maren.reads("Honey has 2.0 points less shrink than Plain");
            Path protocol = carry(maren, folder.resolve("protocol.json"));

            other.go("Trials");
            takeIn(other, protocol);
            other.sees("A trial by a protocol");
            assertThat(other.field("The question, in words")).hasValue(QUESTION);
            assertThat(other.field("What exactly")).hasValue("buckwheat honey");
            other.field("Part 1").fill("2");
            other.field("Part 2").fill("2");
            other.press("Draw, split and hang it");
            other.reads("A sticky face hides mould");
            other.press("Do it so");
            other.sees(QUESTION);
            String followed = other.page.url().replaceAll(".*/", "");
            neighbour
                    .get("/api/trials/" + followed)
                    .body()
                    .path("arms")
                    .forEach(arm -> finish(
                            neighbour,
                            arm.at("/pieces/0/card/id").asString(),
                            arm.path("control").asBoolean() ? 1660 : 1720));
            other.visit("/trials/" + followed);
            other.reads("2 houses together, 2 pairs");
            Path result = carry(other, folder.resolve("result.json"));

            takeIn(maren, result);
            maren.reads("2 houses together, 2 pairs: Honey has");
            maren.reads("Sallow Estate");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            assertThat(maren.complaints).isEmpty();
            assertThat(other.complaints).isEmpty();
        }
    }

    @Test
    void a_trial_is_shown_to_whoever_has_its_link_until_it_is_taken_back() {
        House house = House.shop();
        String trial = honeyTrial(hand(house), "Back Room");
        try (Visitor maren = Visitor.at(house).signedIn();
                Visitor stranger = Visitor.withPhone(house)) {
            maren.visit("/trials/" + trial);
            maren.press("Show it around");
            maren.press("Make a link");
            String link = maren.field("The link").inputValue();
            stranger.page.navigate(link);
            stranger.sees(QUESTION);
            stranger.reads("Honey has 2.0 points less shrink than Plain");
            stranger.doesNotRead("Hollin Farm");
            stranger.doesNotRead("Back Room");
            stranger.doesNotRead("€");
            assertThat(stranger.overflow()).isZero();
            assertThat(AccessIT.faults(stranger.page)).isEmpty();
            Download picture = stranger.page.waitForDownload(() -> stranger.press("Save as picture"));
            assertThat(picture.suggestedFilename()).isEqualTo("trial.png");
            maren.press("Take the link back");
            maren.press("Yes, take the link back");
            assertThat(maren.button("Make a link")).isVisible();
            stranger.page.reload();
            stranger.sees("This page is no longer shown");
        }
    }

    /** Bought on the screen in halves, one to hang and one fresh; cut, asked about and read on the screen. */
    @Test
    void two_grades_fresh_and_aged_are_asked_about_from_the_purchase_to_the_verdict() {
        House house = House.shop();
        Client hand = hand(house);
        hand.chamber("Pantry fridge", 100_000);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            List<String> cow = buyInHalves(maren, "old cow", "14");
            List<String> steer = buyInHalves(maren, "young steer", "27");
            for (List<String> halves : List.of(cow, steer)) {
                String fresh = id(hand, halves.get(1));
                maren.visit("/pieces/" + fresh);
                maren.press("Weigh it for the bench");
                maren.fill("Weight on the scale", "1.98");
                maren.press("To the bench");
                maren.page
                        .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cut it"))
                        .click();
                maren.onto("Steaks", "1.9");
                maren.onto("Discard", "0.08");
                maren.reads("Every gram is on a pile");
                maren.press("Close the bench");
                maren.reads("the price at which it breaks even");
                finish(hand, id(hand, halves.get(0)), 1900);
            }
            maren.visit("/trials/new");
            maren.field("The question, in words").fill("Is ageing worth it, and for which grade?");
            maren.choose("What is compared", "fresh or aged");
            maren.choose("Judged by", "liking");
            maren.choose("Of which pieces", "pieces that hang or hung already");
            maren.press("One arm more");
            maren.press("One arm more");
            List<String> names = List.of("Cow fresh", "Cow aged", "Steer fresh", "Steer aged");
            List<String> tags = List.of(cow.get(1), cow.get(0), steer.get(1), steer.get(0));
            for (int arm = 0; arm < 4; arm++) {
                maren.field("Name of arm " + (arm + 1)).fill(names.get(arm));
                maren.page
                        .getByLabel("A piece of %s, by its tag".formatted(names.get(arm)))
                        .fill(tags.get(arm));
                maren.page
                        .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(tags.get(arm)))
                        .first()
                        .click();
            }
            maren.press("Begin the trial");
            maren.sees("Is ageing worth it, and for which grade?");
            maren.reads("What ageing gains");
            maren.reads("Cow aged and Cow fresh were not tasted blind against each other yet");
            maren.reads("The cheapest aged against the dearest fresh: Cow aged and Steer fresh were not tasted");
            maren.reads("Steak costs");
            assertThat(AccessIT.faults(maren.page)).isEmpty();
            assertThat(maren.complaints).isEmpty();
        }
    }

    private static String id(Client hand, String tag) {
        return hand.get("/api/pieces?tag=" + tag).body().at("/0/id").asString();
    }

    /** @return the tags of the half that hangs and of the fresh one */
    private static List<String> buyInHalves(Visitor maren, String grade, String price) {
        maren.go("Receive");
        maren.chooseCut("strip", "Strip loin");
        maren.field("Weight").fill("4");
        maren.fill("Price per kg", price);
        maren.fill("Grade or marbling", grade);
        maren.press("Take it in");
        maren.page
                .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .getByText("Lot")
                .waitFor();
        String number = maren.page
                .getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .innerText()
                .replaceAll("\\D", "");
        maren.press("One piece more");
        maren.page.getByLabel("Weight").nth(0).fill("2");
        maren.page.getByLabel("Weight").nth(1).fill("2");
        maren.page
                .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("What it is for"))
                .nth(1)
                .click();
        maren.page
                .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("fresh, to compare"))
                .click();
        maren.press("Hang it");
        maren.reads("Cut into 2 pieces");
        return List.of(number + "A", number + "B");
    }
}
