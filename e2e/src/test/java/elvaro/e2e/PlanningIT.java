package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elvaro.server.support.Bodies;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Planning and following the plan, as a person does it, on the demo workshop. */
class PlanningIT {
    private Visitor maren;

    @BeforeEach
    void comeIn() {
        maren = Visitor.at(House.demo()).signedIn();
    }

    @AfterEach
    void leave() {
        assertThat(maren.complaints).isEmpty();
        maren.close();
    }

    private Locator slider(String name) {
        return maren.page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(name));
    }

    private Locator region(String name) {
        return maren.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    private Locator chart(String starts) {
        return maren.page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^" + starts)));
    }

    @Test
    void two_ways_stand_side_by_side_and_a_slider_moves_one_of_them() {
        maren.go("Plan");
        assertThat(chart("[0-9.]+ % gone on day 28")).isVisible();
        maren.press("Set another way beside it");
        slider("Humidity").focus();
        maren.page.keyboard().press("End");
        for (int step = 0; step < 6; step++) {
            maren.page.keyboard().press("ArrowLeft");
        }
        assertThat(region("Way A on day 28")).isVisible();
        assertThat(region("Way B on day 28")).containsText("At 94.0 % humidity the crust forms late");
        slider("Humidity").focus();
        for (int step = 0; step < 6; step++) {
            maren.page.keyboard().press("ArrowRight");
        }
        assertThat(region("Way B on day 28")).containsText("nothing dries, it only grows mould");
        maren.press("The chamber’s own air again");
        assertThat(region("Way B on day 28")).not().containsText("nothing dries");
        maren.press("Drop B");
        assertThat(region("On day 28")).isVisible();
    }

    @Test
    void a_number_opens_its_working_with_formula_figures_and_source() {
        maren.go("Plan");
        maren.press("Steak: how it is worked out");
        maren.reads("1 − shrink − crust − fat cap − bone");
        maren.reads("Reference, section 5");
    }

    @Test
    void a_single_steak_is_told_how_little_it_keeps() {
        maren.go("Plan");
        maren.chooseCut("steak", "Single beef steak");
        maren.field("Weight of a piece").fill("0.5");
        maren.reads("It is small: of it ");
        maren.reads("a whole strip loin of 5.5 kg");
    }

    @Test
    void what_cannot_be_read_or_reached_is_answered_with_a_sentence() {
        maren.go("Plan");
        maren.field("Weight of a piece").fill("heavy");
        maren.reads("Not a weight.");
        maren.press("Back from a table");
        maren.fillDay("On the table on", Bodies.today().plusDays(3));
        assertThat(maren.button("What to buy")).isDisabled(); // the weight above is still unreadable
        maren.press("From a piece");
        maren.field("Weight of a piece").fill("5");
        maren.press("Back from a table");
        maren.press("What to buy");
        maren.reads("it would have had to hang on");
        maren.fillDay("On the table on", LocalDate.of(2020, 1, 1));
        maren.press("What to buy");
        maren.reads("That day is over.");
    }

    @Test
    void from_a_table_to_what_hangs_and_its_tasks() {
        maren.go("Plan");
        maren.press("Back from a table");
        maren.fill("Portions", "8");
        maren.press("What to buy");
        maren.reads("Buy 1 × strip loin of");
        maren.reads("Enough four times in five");
        maren.fill("What for", "Eight at the long board");
        maren.fillDay("Hang on", Bodies.today());
        maren.press("Keep this plan");
        maren.press("Hang Eight at the long board");
        maren.fill("Green weight", "4.9");
        maren.fill("Supplier", "Hollin Farm");
        maren.fill("Temperature on arrival", "7");
        maren.press("Hang it");
        maren.reads("above the 5 °C of cold holding");
        maren.fill("Temperature on arrival", "2");
        maren.press("Hang it");
        maren.sees("Strip loin");
        maren.reads("Cut into one piece");
        Locator hung =
                maren.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("\\d+A")));
        String tag = hung.first().innerText().replaceAll("(?s).*?(\\d+A).*", "$1");
        hung.first().click();
        maren.sees(tag);
        assertThat(chart("0 weighings, from 4.900 kg")).isVisible();
        maren.go("Room");
        maren.page.getByText("The next fortnight").click();
        assertThat(maren.page.getByText(Pattern.compile("^turn .*" + tag))).isVisible();
        maren.doesNotRead("Eight at the long board");
    }

    @Test
    void the_preparation_is_ticked_and_stays_ticked() {
        maren.visit(maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("26A, "))
                .first()
                .getAttribute("href"));
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Preparation"))
                .click();
        maren.sees("Prepare 26A");
        maren.reads("Membrane, lying flat");
        Locator wet = maren.page.getByRole(
                AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("Leave the surface wet")));
        wet.click();
        maren.reads("Maren Oakes.");
        maren.page.reload();
        assertThat(wet).isChecked();
        wet.click();
        assertThat(wet).not().isChecked();
    }

    @Test
    void a_task_is_moved_and_skipped_and_done_from_the_room() {
        List<String> turns = maren
                .page
                .getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Move or skip: Turn ")))
                .all()
                .stream()
                .map(button -> button.getAttribute("aria-label").replace("Move or skip: Turn ", ""))
                .toList();
        assertThat(turns).hasSizeGreaterThan(2);
        maren.press("Move or skip: Turn " + turns.get(0));
        maren.press("Move it");
        assertThat(maren.button("Turned " + turns.get(0))).hasCount(0);
        maren.press("Move or skip: Turn " + turns.get(1));
        assertThat(maren.button("Skip it")).isDisabled();
        maren.fill("Why; needed to skip it", "looked at with its twin");
        maren.press("Skip it");
        assertThat(maren.button("Turned " + turns.get(1))).hasCount(0);
        maren.press("Turned " + turns.get(2));
        assertThat(maren.button("Turned " + turns.get(2))).hasCount(0);
    }

    @Test
    void a_surprising_weight_is_asked_about_at_once_and_can_be_changed() {
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("31A, "))
                .first()
                .click();
        maren.sees("31A");
        maren.press("Weigh");
        maren.fill("Weight on the scale", "4.2");
        maren.press("Save weight");
        maren.reads("was expected. That is less.");
        maren.press("Close");
    }

    @Test
    void a_shrink_has_its_day_or_a_reason_why_it_never_comes() {
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("30B, "))
                .first()
                .click();
        maren.sees("30B");
        maren.fill("When has it lost", "15");
        maren.press("Tell me");
        maren.reads("; between");
        maren.fill("When has it lost", "70");
        maren.press("Tell me");
        maren.reads("It will not lose 70.0 % within 400 days");
    }

    @Test
    void a_piece_that_goes_its_own_way_says_so_with_what_to_do() {
        assertThat(maren.page.getByText("dries slowly").first()).isVisible();
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("24B, "))
                .first()
                .click();
        maren.reads("It dries more slowly than its own past says. Likely the air is too damp or stands still");
    }

    @Test
    void the_calendar_comes_as_a_file_and_as_a_private_address_that_can_be_revoked() throws Exception {
        maren.go("Settings");
        Download file = maren.page.waitForDownload(() -> maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Download as a file"))
                .click());
        assertThat(Files.readString(file.path())).startsWith("BEGIN:VCALENDAR").contains("SUMMARY:Pull ");
        maren.press("Make a private address");
        maren.reads("it is not shown again");
        String address = maren.page
                .getByText(Pattern.compile("/calendar/.*\\.ics"))
                .last()
                .innerText();
        assertThat(maren.page.request().get(address).text()).startsWith("BEGIN:VCALENDAR");
        maren.press("Make a new address");
        maren.reads("Every calendar that reads the old one stops doing so.");
        maren.press("Yes, make a new address");
        assertThat(maren.page.getByText(address)).hasCount(0);
        maren.reads("it is not shown again");
        assertThat(maren.page.request().get(address).status()).isEqualTo(404);
        maren.press("Remove the address");
        maren.press("Yes, remove the address");
        assertThat(maren.button("Make a private address")).isVisible();
    }

    /** The project's aim: from a slider's move to the redrawn curve under 150 ms at the 95th percentile. */
    @Test
    void sliders_answer_while_they_move() {
        maren.go("Plan");
        assertThat(chart("[0-9.]+ % gone on day 28")).isVisible();
        maren.press("Set another way beside it");
        assertThat(region("Way B on day 28")).isVisible();
        String measure = """
                async () => {
                  const slider = document.activeElement;
                  const charts = document.querySelector('figure');
                  const drawn = () => [...charts.querySelectorAll('path.MuiLineChart-line')].map((line) => line.getAttribute('d')).join();
                  const times = [];
                  for (let move = 0; move < 25; move++) {
                    const before = drawn();
                    const began = performance.now();
                    slider.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
                    while (drawn() === before && performance.now() - began < 3000) {
                      await new Promise((next) => requestAnimationFrame(next));
                    }
                    times.push(performance.now() - began);
                    await new Promise((next) => setTimeout(next, 30));
                  }
                  return times;
                }
                """;
        // Every move asks for air nobody has asked for yet, so that nothing comes from memory.
        slider("Temperature").focus();
        maren.page.keyboard().press("ArrowRight");
        List<Double> times = sweep("Humidity", measure);
        double median = times.get(times.size() / 2);
        double p95 = times.get((int) Math.ceil(times.size() * 0.95) - 1);
        System.out.printf("Slider to redrawn curve, two ways: median %.0f ms, p95 %.0f ms%n", median, p95);
        assertThat(median)
                .isLessThan(1000); // a stuck view; how fast it is, is printed and not judged on a busy machine
    }

    private List<Double> sweep(String name, String measure) {
        slider(name).focus();
        maren.page.keyboard().press("Home");
        maren.page.waitForTimeout(500);
        return ((List<?>) maren.page.evaluate(measure))
                .stream().map(each -> ((Number) each).doubleValue()).sorted().toList();
    }
}
