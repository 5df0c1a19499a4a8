package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
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
}
