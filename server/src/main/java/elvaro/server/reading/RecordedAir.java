package elvaro.server.reading;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.air.HourlyAir;
import elvaro.core.drying.SetPointMiss;
import elvaro.server.chamber.Chamber;
import elvaro.server.reading.AirStore.AirSource;
import elvaro.server.settings.HouseClock;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Recorded air as forecasts use it: by the hour, up to the last full quarter of a day, which is the step the drying is
 * reckoned in. A forecast is so made anew four times a day and not every minute. Kept in memory under the revision of the
 * chamber's air, which every write into this part of the past raises.
 */
@Component
public class RecordedAir {
    private static final long QUARTER_SECONDS = Duration.ofHours(6).toSeconds();

    /** What was measured longer ago does not say how a chamber runs. */
    private static final Duration LATELY = Duration.ofDays(3);

    /** Longer ago nothing hangs. */
    private static final Duration LOOKED_BACK = Duration.ofDays(500);

    private static final int MOST_CHAMBERS_KEPT = 200;

    /** A day of which fewer hours were measured says little of its mean. */
    private static final int MOST_OF_A_DAY_HOURS = 18;

    /** What a chamber's recorded air is known under; two that are equal are the same air. */
    public record Version(UUID chamberId, long revision, Instant until) {}

    private record KeptVersion(Version version, long source) {}

    private final Cache<KeptVersion, List<HourlyAir>> kept =
            Caffeine.newBuilder().maximumSize(MOST_CHAMBERS_KEPT).build();
    private final AirStore store;
    private final AirHours hours;
    private final Clock clock;

    RecordedAir(AirStore store, AirHours hours, Clock clock) {
        this.store = store;
        this.hours = hours;
        this.clock = clock;
    }

    static Instant settledUntil(Instant now) {
        return Instant.ofEpochSecond(Math.floorDiv(now.getEpochSecond(), QUARTER_SECONDS) * QUARTER_SECONDS);
    }

    /** The air of all chambers of the workshop; asked once for any number of pieces. */
    @Transactional(readOnly = true)
    public WorkshopAir now() {
        return new WorkshopAir(store.sources(), settledUntil(clock.instant()));
    }

    /** Recorded air of the chambers of one workshop as it stands. */
    public final class WorkshopAir {
        private final Map<UUID, AirSource> sources;
        private final Instant until;

        private WorkshopAir(Map<UUID, AirSource> sources, Instant until) {
            this.sources = sources;
            this.until = until;
        }

        /** Without a single reading the revision is below 0, and the air is what the chamber is set to. */
        public Version version(UUID chamberId) {
            AirSource source = sources.get(chamberId);
            return source == null
                    ? new Version(chamberId, -1, Instant.EPOCH)
                    : new Version(chamberId, source.revision(), until);
        }

        /** How often the past of each chamber's air was written; without a reading a chamber is not among them. */
        public Map<UUID, Long> revisions() {
            return sources.values().stream().collect(Collectors.toMap(AirSource::chamberId, AirSource::revision));
        }

        /** The climate of a piece hung in this chamber: recorded, then as it was over the last days. */
        public Climate climate(Chamber chamber, Instant hungAt) {
            return climateAsOf(chamber, hungAt, until);
        }

        /** The same from what was recorded before a moment. */
        public Climate climateAsOf(Chamber chamber, Instant hungAt, Instant at) {
            AirSource source = sources.get(chamber.id());
            return source == null
                    ? chamber.kind().supposed(chamber.air())
                    : HourlyAir.climate(
                            recorded(chamber, source),
                            hungAt,
                            at.isBefore(until) ? at : until,
                            chamber.air(),
                            chamber.kind().humiditySd());
        }

        /** The climate to come for a piece that does not hang yet. */
        public Climate ahead(Chamber chamber) {
            return climate(chamber, until);
        }

        /**
         * The mean air of whole days on which it was measured most of the time, humidity too.
         *
         * @param from the first day that is wanted
         */
        public SortedMap<LocalDate, Air> daily(Chamber chamber, LocalDate from, HouseClock house) {
            AirSource source = sources.get(chamber.id());
            if (source == null) {
                return new TreeMap<>();
            }
            SortedMap<LocalDate, List<HourlyAir>> byDay = recorded(chamber, source).stream()
                    .filter(hour -> !Double.isNaN(hour.relativeHumidity()))
                    .collect(Collectors.groupingBy(
                            hour -> house.day(Instant.ofEpochSecond(hour.hour() * 3600)),
                            TreeMap::new,
                            Collectors.toList()));
            SortedMap<LocalDate, Air> daily = new TreeMap<>();
            byDay.tailMap(from).forEach((day, measured) -> {
                if (measured.size() >= MOST_OF_A_DAY_HOURS) {
                    daily.put(day, HourlyAir.mean(measured, chamber.air()));
                }
            });
            return daily;
        }

        /** What the chamber runs at by its last days; empty where nobody measured of late. */
        public Optional<Air> running(Chamber chamber) {
            AirSource source = sources.get(chamber.id());
            if (source == null) {
                return Optional.empty();
            }
            List<HourlyAir> carried = HourlyAir.carried(recorded(chamber, source), until);
            return carried.stream().mapToLong(HourlyAir::hour).max().stream()
                    .filter(last -> last * 3600 > until.minus(LATELY).getEpochSecond())
                    .mapToObj(last -> HourlyAir.mean(carried, chamber.air()))
                    .findFirst();
        }

        /** How it runs otherwise than it is set, in a sentence; empty where it does not, or nobody measures. */
        public Optional<String> miss(Chamber chamber) {
            return running(chamber).flatMap(runs -> new SetPointMiss(chamber.air(), runs).sentence());
        }

        private List<HourlyAir> recorded(Chamber chamber, AirSource source) {
            return kept.get(
                    new KeptVersion(version(chamber.id()), source.id()),
                    key -> hours.means(key.source(), until.minus(LOOKED_BACK), until));
        }
    }
}
