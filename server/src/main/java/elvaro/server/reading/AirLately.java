package elvaro.server.reading;

import elvaro.core.keeping.Excursions;
import elvaro.core.notice.AirTrouble.Lately;
import elvaro.server.reading.AirHours.WarmestOf;
import elvaro.server.reading.AirStore.AirSource;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What was measured of late, as far as it tells what is wrong now. */
@Component
public class AirLately {
    /** So much of the readings says whether it is warm now; of a run of warm hours all of them are read. */
    private static final Duration READINGS = Duration.ofHours(1);

    private static final Duration LONGEST_RUN = Duration.ofDays(2);

    private static final Duration HOURS = Duration.ofDays(15).plusHours(1);

    private final AirStore store;
    private final AirHours hours;
    private final Clock clock;

    AirLately(AirStore store, AirHours hours, Clock clock) {
        this.store = store;
        this.hours = hours;
        this.clock = clock;
    }

    /**
     * By chamber; what was never measured is not among them.
     *
     * @param chambers of which it is asked
     * @param probed those that have a probe
     */
    @Transactional(readOnly = true)
    public Map<UUID, Lately> of(Set<UUID> chambers, Set<UUID> probed) {
        Map<UUID, Lately> lately = new TreeMap<>();
        store.sources().values().stream()
                .filter(source -> chambers.contains(source.chamberId()))
                .forEach(source -> hours.last(source.id())
                        .ifPresent(last -> lately.put(
                                source.chamberId(), lately(source, last, probed.contains(source.chamberId())))));
        return lately;
    }

    /** What had been measured until a moment of the past, by a probe. */
    @Transactional(readOnly = true)
    public Lately asOf(UUID chamberId, Instant at) {
        AirSource source = store.sources().get(chamberId);
        Optional<Long> last =
                source == null ? Optional.empty() : hours.lastBefore(source.id(), at.getEpochSecond() + 1);
        return last.map(second ->
                        new Lately(hours.temperatures(source.id(), runFrom(source, second), second), List.of(), true))
                .orElseGet(() -> new Lately(List.of(), List.of(), false));
    }

    /** From which second readings are needed: the hours tell it, so that a cold chamber costs next to nothing. */
    private long runFrom(AirSource source, long last) {
        List<WarmestOf> known = hours.warmest(
                source.id(), Instant.ofEpochSecond(last).minus(LONGEST_RUN), Instant.ofEpochSecond(last + 1));
        long from = last - READINGS.toSeconds();
        for (int index = known.size() - 1; index >= 0; index--) {
            WarmestOf hour = known.get(index);
            if (hour.max() > Excursions.LIMIT_CELSIUS) {
                from = Math.min(from, hour.firstAt());
            } else if (hour.lastAt() < from) {
                break;
            }
        }
        return from;
    }

    private Lately lately(AirSource source, AirReading last, boolean probed) {
        Instant now = clock.instant();
        return new Lately(
                hours.temperatures(source.id(), runFrom(source, last.second()), last.second()),
                List.copyOf(hours.means(source.id(), now.minus(HOURS), now)),
                // Where the last word came from a file nobody waits for the next.
                probed && hours.cameFromProbe(source.id(), last.second()));
    }
}
