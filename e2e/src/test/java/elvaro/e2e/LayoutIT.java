package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Every view fits the screen it is on, however narrow it is and however large the letters are. */
class LayoutIT {
    private static final List<Integer> WIDTHS = List.of(1280, 768, 390, 320);

    @Test
    void no_view_has_to_be_pushed_sideways_from_320_to_1280_px_or_with_text_twice_as_large() {
        House house = House.demo();
        List<String> found = new ArrayList<>();
        try (Visitor maren = Visitor.at(house).signedIn()) {
            for (String path : Views.of(house)) {
                maren.page.setViewportSize(1280, 800);
                maren.opens(path);
                for (int width : WIDTHS) {
                    maren.page.setViewportSize(width, 800);
                    check(maren, "%s at %d px".formatted(path, width), found);
                }
                maren.page.evaluate("document.documentElement.style.fontSize = '200%'");
                check(maren, path + " at 320 px, text at 200 %", found);
                maren.page.setViewportSize(1280, 800);
                check(maren, path + " at 1280 px, text at 200 %", found);
            }
        }
        assertThat(found).isEmpty();
    }

    private static void check(Visitor maren, String what, List<String> found) {
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
