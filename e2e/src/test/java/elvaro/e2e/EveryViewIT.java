package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Every view fits the screen it is on, however narrow it is and however large the letters are, and shuts nobody out. */
class EveryViewIT {
    /**
     * For its faults it is looked at at a desk in the light and on a phone in the dark: the same colours lie on each
     * other in both, so all four would tell no more and take twice as long.
     */
    @Test
    void no_view_has_to_be_pushed_sideways_from_320_to_1280_px_or_with_large_text_nor_has_a_serious_fault() {
        House house = House.demo();
        List<String> found = new ArrayList<>();
        try (Visitor maren = Visitor.at(house).signedIn()) {
            for (String path : Views.of(house)) {
                maren.opens(path);
                checkWidth(maren, path, found);
                faults(maren, path, found);
                maren.page.setViewportSize(390, 844);
                AccessIT.inScheme(maren.page, ColorScheme.DARK);
                faults(maren, path + " on a phone in the dark", found);
                checkWidth(maren, path + " on a phone", found);
                AccessIT.inScheme(maren.page, ColorScheme.LIGHT);
                maren.page.setViewportSize(768, 800);
                checkWidth(maren, path + " at 768 px", found);
                maren.page.setViewportSize(320, 800);
                checkWidth(maren, path + " at 320 px", found);
                maren.page.evaluate("document.documentElement.style.fontSize = '200%'");
                checkWidth(maren, path + " at 320 px, text at 200 %", found);
                maren.page.setViewportSize(1280, 800);
                checkWidth(maren, path + " at 1280 px, text at 200 %", found);
            }
        }
        assertThat(found).isEmpty();
    }

    private static void faults(Visitor maren, String what, List<String> found) {
        AccessIT.faults(maren.page).forEach(fault -> found.add(what + ": " + fault));
    }

    private static void checkWidth(Visitor maren, String what, List<String> found) {
        maren.page.waitForTimeout(120); // charts are drawn anew after the window
        if (maren.overflow() > 0) {
            found.add("%s: %d px too wide".formatted(what, maren.overflow()));
        }
    }

    /** Whatever is touched, by the box a finger meets; a link within a sentence is read, not touched. */
    static final String TOO_SMALL = """
            [document.querySelector('[role=dialog]') ?? document.querySelector('main')]
                .flatMap(place => [...place.querySelectorAll('button, a[href], [role=radio], [role=checkbox], input, summary')])
                .filter(each => !each.closest('p, [aria-hidden=true]') || each.tagName === 'BUTTON')
                .filter(each => each.checkVisibility({ opacityProperty: true }))
                .map(each => each.closest('label, .MuiInputBase-root') ?? each)
                .filter(each => each.getBoundingClientRect().height < 47.5)
                .map(each => (each.getAttribute('aria-label') ?? each.textContent).slice(0, 40) + ' '
                    + Math.round(each.getBoundingClientRect().height))""";

    @Test
    void whatever_is_touched_in_the_cold_room_has_48_px_for_a_gloved_finger() {
        House house = House.demo();
        Map<String, Object> found = new LinkedHashMap<>();
        List<String> views = Views.of(house);
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            for (String path : views.stream()
                    .filter(each -> each.startsWith("/weigh") || each.startsWith("/look"))
                    .toList()) {
                maren.opens(path);
                found.put(path, maren.page.evaluate(TOO_SMALL));
            }
            maren.opens(views.stream()
                    .filter(each -> each.startsWith("/pieces/"))
                    .findFirst()
                    .orElseThrow());
            maren.press("Pull");
            maren.field("Weight at the pull").waitFor();
            found.put("pull", maren.page.evaluate(TOO_SMALL));
        }
        found.values().removeIf(each -> ((List<?>) each).isEmpty());
        assertThat(found).isEmpty();
    }
}
