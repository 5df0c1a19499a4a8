package elvaro.core.logger;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** From when to when a logger measured, how often, and where it did not. */
public final class LoggerSpan {
    /** A pause of more than so many steps is a gap: one reading that failed is none yet. */
    private static final int STEPS = 3;

    /** Two years of minutes are a million: they are held as plain figures. */
    private long[] seconds = new long[1024];

    private int count;

    /** A time without a reading, longer than the logger's step. */
    public record Gap(Instant from, Instant to) {
        Duration length() {
            return Duration.between(from, to);
        }
    }

    /**
     * What it comes to.
     *
     * @param step between most readings; zero if there is one alone
     * @param gaps the longest first
     */
    public record Span(Instant first, Instant last, Duration step, List<Gap> gaps) {}

    public void add(Instant at) {
        if (count == seconds.length) {
            seconds = Arrays.copyOf(seconds, 2 * count);
        }
        seconds[count++] = at.getEpochSecond();
    }

    /** @return nothing without a reading */
    public Optional<Span> span() {
        if (count == 0) {
            return Optional.empty();
        }
        long[] sorted = Arrays.copyOf(seconds, count);
        Arrays.sort(sorted);
        long usual = usualStep(sorted);
        List<Gap> gaps = new ArrayList<>();
        for (int index = 1; index < count; index++) {
            if (sorted[index] - sorted[index - 1] > STEPS * usual) {
                gaps.add(new Gap(Instant.ofEpochSecond(sorted[index - 1]), Instant.ofEpochSecond(sorted[index])));
            }
        }
        gaps.sort((one, other) -> other.length().compareTo(one.length()));
        return Optional.of(new Span(
                Instant.ofEpochSecond(sorted[0]),
                Instant.ofEpochSecond(sorted[count - 1]),
                Duration.ofSeconds(usual),
                List.copyOf(gaps)));
    }

    /** The median of the steps; several values of one moment are none. */
    private static long usualStep(long[] sorted) {
        long[] steps = new long[sorted.length];
        int known = 0;
        for (int index = 1; index < sorted.length; index++) {
            long step = sorted[index] - sorted[index - 1];
            if (step > 0) {
                steps[known++] = step;
            }
        }
        Arrays.sort(steps, 0, known);
        return known == 0 ? 0 : steps[known / 2];
    }
}
