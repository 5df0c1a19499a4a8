package elvaro.core.cost;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/** A piece's share of its chamber: its weight over the mean load that hung there while it did. */
public final class LoadShare {
    private LoadShare() {}

    /**
     * A weight in the chamber from one day to another.
     *
     * @param grams green weight
     * @param from first day
     * @param to last day, not before the first
     */
    public record Stay(int grams, LocalDate from, LocalDate to) {
        long days() {
            return Math.max(1, ChronoUnit.DAYS.between(from, to));
        }

        long daysWith(Stay other) {
            LocalDate start = from.isAfter(other.from) ? from : other.from;
            LocalDate end = to.isBefore(other.to) ? to : other.to;
            return Math.max(0, ChronoUnit.DAYS.between(start, end));
        }
    }

    /**
     * @param piece whose share is asked
     * @param others every other stay in the chamber, overlapping or not
     * @return 0–1; 1 for a piece alone
     */
    public static double of(Stay piece, List<Stay> others) {
        double companionGramDays = others.stream()
                .mapToDouble(other -> (double) other.grams() * piece.daysWith(other))
                .sum();
        double ownGramDays = (double) piece.grams() * piece.days();
        return ownGramDays / (ownGramDays + companionGramDays);
    }
}
