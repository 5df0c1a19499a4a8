package elvaro.core.cost;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;

/** What hung in a chamber, day by day, and so what share of it was each piece's. Any number of pieces in one pass. */
public final class LoadHistory {
    private final long firstDay;

    /** Gram-days from the first day up to each day. */
    private final double[] until;

    /**
     * A weight in the chamber from one day to another.
     *
     * @param grams green weight
     * @param from first day
     * @param to last day, not before the first
     */
    public record Stay(int grams, LocalDate from, LocalDate to) {
        /** A piece that was pulled before the day it is said to have hung on hung for no day. */
        public static Stay between(int grams, LocalDate from, LocalDate to) {
            return new Stay(grams, from, to.isBefore(from) ? from : to);
        }

        public long days() {
            return ChronoUnit.DAYS.between(from, to);
        }

        private double gramDays() {
            return (double) grams * days();
        }
    }

    /** @param stays every stay in the chamber, overlapping or not */
    public LoadHistory(Collection<Stay> stays) {
        firstDay =
                stays.stream().mapToLong(stay -> stay.from().toEpochDay()).min().orElse(0);
        long lastDay =
                stays.stream().mapToLong(stay -> stay.to().toEpochDay()).max().orElse(0);
        double[] change = new double[(int) (lastDay - firstDay) + 1];
        for (Stay stay : stays) {
            change[index(stay.from())] += stay.grams();
            change[index(stay.to())] -= stay.grams();
        }
        until = new double[change.length];
        double load = 0;
        for (int day = 1; day < until.length; day++) {
            load += change[day - 1];
            until[day] = until[day - 1] + load;
        }
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - firstDay);
    }

    /**
     * A piece's weight over the mean load that hung there while it did.
     *
     * @param piece one of the stays
     * @return 0–1; 1 for a piece alone, or one that hung for less than a day
     */
    public double share(Stay piece) {
        double all = until[index(piece.to())] - until[index(piece.from())];
        return all <= 0 ? 1 : piece.gramDays() / all;
    }
}
