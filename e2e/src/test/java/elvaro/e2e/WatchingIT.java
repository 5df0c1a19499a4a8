package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import elvaro.server.support.Client;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Air of a chamber, watched and decided about. */
class WatchingIT {
    private final House house = House.demo();
    private Visitor maren;

    @BeforeEach
    void signIn() {
        maren = Visitor.at(house).signedIn();
    }

    @AfterEach
    void leave() {
        assertThat(maren.complaints).isEmpty();
        maren.close();
    }

    private Locator chamber(String name) {
        return maren.page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void a_silence_is_decided_about_from_the_room_and_leaves_the_list() {
        maren.page
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Decide Game larder"))
                .click();
        maren.sees("Game larder");
        maren.reads("No reading for 8 hours");
        assertThat(maren.button("Record it")).isDisabled();
        maren.fill("What was decided, and why", "Battery of the probe; the shed stayed shut.");
        maren.press("Record it");
        maren.reads("Battery of the probe; the shed stayed shut.");
        maren.go("Room");
        assertThat(maren.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Decide Game larder")))
                .hasCount(0);
    }

    @Test
    void the_air_is_looked_at_over_an_hour_or_a_year_and_its_faults_stay_seen() {
        chamber("Pantry fridge").click();
        maren.sees("Pantry fridge");
        for (String stretch : new String[] {"Hour", "Day", "Month", "Year"}) {
            maren.press(stretch);
            maren.reads("Drying power");
        }
        maren.reads("Compressor tripped in the night");
        maren.reads("Days by the calendar");
        assertThat(AccessIT.faults(maren.page)).isEmpty();
    }

    @Test
    void a_loggers_file_is_taken_in_and_a_wrong_line_is_named() {
        chamber("Long chest").click();
        maren.sees("Long chest");
        maren.press("Take in a logger’s file");
        choose("Time;Temp\n2026-01-05 10:00;0,2\n2026-01-05 10:10;warm\n");
        maren.reads("Line 3: “warm” is no number. Nothing of the file was kept.");
        assertThat(maren.button("Take it in")).isDisabled();
        choose("Chest logger\nTime;Temp\n05/01/2026 10:00;0,2\n05/01/2026 10:10;0,3\n05/01/2026 10:20;--\n");
        maren.reads("They could be meant in two ways.");
        assertThat(maren.button("First say how its days are written")).isDisabled();
        maren.choose("Days are written", "day, month, year");
        maren.reads("2 readings from");
        maren.reads("1 line with a moment and no value.");
        assertThat(AccessIT.faults(maren.page)).isEmpty();
        maren.press("Take it in");
        maren.reads("2 readings kept");
        maren.press("Close");
        maren.press("Year");
        maren.reads("mean 0.");
    }

    private void choose(String file) {
        maren.page
                .getByLabel("File of the logger")
                .setInputFiles(new FilePayload("logger.csv", "text/csv", file.getBytes(StandardCharsets.UTF_8)));
        assertThat(maren.button("logger.csv")).isVisible();
    }

    @Test
    void a_probe_is_added_speaks_and_is_shut_out() {
        maren.go("Settings");
        maren.fill("Name of the device", "Ice probe");
        maren.page.getByLabel("What it measures").click();
        maren.page
                .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("air of Long chest"))
                .click();
        maren.press("Add the device");
        Locator told = maren.page.getByText("Give Ice probe this token now");
        assertThat(told).isVisible();
        String token = told.locator("strong").textContent();
        Client device = house.client();
        assertThat(device.pack(token, "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":0.4}]").status())
                .isEqualTo(200);
        maren.go("Room");
        maren.reads("0.4 °C");
        maren.go("Settings");
        maren.press("Remove access of Ice probe");
        maren.press("Yes, remove access");
        assertThat(maren.button("Remove access of Ice probe")).hasCount(0);
        assertThat(device.pack(token, "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":0.5}]").status())
                .isEqualTo(401);
    }
}
