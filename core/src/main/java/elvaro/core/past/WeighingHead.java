package elvaro.core.past;

import elvaro.core.past.CellParser.Order;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The head of a column that holds one weighing of each piece: its day, or how many days or weeks after it was hung. */
record WeighingHead(Optional<LocalDate> day, int daysAfter) {
    private static final Pattern AFTER =
            Pattern.compile("(?iu)(?:(d|day|tag|t|jour|j)|(w|wk|week|woche|semaine|kw))\\.? ?(\\d{1,3})");
    private static final int WEEK = 7;

    static Optional<WeighingHead> of(String head, Order order) {
        Matcher after = AFTER.matcher(head.strip());
        if (after.matches()) {
            int number = Integer.parseInt(after.group(3));
            return Optional.of(new WeighingHead(Optional.empty(), after.group(1) == null ? WEEK * number : number));
        }
        try {
            return Optional.of(new WeighingHead(Optional.of(CellParser.day(head, order)), 0));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    /** @return none where it counts from a day that is not known */
    Optional<LocalDate> on(Optional<LocalDate> hungOn) {
        return day.or(() -> hungOn.map(from -> from.plusDays(daysAfter)));
    }
}
