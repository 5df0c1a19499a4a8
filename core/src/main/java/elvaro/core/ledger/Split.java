package elvaro.core.ledger;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;

import elvaro.core.question.Question;
import java.util.List;
import java.util.Optional;

/**
 * A lot cut into pieces: the parts and what was lost between them.
 *
 * @param received grams of the lot still uncut, above 0
 * @param pieces grams of each piece, each above 0
 */
public record Split(int received, List<Integer> pieces) {
    /** Above this share of the lot a cutting loss is asked about (EST). */
    private static final double USUAL_LOSS = 0.02;

    public Split {
        if (received <= 0 || pieces.isEmpty() || pieces.stream().anyMatch(grams -> grams <= 0)) {
            throw new IllegalArgumentException("A split needs a lot above 0 g and pieces above 0 g");
        }
        pieces = List.copyOf(pieces);
    }

    /** Lot less pieces; negative when the pieces weigh more than the lot. */
    public int cuttingLoss() {
        return received - pieces.stream().mapToInt(Integer::intValue).sum();
    }

    /** More on the pieces than there was, beyond what scale divisions explain. */
    public boolean impossible(int divisionGrams) {
        return -cuttingLoss() > divisionGrams * (pieces.size() + 1);
    }

    public Optional<Question> question() {
        double share = (double) cuttingLoss() / received;
        if (share <= USUAL_LOSS) {
            return Optional.empty();
        }
        return Optional.of(Question.reason(
                "cutting-loss",
                "pieces",
                "%s (%s of the lot) is on no piece. Is a piece missing, or was that cut away?"
                        .formatted(mass(cuttingLoss()), share(share))));
    }
}
