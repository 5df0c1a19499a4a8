package elvaro.core.air;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/**
 * The clock of a probe that is fast: what it measured last cannot have been after it arrived. One that is slow cannot be told
 * from a pack that waited.
 */
public final class FastClock {
    /** On its way a pack takes no less than nothing; clocks that are kept right differ by less than this. */
    private static final Duration TOLERATED = Duration.ofMinutes(1);

    /** Nobody's clock is fast by more and still tells anything. */
    private static final Duration MOST = Duration.ofHours(2);

    private FastClock() {}

    /**
     * By how much the moments of a pack are to be put back. A pack whose last moment is now is of a clock that was set right; one
     * that waited for as long as its clock is fast looks the same, and is taken for it.
     *
     * @param last its last moment, by the probe's clock
     * @param arrived by ours
     * @param known by how much the clock was found fast before: a pack that is sent again is put back by the same
     * @throws IllegalArgumentException with a sentence, if it is fast by more than can be put right
     */
    public static Duration ahead(Instant last, Instant arrived, Duration known) {
        Duration ahead = Duration.between(arrived, last);
        if (ahead.compareTo(MOST) > 0) {
            throw new IllegalArgumentException(
                    "%s is still to come: the clock of the device is wrong.".formatted(last));
        }
        if (ahead.compareTo(TOLERATED) > 0) {
            // What is known explains whatever is less: a pack that is sent again minutes later stays where it was.
            boolean explained = !known.isZero() && ahead.compareTo(known.plus(TOLERATED)) <= 0;
            return explained ? known : ahead.truncatedTo(ChronoUnit.SECONDS);
        }
        boolean setRight = ahead.abs().compareTo(TOLERATED) <= 0;
        return setRight ? Duration.ZERO : known;
    }

    /** In a sentence. */
    public static String words(Duration ahead) {
        long minutes = Math.max(1, Math.round(ahead.toSeconds() / 60.0));
        return "Its clock is %s fast; its moments are put back by so much."
                .formatted(minutes == 1 ? "a minute" : minutes + " minutes");
    }
}
