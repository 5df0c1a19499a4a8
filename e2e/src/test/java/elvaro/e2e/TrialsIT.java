package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A honey-coat trial from one lot, from the question to the verdict and the next trial, in two months of a minute. */
class TrialsIT {
    private static final String QUESTION = "Does a buckwheat-honey coat change the shrink over 38 days?";

    @Test
    void a_honey_trial_runs_from_the_question_to_the_next_one() throws IOException {
        House house = House.ofWeeks();
        Client hand = house.client();
        hand.must(hand.signIn(House.OWNER, House.PASSWORD));
        hand.chamber("North Room", 100_000);
        try (Visitor maren = Visitor.at(house).signedIn()) {
            receive(maren);
            askAndHang(maren);
            String trial = maren.page.url().replaceAll(".*/", "");
            List<String> plain = tags(hand, trial, 0);
            List<String> honey = tags(hand, trial, 1);
            assertThat(plain).hasSize(2);
            assertThat(honey).hasSize(2);
            brushOn(maren, honey.get(0));
            String other = id(hand, honey.get(1)); // one of each by hand, its twin as a person does it
            hand.must(hand.write(other, Bodies.entry("COAT_ON", 45)));

            house.onDay(14);
            weigh(maren, plain.get(0), "1.86");
            weigh(maren, honey.get(0), "1.965"); // with 45 g of honey on it
            hand.must(hand.write(id(hand, plain.get(1)), Bodies.entry("WEIGHED", 1860)));
            hand.must(hand.write(other, Bodies.entry("WEIGHED", 1965)));
            look(hand, other);
            open(maren, trial);
            maren.reads("slower than Plain (80 %:");
            assertThat(maren.page.getByAltText(honey.get(1) + " on day 14")).isVisible();
            assertThat(AccessIT.faults(maren.page)).isEmpty();

            house.onDay(38);
            cut(maren, plain.get(0), "1.67", "1.2", "0.47");
            cutHoney(maren, honey.get(0), "1.835", "1.32", "0.475");
            finish(hand, id(hand, plain.get(1)), 1680, 0, 1210);
            finish(hand, other, 1847, 40, 1330);
            open(maren, trial);
            maren.reads("points less shrink than Plain");
            maren.reads("That is not chance.");
            maren.reads("Seen beside it");
            assertThat(maren.page.getByText("degree of freedom").first()).isHidden();
            maren.button("How sure is that?").first().click();
            assertThat(maren.page.getByText("degree of freedom").first()).isVisible();
            maren.doesNotRead("What weakens it");
            maren.field("What you learnt from it").fill("It keeps the water in.");
            maren.press("Keep it");
            assertThat(maren.button("Keep it")).hasCount(0);
            maren.reads("It keeps the water in.");

            maren.page
                    .getByRole(
                            AriaRole.RADIO,
                            new Page.GetByRoleOptions()
                                    .setName("Sugar or syrup coat: 11 g per kg green weight instead of 22 g"))
                    .check();
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Set it up"))
                    .click();
            maren.sees("The next trial");
            assertThat(maren.field("Dose")).hasValue("11");
            assertThat(maren.field("What exactly")).hasValue("buckwheat honey");
            maren.go("Trials");
            maren.reads("What this shop has learnt");
            assertThat(maren.complaints).isEmpty();
        }
        try (Visitor phone = Visitor.withPhone(house).signedIn()) {
            phone.go("Trials");
            phone.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(QUESTION))
                    .click();
            phone.reads("Honey has");
            assertThat(phone.overflow()).isZero();
        }
    }

    private static void receive(Visitor maren) {
        maren.go("Receive");
        maren.chooseCut("strip", "Strip loin");
        maren.field("Weight").fill("8.05");
        maren.fill("Price per kg", "21.80");
        maren.press("Take it in");
        maren.sees("Lot 1");
    }

    private static void askAndHang(Visitor maren) {
        maren.go("Trials");
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New trial"))
                .click();
        maren.press("Draw, split and hang it");
        maren.reads("Put the question in words.");
        maren.field("The question, in words").fill(QUESTION);
        maren.choose("Judged by", "shrink");
        maren.field("Target days").fill("38");
        maren.field("Name of arm 2").fill("Honey");
        maren.field("What exactly").fill("buckwheat honey");
        maren.field("Dose").fill("22");
        maren.choose("For", "per kg green weight");
        maren.field("Part 1").fill("2");
        maren.field("Part 2").fill("3");
        maren.reads("more than 15 % apart, and small pieces dry faster");
        maren.reads("One piece in an arm is an anecdote");
        maren.press("One part more");
        maren.press("One part more");
        maren.field("Part 2").fill("2.01");
        maren.field("Part 3").fill("2");
        maren.field("Part 4").fill("2.01");
        maren.reads("The design is fair");
        maren.reads("0.030 kg on no piece: cutting loss");
        assertThat(AccessIT.faults(maren.page)).isEmpty();
        maren.press("Draw, split and hang it");
        maren.reads("A sticky face hides mould");
        maren.press("Do it so");
        maren.sees(QUESTION);
        maren.reads("Too little is gone yet to tell the arms apart");
    }

    private static List<String> tags(Client hand, String trial, int arm) {
        return hand.get("/api/trials/" + trial)
                .body()
                .at("/arms/%d/pieces".formatted(arm))
                .valueStream()
                .map((JsonNode piece) -> piece.at("/card/tag").asString())
                .toList();
    }

    private static String id(Client hand, String tag) {
        return hand.get("/api/pieces?tag=" + tag).body().at("/0/id").asString();
    }

    /** A look with a picture of it. */
    private static void look(Client hand, String piece) throws IOException {
        String look = "/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID());
        hand.must(hand.put(look, Bodies.lookBody()));
        assertThat(hand.bytes("PUT", look + "/photos/" + UUID.randomUUID(), LookingIT.picture())
                        .statusCode())
                .isEqualTo(204);
    }

    private static void finish(Client hand, String piece, int pulled, int coat, int steak) {
        hand.must(hand.write(piece, Bodies.entry("PULLED", pulled)));
        if (coat > 0) {
            hand.must(hand.write(piece, Bodies.entry("COAT_OFF", coat)));
        }
        hand.must(hand.write(piece, Bodies.pile("STEAK", steak)));
        hand.must(hand.write(piece, Bodies.pile("DISCARD", pulled - coat - steak)));
        hand.must(hand.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
    }

    private static void open(Visitor maren, String trial) {
        maren.visit("/trials/" + trial);
        maren.sees(QUESTION);
    }

    private static void openPiece(Visitor maren, String tag) {
        maren.page
                .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Find"))
                .fill(tag);
        maren.page
                .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(tag))
                .first()
                .click();
        maren.sees(tag);
    }

    /** From the list of what is due: the step says to weigh the coat on. */
    private static void brushOn(Visitor maren, String tag) {
        maren.go("Room");
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Treat " + tag))
                .first()
                .click();
        maren.sees(tag);
        maren.reads("44");
        maren.press("Coat on");
        maren.fill("Weight of the coat", "45 g");
        maren.fill("Which coat", "buckwheat honey");
        maren.press("Save coat");
        maren.page
                .getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Done: Weigh the piece, brush it on")))
                .click();
        maren.reads("done ");
    }

    private static void weigh(Visitor maren, String tag, String weight) {
        openPiece(maren, tag);
        maren.press("Weigh");
        maren.fill("Weight on the scale", weight);
        maren.press("Save weight");
        keepIfAsked(maren, tag + ": ");
    }

    private static void keepIfAsked(Visitor maren, String saved) {
        Locator question = maren.page.getByRole(AriaRole.ALERTDIALOG);
        Locator done = maren.page.getByText(saved).first();
        assertThat(question.or(done).first()).isVisible();
        if (question.isVisible()) {
            maren.keep();
        }
        assertThat(done).isVisible();
    }

    private static void cut(Visitor maren, String tag, String aged, String steak, String discard) {
        pull(maren, tag, aged);
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cut it"))
                .click();
        bench(maren, tag, steak, discard);
    }

    private static void cutHoney(Visitor maren, String tag, String withCoat, String steak, String discard) {
        pull(maren, tag, withCoat);
        maren.press("Coat off");
        maren.fill("Weight of the coat as it came off", "40 g");
        maren.press("Save");
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Cut it"))
                .click();
        bench(maren, tag, steak, discard);
    }

    private static void pull(Visitor maren, String tag, String weight) {
        openPiece(maren, tag);
        maren.press("Pull");
        maren.fill("Weight at the pull", weight);
        maren.press("Pull it");
        keepIfAsked(maren, "Cut it");
    }

    private static void bench(Visitor maren, String tag, String steak, String discard) {
        maren.sees("Bench, " + tag);
        maren.cutBy("slice first, the crust off");
        maren.onto("Steaks", steak);
        maren.onto("Discard", discard);
        maren.press("Close the bench");
        maren.reads("the price at which it breaks even");
    }
}
