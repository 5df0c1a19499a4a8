package elvaro.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** From the guide to how much of a treatment a piece gets, and what stands against it. */
class TreatmentsIT {
    @Test
    void a_dose_is_worked_out_from_the_label_and_clashes_are_said() {
        try (Visitor maren = Visitor.withPhone(House.shop()).signedIn()) {
            maren.go("Guide");
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("work out a dose"))
                    .click();
            maren.sees("Treatments");
            maren.choose("Treatment", "Liquid smoke");
            maren.field("Green weight").fill("3.4");
            maren.reads("1.5 tsp"); // 3.4 kg is 7.496 lb, a fifth of it, by hand
            maren.reads("1 × the dose on the label");
            maren.field("Dose").fill("3.5");
            maren.reads("more than three times");
            maren.field("Dose").fill("0");
            maren.reads("A dose is above 0.");
            maren.doesNotRead("the dose on the label"); // the answer before is not this dose's
            maren.field("Dose").fill("a lot");
            maren.reads("Not a number.");
            maren.field("Dose").fill("1000000000");
            maren.reads("That is more than any piece takes.");

            maren.choose("Treatment", "Paste or rub");
            maren.choose("Method", "Vacuum");
            maren.field("raw garlic or fresh herbs in it").check();
            maren.reads("Raw garlic and herbs under a wrap can rot");
            maren.field("oil in it").check();
            assertThat(maren.page.getByRole(AriaRole.ALERT)).containsText("botulism");

            // By keys: letters look for a choice while the list is open, and lead nowhere else.
            maren.page
                    .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Treatment"))
                    .focus();
            maren.page.keyboard().press("Enter");
            maren.page.keyboard().type("cold");
            maren.page.keyboard().press("Enter");
            maren.sees("Treatments");
            maren.reads("Measure the meat before each burst");
            maren.field("The meat measures").fill("6");
            maren.reads("The meat is above 4");
            org.assertj.core.api.Assertions.assertThat(maren.overflow()).isZero();
            org.assertj.core.api.Assertions.assertThat(AccessIT.faults(maren.page))
                    .isEmpty();
        }
    }
}
