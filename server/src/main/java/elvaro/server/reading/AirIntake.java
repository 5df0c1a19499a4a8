package elvaro.server.reading;

import elvaro.server.reading.AirOrigin.OriginKind;
import elvaro.server.reading.AirStore.AirSource;
import elvaro.server.reading.AirStore.Stored;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps readings that did not come as they were measured: with where they are from, and with the silences they fill. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class AirIntake {
    private final AirStore store;
    private final AirWatch watch;
    private final AirHours hours;
    private final EntityManager entities;
    private final Clock clock;

    AirIntake(AirStore store, AirWatch watch, AirHours hours, EntityManager entities, Clock clock) {
        this.store = store;
        this.watch = watch;
        this.hours = hours;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Where readings come from.
     *
     * @param checksum SHA-256 of what came, in hexadecimal
     * @param accountId absent where a probe sent them
     * @param fills whether a silence they come into is to be told
     */
    record Delivery(
            OriginKind kind,
            String name,
            String checksum,
            @Nullable UUID accountId,
            boolean fills) {}

    /** @param readings at least one */
    Stored keep(UUID chamberId, List<AirReading> readings, Delivery delivery) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        long first = seconds(readings).min().orElseThrow();
        long last = seconds(readings).max().orElseThrow();
        // What a probe sent late was measured by it all the same; a file says what nobody watched.
        Map<Instant, Instant> silences = Optional.ofNullable(store.sources().get(chamberId))
                .filter(source -> delivery.fills())
                .map(source -> silences(source, first, last, now))
                .orElse(Map.of());
        UUID id = UUID.randomUUID();
        Stored stored = store.store(chamberId, readings, id);
        if (stored.fresh() > 0) {
            entities.persist(new AirOrigin(
                    id,
                    chamberId,
                    delivery.kind(),
                    delivery.name(),
                    delivery.checksum(),
                    now,
                    delivery.accountId(),
                    stored.fresh(),
                    Instant.ofEpochSecond(first),
                    Instant.ofEpochSecond(last)));
            silences.forEach((from, to) -> entities.persist(new FilledSilence(chamberId, id, from, to)));
        }
        return stored;
    }

    private static LongStream seconds(List<AirReading> readings) {
        return readings.stream().mapToLong(AirReading::second);
    }

    /**
     * When each silence that is filled began, and ended: between what is known on both sides, and the one that goes on. What
     * is filled bit by bit stays one. Before the first reading of all nobody measured.
     */
    private Map<Instant, Instant> silences(AirSource source, long first, long last, Instant now) {
        long from = hours.lastBefore(source.id(), first).orElse(first);
        Optional<Long> next = hours.firstAfter(source.id(), last);
        Map<Instant, Instant> silences = new TreeMap<>();
        List<FilledSilence> filled = filled(source.chamberId(), first, last);
        filled.forEach(each -> silences.merge(each.beganAt(), each.endedAt(), AirIntake::later));
        watch.silences(source.id(), from, next.orElse(last), next.isPresent() ? null : now).stream()
                .filter(gap -> gap.from().getEpochSecond() < last && gap.to().getEpochSecond() > first)
                // Where all comes from files, the time between two of them is no silence of a probe.
                .filter(gap -> filled.stream().anyMatch(each -> each.holds(gap.from()))
                        || hours.cameFromProbe(source.id(), gap.from().getEpochSecond()))
                .forEach(gap -> silences.merge(
                        filled.stream()
                                .filter(each -> each.holds(gap.from()))
                                .map(FilledSilence::beganAt)
                                .findFirst()
                                .orElse(gap.from()),
                        gap.to(),
                        AirIntake::later));
        return silences;
    }

    private static Instant later(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }

    private List<FilledSilence> filled(UUID chamberId, long first, long last) {
        return entities.createQuery(
                        "select s from FilledSilence s where s.chamberId = :chamber and s.endedAt >= :first"
                                + " and s.beganAt <= :last order by s.beganAt",
                        FilledSilence.class)
                .setParameter("chamber", chamberId)
                .setParameter("first", Instant.ofEpochSecond(first))
                .setParameter("last", Instant.ofEpochSecond(last))
                .getResultList();
    }
}
