package elvaro.core.keeping;

import elvaro.core.cut.Species;
import java.util.Optional;

/** What beef in open air is said to taste of at its age. Common practice, no source; other meats have no such ladder. */
public enum Style {
    MILD(0, "tender and mild"),
    TOWARDS_NUTTY(15, "on the way to nutty"),
    NUTTY(21, "nutty"),
    TOWARDS_FULL(29, "on the way to full"),
    FULL(35, "full"),
    BLUE(46, "full, with notes of blue cheese"),
    STRONG(61, "strong"),
    EXTREME(90, "extreme");

    private final int fromDay;
    private final String words;

    Style(int fromDay, String words) {
        this.fromDay = fromDay;
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** @param days hung, 0 or more; empty for anything but beef */
    public static Optional<Style> reached(Species species, long days) {
        if (species != Species.BEEF) {
            return Optional.empty();
        }
        Style reached = MILD;
        for (Style style : values()) {
            if (days >= style.fromDay) {
                reached = style;
            }
        }
        return Optional.of(reached);
    }
}
