package elvaro.server.reading;

import elvaro.core.air.Air;
import elvaro.core.estimate.Estimates;
import elvaro.core.keeping.Excursions;
import elvaro.server.account.AccountService;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.reading.AirHours.Bucket;
import elvaro.server.reading.AirOrigin.OriginKind;
import elvaro.server.reading.AirStore.AirSource;
import elvaro.server.reading.AirView.AirDecisionView;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.reading.AirView.AirPointView;
import elvaro.server.reading.AirView.FilledView;
import elvaro.server.reading.AirView.LatestView;
import elvaro.server.settings.HouseClock;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
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

    /** Undecided events are put before people for so long. */
    private static final Duration ASKED_FOR = Duration.ofDays(14);

    private final AirStore store;
    private final AirHours hours;
    private final AirWatch watch;
    private final RecordedAir recorded;
    private final ChamberService chambers;
    private final AccountService accounts;
    private final EntityManager entities;
    private final CurrentWorkshop current;
    private final Clock clock;

    AirService(
            AirStore store,
            AirHours hours,
            AirWatch watch,
            RecordedAir recorded,
            ChamberService chambers,
            AccountService accounts,
            EntityManager entities,
            CurrentWorkshop current,
            Clock clock) {
        this.store = store;
        this.hours = hours;
        this.watch = watch;
        this.recorded = recorded;
        this.chambers = chambers;
        this.accounts = accounts;
        this.entities = entities;
        this.current = current;
        this.clock = clock;
    }

    /** A chamber's air now. */
    public record NowView(ProbeHealth health, LatestView latest) {}

    /** An event nobody has decided about. */
    public record Undecided(Chamber chamber, AirEvent kind, Instant from) {}

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
                source.map(each -> events(each, from, to)).orElse(List.of()));
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

    private List<AirEventView> events(AirSource source, Instant from, Instant to) {
        Map<UUID, String> names = accounts.names();
        List<AirDecision> decided = decisions(source.chamberId(), from);
        Instant now = clock.instant();
        Excursions found = watch.between(source.id(), from, to.isAfter(now) ? now : to);
        Optional<Instant> last = hours.last(source.id()).map(reading -> Instant.ofEpochSecond(reading.second()));
        List<AirEventView> events = new ArrayList<>();
        found.warm()
                .forEach(warm -> events.add(new AirEventView(
                        AirEvent.WARM,
                        warm.from(),
                        warm.to(),
                        last.filter(at -> at.equals(warm.to())).isPresent()
                                && warm.peakCelsius() > 0
                                && stillWarm(source),
                        warm.peakCelsius(),
                        warm.degreeHours(),
                        List.of(),
                        about(decided, AirEvent.WARM, warm.from(), names))));
        List<AirEventView> filled = filled(source.chamberId(), from, to, names, decided);
        events.addAll(filled);
        found.gaps().stream()
                // What is left of one that was filled in part is no silence of its own.
                .filter(gap -> filled.stream()
                        .noneMatch(of ->
                                !gap.from().isBefore(of.from()) && !gap.to().isAfter(of.to())))
                .forEach(gap -> events.add(new AirEventView(
                        AirEvent.SILENT,
                        gap.from(),
                        gap.to(),
                        false,
                        null,
                        null,
                        List.of(),
                        about(decided, AirEvent.SILENT, gap.from(), names))));
        last.filter(at -> Duration.between(at, now).compareTo(Excursions.LONGEST_SILENCE) > 0 && !at.isBefore(from))
                .ifPresent(at -> events.add(new AirEventView(
                        AirEvent.SILENT,
                        at,
                        now,
                        true,
                        null,
                        null,
                        List.of(),
                        about(decided, AirEvent.SILENT, at, names))));
        events.sort(Comparator.comparing(AirEventView::from).reversed());
        return events;
    }

    /** The silences into which readings came afterwards. */
    private List<AirEventView> filled(
            UUID chamberId, Instant from, Instant to, Map<UUID, String> names, List<AirDecision> decided) {
        Map<UUID, AirOrigin> origins = new HashMap<>();
        Map<Instant, List<FilledSilence>> silences = entities.createQuery(
                        "select s from FilledSilence s where s.chamberId = :chamber and s.endedAt > :from"
                                + " and s.beganAt < :to order by s.beganAt, s.endedAt",
                        FilledSilence.class)
                .setParameter("chamber", chamberId)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultStream()
                .collect(Collectors.groupingBy(FilledSilence::beganAt));
        return silences.entrySet().stream()
                .map(each -> new AirEventView(
                        AirEvent.SILENT,
                        each.getKey(),
                        each.getValue().get(each.getValue().size() - 1).endedAt(),
                        false,
                        null,
                        null,
                        each.getValue().stream()
                                .map(silence -> origins.computeIfAbsent(
                                        silence.originId(), id -> entities.find(AirOrigin.class, id)))
                                .sorted(Comparator.comparing(AirOrigin::takenInAt))
                                .map(origin -> view(origin, names))
                                .toList(),
                        about(decided, AirEvent.SILENT, each.getKey(), names)))
                .toList();
    }

    /** What did not come as it was measured, by when it came. */
    public List<FilledView> takenIn(UUID chamberId, Instant from, Instant before) {
        Map<UUID, String> names = accounts.names();
        return entities.createQuery(
                        "select o from AirOrigin o where o.chamberId = :chamber and o.takenInAt >= :from and o.takenInAt < :before order by o.takenInAt",
                        AirOrigin.class)
                .setParameter("chamber", chamberId)
                .setParameter("from", from)
                .setParameter("before", before)
                .getResultStream()
                .map(origin -> view(origin, names))
                .toList();
    }

    private static FilledView view(AirOrigin origin, Map<UUID, String> names) {
        return new FilledView(
                origin.name(),
                origin.kind() == OriginKind.FILE,
                origin.checksum(),
                origin.readings(),
                origin.accountId() == null ? "" : names.getOrDefault(origin.accountId(), ""),
                origin.takenInAt());
    }

    private boolean stillWarm(AirSource source) {
        return hours.last(source.id())
                .map(AirReading::celsius)
                .filter(celsius -> celsius > Excursions.LIMIT_CELSIUS)
                .isPresent();
    }

    private List<AirDecision> decisions(UUID chamberId, Instant from) {
        return entities.createQuery(
                        "select d from AirDecision d where d.chamberId = :chamber and d.beganAt >= :from"
                                + " order by d.decidedAt",
                        AirDecision.class)
                .setParameter("chamber", chamberId)
                .setParameter("from", from)
                .getResultList();
    }

    private static List<AirDecisionView> about(
            List<AirDecision> decided, AirEvent kind, Instant began, Map<UUID, String> names) {
        return decided.stream()
                .filter(decision ->
                        decision.kind() == kind && decision.beganAt().equals(began))
                .map(decision -> new AirDecisionView(
                        decision.words(), names.getOrDefault(decision.accountId(), ""), decision.decidedAt()))
                .toList();
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

    /** What happened to the air in the last fortnight that nobody has decided about. */
    public List<Undecided> undecided() {
        Instant now = clock.instant();
        Map<UUID, AirSource> sources = store.sources();
        return chambers.all().stream()
                .filter(chamber -> sources.containsKey(chamber.id()))
                .flatMap(chamber -> events(sources.get(chamber.id()), now.minus(ASKED_FOR), now).stream()
                        .filter(event -> event.decisions().isEmpty())
                        .map(event -> new Undecided(chamber, event.kind(), event.from())))
                .toList();
    }

    /**
     * Keeps what a person decided; sent again, it is kept once.
     *
     * @throws Refusal if there was no such event
     */
    @Transactional
    public void decide(UUID id, UUID chamberId, AirEvent kind, Instant began, String words) {
        AirSource source =
                Optional.ofNullable(store.sources().get(chamberId)).orElseThrow(() -> Refusal.notFound("chamber"));
        if (entities.find(AirDecision.class, id) != null) {
            return;
        }
        Instant now = clock.instant();
        boolean there = events(source, began.minus(Duration.ofHours(1)), now).stream()
                .anyMatch(event -> event.kind() == kind && event.from().equals(began));
        if (!there) {
            throw Refusal.conflict("no-event", "The air has no such event any more. Look again.");
        }
        entities.persist(new AirDecision(
                id,
                chamberId,
                kind,
                began,
                words.strip(),
                now.truncatedTo(ChronoUnit.MICROS),
                current.person().accountId()));
    }
}
