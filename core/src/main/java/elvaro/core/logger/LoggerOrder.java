package elvaro.core.logger;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * In which order a file writes its days: an order in which a moment cannot be, or is still to come, is none; of two in which all can be, one that
 * makes a minute over midnight a month is none either. What is left is asked.
 */
public final class LoggerOrder {
    private static final Duration LONG = Duration.ofDays(20);

    private final Map<DayOrder, Run> runs = new EnumMap<>(DayOrder.class);
    private final LocalDateTime latest;
    private boolean anything;

    private static final class Run {
        private @Nullable LocalDateTime before;
        private Duration longest = Duration.ZERO;
    }

    /** @param latest what was measured was measured before; a day of grace covers any clock */
    public LoggerOrder(Instant latest) {
        this.latest = LocalDateTime.ofInstant(latest, ZoneOffset.UTC).plusDays(1);
        for (DayOrder order : DayOrder.values()) {
            runs.put(order, new Run());
        }
    }

    /** @param text the next moment of the file; what is none in any order is passed over */
    public void next(String text) {
        Map<DayOrder, MomentText> read = new EnumMap<>(DayOrder.class);
        for (DayOrder order : runs.keySet()) {
            MomentText.of(text, order)
                    .filter(moment -> moment.local().isBefore(latest))
                    .ifPresent(moment -> read.put(order, moment));
        }
        if (read.isEmpty()) {
            return;
        }
        anything = true;
        runs.keySet().retainAll(read.keySet());
        read.forEach((order, moment) -> {
            Run run = runs.get(order);
            if (run != null) {
                if (run.before != null) {
                    Duration step = Duration.between(run.before, moment.local()).abs();
                    run.longest = step.compareTo(run.longest) > 0 ? step : run.longest;
                }
                run.before = moment.local();
            }
        });
    }

    /** @return nothing where the file could mean several, or has no moment */
    public Optional<DayOrder> sure() {
        if (!anything || runs.isEmpty()) {
            return Optional.empty();
        }
        if (runs.values().stream().map(run -> run.before).distinct().count() == 1
                && runs.values().stream().map(run -> run.longest).distinct().count() == 1) {
            return Optional.of(runs.keySet().iterator().next()); // they say the same
        }
        Map<DayOrder, Run> close = new EnumMap<>(DayOrder.class);
        runs.forEach((order, run) -> {
            if (run.longest.compareTo(LONG) < 0) {
                close.put(order, run);
            }
        });
        Map<DayOrder, Run> left = close.isEmpty() ? runs : close;
        return left.size() == 1 ? Optional.of(left.keySet().iterator().next()) : Optional.empty();
    }

    /** @return one in which all moments can be, to begin with; the plainest where there is none */
    public DayOrder likely() {
        return sure().orElse(
                        runs.isEmpty()
                                ? DayOrder.YEAR_FIRST
                                : runs.keySet().iterator().next());
    }
}
