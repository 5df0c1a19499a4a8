package elvaro.server.reading;

import elvaro.core.keeping.Excursions;
import elvaro.server.account.AccountService;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.reading.AirOrigin.OriginKind;
import elvaro.server.reading.AirStore.AirSource;
import elvaro.server.reading.AirView.AirDecisionView;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.reading.AirView.FilledView;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was wrong with the air, what people decided about it, and what was laid into its silences. */
@Service
@Transactional(readOnly = true)
public class AirEvents {
    /** Undecided events are put before people for so long. */
    private static final Duration ASKED_FOR = Duration.ofDays(14);

    private final AirStore store;
    private final AirHours hours;
    private final AirWatch watch;
    private final ChamberService chambers;
    private final AccountService accounts;
    private final EntityManager entities;
    private final CurrentWorkshop current;
    private final Clock clock;

    AirEvents(
            AirStore store,
            AirHours hours,
            AirWatch watch,
            ChamberService chambers,
            AccountService accounts,
            EntityManager entities,
            CurrentWorkshop current,
            Clock clock) {
        this.store = store;
        this.hours = hours;
        this.watch = watch;
        this.chambers = chambers;
        this.accounts = accounts;
        this.entities = entities;
        this.current = current;
        this.clock = clock;
    }

    /** An event nobody has decided about. */
    public record Undecided(Chamber chamber, AirEvent kind, Instant from) {}

    /** What was wrong in a stretch of time, the last first. */
    List<AirEventView> of(AirSource source, Instant from, Instant to) {
        Map<UUID, String> names = accounts.names();
        List<FilledSilence> silences = silences(source.chamberId(), from, to);
        Instant first = silences.isEmpty() || silences.get(0).beganAt().isAfter(from)
                ? from
                : silences.get(0).beganAt();
        List<AirDecision> decided = decisions(source.chamberId(), first);
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
        List<AirEventView> filled = filled(silences, names, decided);
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

    private List<FilledSilence> silences(UUID chamberId, Instant from, Instant to) {
        return entities.createQuery(
                        "select s from FilledSilence s where s.chamberId = :chamber and s.endedAt > :from"
                                + " and s.beganAt < :to order by s.beganAt, s.endedAt",
                        FilledSilence.class)
                .setParameter("chamber", chamberId)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultList();
    }

    /** A silence is one, however many files were laid into it. */
    private List<AirEventView> filled(
            List<FilledSilence> silences, Map<UUID, String> names, List<AirDecision> decided) {
        return silences.stream().collect(Collectors.groupingBy(FilledSilence::beganAt)).entrySet().stream()
                .map(each -> new AirEventView(
                        AirEvent.SILENT,
                        each.getKey(),
                        each.getValue().get(each.getValue().size() - 1).endedAt(),
                        false,
                        null,
                        null,
                        each.getValue().stream()
                                .map(silence -> entities.find(AirOrigin.class, silence.originId()))
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
                origin.kind() != OriginKind.LATE,
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

    /** What happened to the air in the last fortnight that nobody has decided about. */
    public List<Undecided> undecided() {
        Instant now = clock.instant();
        Map<UUID, AirSource> sources = store.sources();
        return chambers.all().stream()
                .filter(chamber -> sources.containsKey(chamber.id()))
                .flatMap(chamber -> of(sources.get(chamber.id()), now.minus(ASKED_FOR), now).stream()
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
        boolean there = of(source, began.minus(Duration.ofHours(1)), now).stream()
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
