package elvaro.core.question;

import static elvaro.core.working.Quantity.date;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * A day on which something is said to have happened. One figure mistyped makes it the year 1, or ten years of what was last
 * week, and all that is reckoned by the day then goes over centuries.
 *
 * @param day said to be past
 * @param today by the clock of the house
 */
public record PastDay(LocalDate day, LocalDate today) {
    private static final int LONGEST_YEARS = 10;
    private static final int USUAL_YEARS = 1;

    public static final String TOO_LONG_AGO = "That is more than ten years ago. Check the year.";

    /** No record of a house of today begins before that. */
    public boolean isTooLongAgo() {
        return day.isBefore(today.minusYears(LONGEST_YEARS));
    }

    /** @param field the day in question, as the interface names it */
    public Optional<Question> question(String field) {
        return day.isBefore(today.minusYears(USUAL_YEARS))
                ? Optional.of(Question.confirm(
                        "long-ago",
                        field,
                        "%s is %d months ago. Is the year right?"
                                .formatted(date(day), ChronoUnit.MONTHS.between(day, today))))
                : Optional.empty();
    }
}
