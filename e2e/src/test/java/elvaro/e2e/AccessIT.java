package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What opens on a view has no serious fault for those who see, hear or move differently; see {@link EveryViewIT}. */
class AccessIT {

    static List<String> faults(Page page) {
        return faults(page, rules(page).withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")));
    }

    /** What passes is not written out, which would take longer than to look at it. */
    private static AxeBuilder rules(Page page) {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        return new AxeBuilder(page).options(options);
    }

    /** In light, and what differs in the dark: the colours. */
    private static List<String> faultsInBoth(Page page) {
        List<String> found = new ArrayList<>(faults(page));
        inScheme(page, ColorScheme.DARK);
        faults(page, rules(page).withRules(List.of("color-contrast")))
                .forEach(fault -> found.add("in the dark: " + fault));
        inScheme(page, ColorScheme.LIGHT);
        return found;
    }

    static void inScheme(Page page, ColorScheme scheme) {
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
        PlaywrightAssertions.assertThat(page.locator("html"))
                .hasAttribute("data-scheme", scheme.name().toLowerCase(java.util.Locale.ROOT));
    }

    private static List<String> faults(Page page, AxeBuilder rules) {
        // A chart that is still being drawn has the contrast of neither state.
        page.waitForTimeout(200);
        // There are no frames, for which it would open a page of its own each time.
        List<String> found = new ArrayList<>(rules.setLegacyMode(true).analyze().getViolations().stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .map(rule -> rule.getId() + " " + rule.getNodes().get(0).getHtml())
                .toList());
        Matcher unwritten =
                Pattern.compile("⟦[^⟧]*⟧").matcher(page.locator("body").innerText());
        if (unwritten.find()) {
            found.add("a quantity that was written for nobody: " + unwritten.group());
        }
        return found;
    }

    @Test
    void what_opens_on_a_view_has_no_serious_violation_in_light_or_dark() {
        House house = House.demo();
        Map<String, List<String>> found = new LinkedHashMap<>();
        try (Visitor maren = Visitor.at(house).arrives()) {
            found.put("sign in", faultsInBoth(maren.page));
            maren.signedIn();
            found.put("room", faultsInBoth(maren.page));
            maren.oneByOne("weigh");
            maren.page
                    .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Weigh \\d")))
                    .first()
                    .click();
            maren.fill("Weight on the scale", "9");
            maren.press("Save weight");
            maren.reads("was the hook tared?");
            found.put("weigh dialog, asking", faultsInBoth(maren.page));
            maren.visit("/compare");
            maren.page
                    .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("21A and 21B"))
                    .click();
            maren.reads("What made the difference");
            found.put("compared", faultsInBoth(maren.page));
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("21A"))
                    .first()
                    .click();
            maren.sees("Bench, 21A");
            found.put("the closed bench", faultsInBoth(maren.page));
            maren.page
                    .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile(", open air, ")))
                    .click();
            maren.reads("Expected when hung, and found");
            found.put("a cut piece", faultsInBoth(maren.page));
        }
        found.values().removeIf(List::isEmpty);
        assertThat(found).isEmpty();
    }
}
