package elvaro.core.cut;

import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.question.Question;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What to ask when a lot comes in.
 *
 * @param cut what it is said to be
 * @param grams its weight, above 0
 * @param celsius its temperature on arrival, if taken
 * @param daysSincePacked days between pack date and arrival, if the pack date is known
 */
public record Arrival(Cut cut, int grams, Optional<Double> celsius, Optional<Long> daysSincePacked) {
    /** Whether it weighs what one piece of its cut does not. */
    public static final String WEIGHT_UNUSUAL = "weight-unusual";

    /** Cold holding at or below 5 °C (41 °F): FDA Food Code 3-501.16, from memory. */
    public static final double COLD_HOLDING_CELSIUS = 5;

    /** Fresh meat in vacuum older than this is asked about (common practice, no source). */
    private static final long OLD_PACK_DAYS = 60;

    public List<Question> questions() {
        List<Question> questions = new ArrayList<>();
        if (!cut.weightIsUsual(grams)) {
            questions.add(Question.confirm(
                    WEIGHT_UNUSUAL,
                    "receivedGrams",
                    "%s is unusual for %s, which weighs %s. Is it the right cut, and one piece?"
                            .formatted(
                                    mass(grams),
                                    cut.name().toLowerCase(java.util.Locale.ROOT),
                                    limit(cut.leastGrams(), cut.mostGrams()))));
        }
        celsius.filter(degrees -> degrees > COLD_HOLDING_CELSIUS)
                .ifPresent(degrees -> questions.add(Question.reason(
                        "arrived-warm",
                        "arrivalCelsius",
                        "It came in at %s, above the %s of cold holding. Decide: send it back, or keep it and say why."
                                .formatted(temperature(degrees), temperature(5)))));
        celsius.filter(degrees -> degrees < -1.8)
                .ifPresent(degrees -> questions.add(Question.confirm(
                        "arrived-frozen",
                        "arrivalCelsius",
                        "At %s it is frozen. Meat is thawed in the cold before it is hung. Keep it?"
                                .formatted(temperature(degrees)))));
        daysSincePacked
                .filter(days -> days > OLD_PACK_DAYS)
                .ifPresent(days -> questions.add(Question.reason(
                        "old-pack",
                        "packedOn",
                        "It was packed %d days before it came. Smell it on opening, and say why it is kept."
                                .formatted(days))));
        return questions;
    }
}
