package elvaro.server.carcass;

import elvaro.core.game.Cooling;
import elvaro.core.game.Cooling.Core;
import elvaro.server.carcass.CarcassView.CoolingView;
import elvaro.server.carcass.CarcassView.CoreView;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.Piece;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The log of an animal's core while it cools, and what follows from it. */
@Service
@Transactional
class CoolingService {
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(5);

    private final CarcassRepository carcasses;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    CoolingService(CarcassRepository carcasses, CurrentWorkshop current, EntityManager entities, Clock clock) {
        this.carcasses = carcasses;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Keeps what was measured; sent again, it is kept once.
     *
     * @throws Refusal if the hour cannot be, or what it corrects is not there
     */
    void measured(UUID id, UUID entryId, CoreForm form) {
        Carcass carcass = carcasses.locked(id).orElseThrow(() -> Refusal.notFound("carcass"));
        List<CoreReading> before = carcasses.cores(id);
        if (before.stream().anyMatch(each -> each.id().equals(entryId))) {
            return;
        }
        Instant now = clock.instant();
        Instant at = form.at() == null ? now : form.at();
        if (at.isAfter(now.plus(CLOCK_SLACK)) || at.isBefore(carcass.killedAt())) {
            throw Refusal.wrong("core-hour", "at", "It was measured after the kill, and not in the future.");
        }
        if (form.corrects() != null
                && standing(before).stream().noneMatch(each -> each.id().equals(form.corrects()))) {
            throw Refusal.conflict("corrected-already", "Somebody corrected that reading already. Look again.");
        }
        entities.persist(new CoreReading(
                entryId,
                id,
                new Core(at.truncatedTo(ChronoUnit.MICROS), form.celsius()),
                form.corrects(),
                current.person().accountId(),
                now.truncatedTo(ChronoUnit.MICROS)));
        entities.flush();
    }

    private static List<CoreReading> standing(List<CoreReading> all) {
        Set<UUID> corrected =
                all.stream().flatMap(each -> each.correctsId().stream()).collect(Collectors.toSet());
        return all.stream().filter(each -> !corrected.contains(each.id())).toList();
    }

    /** How it cooled, or is going to; a time that was told with the animal goes before what was measured. */
    @Transactional(readOnly = true)
    public CoolingView view(Carcass carcass, Piece whole) {
        List<CoreReading> standing = standing(carcasses.cores(carcass.id()));
        Cooling cooling = new Cooling(standing.stream().map(CoreReading::core).toList());
        double limit = carcass.animal().coldCelsius();
        Optional<Instant> cold = carcass.cooledAt().or(() -> cooling.coldAt(limit));
        Optional<Instant> expected = cold.isPresent()
                ? Optional.empty()
                : whole.chamber().map(Chamber::setCelsius).flatMap(air -> cooling.expectedColdAt(limit, air));
        Instant latest = carcass.killedAt().plus(Cooling.COOL_WITHIN);
        return new CoolingView(
                limit,
                standing.stream()
                        .map(each -> new CoreView(
                                each.id(), each.core().at(), each.core().celsius()))
                        .sorted(java.util.Comparator.comparing(CoreView::at))
                        .toList(),
                cold.orElse(null),
                cold.map(at -> hours(carcass, at)).orElse(null),
                expected.orElse(null),
                cold.or(() -> expected).orElse(clock.instant()).isAfter(latest));
    }

    private static double hours(Carcass carcass, Instant at) {
        return Duration.between(carcass.killedAt(), at).toSeconds() / 3600.0;
    }
}
