package elvaro.server.reading;

import elvaro.core.air.Air;
import elvaro.core.estimate.Estimates;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.reading.AirHours.Bucket;
import elvaro.server.reading.AirStore.AirSource;
import elvaro.server.reading.AirView.AirPointView;
import elvaro.server.reading.AirView.LatestView;
import elvaro.server.settings.HouseClock;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows the air of a chamber, what was wrong with it, and what was decided about that. */
@Service
@Transactional(readOnly = true)
public class AirService {
    private static final Duration LONGEST = Duration.ofDays(400);

    private final AirStore store;
    private final AirHours hours;
    private final AirWatch watch;
    private final RecordedAir recorded;
    private final ChamberService chambers;
    private final AirEvents events;
    private final Clock clock;

    AirService(
            AirStore store,
            AirHours hours,
            AirWatch watch,
            RecordedAir recorded,
            ChamberService chambers,
            AirEvents events,
            Clock clock) {
        this.store = store;
        this.hours = hours;
        this.watch = watch;
        this.recorded = recorded;
        this.chambers = chambers;
        this.events = events;
        this.clock = clock;
    }

    /** A chamber's air now. */
    public record NowView(ProbeHealth health, LatestView latest) {}

    /**
     * @param from begin of the stretch
     * @param to its end, later than the begin, at most 400 days
     * @param points how many points there is room for
     */
    public AirView view(UUID chamberId, Instant from, Instant to, int points) {
        Chamber chamber = chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        if (!to.isAfter(from) || Duration.between(from, to).compareTo(LONGEST) > 0) {
            throw Refusal.wrong("wrong-stretch", "to", "Choose an end after the begin, at most 400 days on.");
        }
        Optional<AirSource> source = Optional.ofNullable(store.sources().get(chamberId));
        long step = step(from, to, points);
        List<Bucket> buckets =
                source.map(each -> buckets(each.id(), from, to, step)).orElse(List.of());
        Air set = chamber.air();
        return new AirView(
                chamberId,
                chamber.name(),
                from,
                to,
                step,
                set.celsius(),
                set.relativeHumidity() * 100,
                mean(buckets, Bucket::celsius),
                mean(buckets, Bucket::humidity),
                recorded.now().miss(chamber).orElse(null),
                source.map(each -> watch.health(each.id(), clock.instant())).orElse(ProbeHealth.NEVER_HEARD),
                source.flatMap(each -> hours.last(each.id()))
                        .map(AirService::latest)
                        .orElse(null),
                buckets.stream().map(bucket -> point(bucket, set)).toList(),
                source.map(each -> events.of(each, from, to)).orElse(List.of()));
    }

    /**
     * The air of a day by the clock of the workshop: means by the hour, and the lowest and highest reading.
     *
     * @param humidityPercent with its extremes absent where none was measured
     */
    public record DayView(
            LocalDate day,
            double celsius,
            double celsiusMin,
            double celsiusMax,
            @Nullable Double humidityPercent,
            @Nullable Double humidityMin,
            @Nullable Double humidityMax) {}

    /** The air of each day on which any was measured. */
    public List<DayView> days(UUID chamberId, Instant from, Instant to, HouseClock house) {
        AirSource source = store.sources().get(chamberId);
        if (source == null || !to.isAfter(from)) {
            return List.of();
        }
        return hours.ofHours(source.id(), from, to, 1).stream()
                .filter(bucket -> bucket.celsius() != null)
                .collect(Collectors.groupingBy(
                        bucket -> house.day(Instant.ofEpochSecond(bucket.from())), TreeMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .map(day -> day(day.getKey(), day.getValue()))
                .toList();
    }

    private static DayView day(LocalDate day, List<Bucket> hours) {
        return new DayView(
                day,
                Objects.requireNonNull(mean(hours, Bucket::celsius)),
                Objects.requireNonNull(extreme(hours, Bucket::celsiusMin, Math::min)),
                Objects.requireNonNull(extreme(hours, Bucket::celsiusMax, Math::max)),
                mean(hours, Bucket::humidity),
                extreme(hours, Bucket::humidityMin, Math::min),
                extreme(hours, Bucket::humidityMax, Math::max));
    }

    private static @Nullable Double extreme(
            List<Bucket> buckets, Function<Bucket, @Nullable Double> value, BinaryOperator<Double> of) {
        return buckets.stream().map(value).filter(Objects::nonNull).reduce(of).orElse(null);
    }

    /** Whole seconds below an hour, whole hours above. */
    private static long step(Instant from, Instant to, int points) {
        long seconds = Duration.between(from, to).toSeconds() / points + 1;
        return seconds < AirReading.SECONDS_PER_HOUR
                ? seconds
                : (seconds / AirReading.SECONDS_PER_HOUR + 1) * AirReading.SECONDS_PER_HOUR;
    }

    private List<Bucket> buckets(long source, Instant from, Instant to, long step) {
        return step < AirReading.SECONDS_PER_HOUR
                ? hours.ofReadings(source, from, to, step)
                : hours.ofHours(source, from, to, step / AirReading.SECONDS_PER_HOUR);
    }

    private static @Nullable Double mean(List<Bucket> buckets, Function<Bucket, @Nullable Double> value) {
        var mean = buckets.stream()
                .map(value)
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .average();
        return mean.isPresent() ? mean.getAsDouble() : null;
    }

    private static LatestView latest(AirReading reading) {
        return new LatestView(
                Instant.ofEpochSecond(reading.second()), reading.celsius(), reading.humidity(), reading.speed());
    }

    private static AirPointView point(Bucket bucket, Air set) {
        Double drive = null;
        if (bucket.celsius() != null && bucket.humidity() != null) {
            drive = new Air(
                            Math.max(-20, Math.min(40, bucket.celsius())),
                            bucket.humidity() / 100,
                            set.metresPerSecond())
                    .drivePascal(Estimates.BARE_ACTIVITY);
        }
        return new AirPointView(
                Instant.ofEpochSecond(bucket.from()),
                bucket.celsius(),
                bucket.celsiusMin(),
                bucket.celsiusMax(),
                bucket.humidity(),
                bucket.humidityMin(),
                bucket.humidityMax(),
                drive);
    }

    /** The air of each chamber that has a reading, now. */
    public Map<UUID, NowView> now() {
        Instant now = clock.instant();
        Map<UUID, NowView> airs = new HashMap<>();
        store.sources()
                .forEach((chamber, source) -> hours.last(source.id())
                        .ifPresent(last ->
                                airs.put(chamber, new NowView(watch.health(source.id(), now), latest(last)))));
        return airs;
    }
}
