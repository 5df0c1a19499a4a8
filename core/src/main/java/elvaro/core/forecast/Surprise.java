package elvaro.core.forecast;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.question.Question;
import java.util.Optional;

/** Asks about a weighing that lies far from its forecast. Reference section 4. */
public final class Surprise {
    /** Standard deviations beyond which a weighing is asked about. */
    private static final double LIMIT = 2.5;

    private Surprise() {}

    /**
     * @param forecast made without the weighing
     * @param weighing in question
     * @param greenGrams G
     * @param left share of the piece that is there, slices taken off
     */
    public static Optional<Question> question(Forecast forecast, Observed weighing, int greenGrams, double left) {
        double z = forecast.surprise(weighing);
        if (Math.abs(z) <= LIMIT) {
            return Optional.empty();
        }
        Forecast.Day day = forecast.on(weighing.day());
        String expected = "%s to %s was expected"
                .formatted(
                        mass(Math.round(left * greenGrams * (1 - day.most()))),
                        mass(Math.round(left * greenGrams * (1 - day.least()))));
        String doubt = z > 0
                ? "That is less. Is it the right piece, was the scale tared, was a slice taken?"
                : "That is more. Is it the right piece, is it wet, was the hook tared?";
        return Optional.of(Question.confirm("surprising", "grams", expected + ". " + doubt));
    }
}
