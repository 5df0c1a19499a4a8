package elvaro.server.trial;

import elvaro.core.tasting.Preference;
import elvaro.core.trial.Change;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.piece.Piece;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.tasting.TrialTastings.Tasted;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.trial.HousesView.AskedArm;
import elvaro.server.trial.ProtocolFile.ArmResult;
import elvaro.server.trial.ProtocolFile.ProtocolArm;
import elvaro.server.trial.ProtocolFile.ProtocolResult;
import elvaro.server.trial.ProtocolFile.ProtocolTreatment;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Trials carried between houses: a protocol goes out, its results come back, and what all houses found is pooled. */
@Service
@Transactional(readOnly = true)
class Protocols {
    private final TrialGathering trials;
    private final TrialRepository rows;
    private final ArmSetUps setUps;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    Protocols(
            TrialGathering trials,
            TrialRepository rows,
            ArmSetUps setUps,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.trials = trials;
        this.rows = rows;
        this.setUps = setUps;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /** A trial for another house to follow; with what came of it here once all of it is cut. */
    ProtocolFile file(UUID id) {
        TrialWithPieces trial = trials.whole(trials.find(id));
        Map<UUID, SetUp> done = setUps.of(List.of(trial));
        Piece first = trial.all()
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("trial"))
                .piece();
        return new ProtocolFile(
                ProtocolFile.FORMAT,
                ProtocolFile.VERSION,
                trial.trial().protocol(),
                workshops.mine().name(),
                trial.trial().question(),
                trial.trial().factor(),
                trial.trial().measure(),
                first.cut().code(),
                first.boneIn(),
                trial.arms().stream()
                        .mapToInt(arm -> trial.of(arm).size())
                        .max()
                        .orElse(1),
                trial.arms().stream().map(arm -> arm(arm, done.get(arm.id()))).toList(),
                trial.ended() ? result(trial) : null);
    }

    private static ProtocolArm arm(TrialArm arm, @Nullable SetUp done) {
        return done == null
                ? new ProtocolArm(arm.name(), arm.control(), false, null, null, null, null, List.of())
                : new ProtocolArm(
                        arm.name(),
                        arm.control(),
                        done.isFresh(),
                        done.method(),
                        done.targetDays(),
                        done.contactPercent(),
                        done.benchOrder(),
                        done.treatments().stream()
                                .map(given -> new ProtocolTreatment(
                                        given.kind(),
                                        given.exactly(),
                                        given.amount(),
                                        given.measure(),
                                        given.basis(),
                                        given.number(),
                                        given.rawGarlicOrHerbs(),
                                        given.oil(),
                                        given.spirit()))
                                .toList());
    }

    private ProtocolResult result(TrialWithPieces trial) {
        return new ProtocolResult(
                trial.trial().startedOn(),
                trials.flaws(trial).stream().map(Flaw::kind).distinct().toList(),
                found(trial));
    }

    private List<ArmResult> found(TrialWithPieces trial) {
        Tasted tasted = trials.tasted(List.of(trial)).getOrDefault(trial.trial().id(), Tasted.NOTHING);
        return trial.others().stream()
                .map(arm -> {
                    Preference liking =
                            tasted.liking(arm.id(), trial.controlOf(arm).id()).orElse(new Preference(0, 0, 0));
                    return new ArmResult(
                            arm.name(), differences(trial, arm), liking.first(), liking.second(), liking.undecided());
                })
                .toList();
    }

    /** Pair by pair; one difference of means where nothing is paired. */
    private static List<Double> differences(TrialWithPieces trial, TrialArm arm) {
        TrialMeasure measure = trial.trial().measure();
        List<ArmValue> there = TrialVerdicts.found(trial, measure, trial.controlOf(arm));
        List<ArmValue> here = TrialVerdicts.found(trial, measure, arm);
        if (there.isEmpty() || here.isEmpty()) {
            return List.of();
        }
        List<Double> paired = Effect.differences(there, here);
        return paired.isEmpty() ? List.of(Effect.of(there, here, measure.step()).value()) : paired;
    }

    /**
     * Takes a file of another house in: a protocol, to begin a trial with, or what came of one that was begun here. One that was
     * never begun here is begun, and what the other house found waits beside it. Sent again, it is there once.
     *
     * @throws Refusal if it is this house's own result, or that of a house that told it already
     */
    @Transactional
    void takeIn(UUID id, ProtocolFile file) {
        workshops.lock(); // A retry, or the same file twice, finds what the first one kept.
        if (entities.find(TakenIn.class, id) != null) {
            return;
        }
        boolean begun = !rows.followers(file.id()).isEmpty();
        if (file.result() != null && begun) {
            if (file.house().strip().equalsIgnoreCase(workshops.mine().name())) {
                throw Refusal.conflict("own-result", "That is this house's own result.");
            }
            boolean known = results(file.id()).stream()
                    .anyMatch(each -> each.house().equalsIgnoreCase(file.house().strip()));
            if (known) {
                throw Refusal.conflict(
                        "house-known",
                        "A result of %s was taken in already."
                                .formatted(file.house().strip()));
            }
        }
        entities.persist(new TakenIn(
                id,
                file,
                clock.instant().truncatedTo(ChronoUnit.MICROS),
                current.person().accountId()));
    }

    /** The newest trial here that follows a protocol. */
    Optional<UUID> follower(UUID protocolId) {
        return rows.followers(protocolId).stream().map(Trial::id).findFirst();
    }

    private List<TakenIn> results(UUID protocolId) {
        return entities.createQuery(
                        "select t from TakenIn t where t.protocolId = :protocol and t.result = true order by t.takenInAt",
                        TakenIn.class)
                .setParameter("protocol", protocolId)
                .getResultList();
    }

    /** A trial as a protocol says, for this house to set up; its chambers are its own. */
    NextTrial.NextForm begin(UUID takenInId) {
        TakenIn taken = Optional.ofNullable(entities.find(TakenIn.class, takenInId))
                .orElseThrow(() -> Refusal.notFound("protocol"));
        ProtocolFile file = taken.content();
        return new NextTrial.NextForm(
                null,
                file.id(),
                file.question(),
                file.factor(),
                file.measure(),
                file.arms().stream().map(Protocols::toDo).toList());
    }

    private static NextTrial.NextArm toDo(ProtocolArm arm) {
        SetUp setUp = new SetUp(
                arm.fresh(),
                arm.method(),
                null,
                arm.days(),
                arm.contactPercent(),
                arm.method() == null ? 0 : arm.method().usualConsumablesMinor(),
                arm.benchOrder(),
                arm.treatments().stream().map(Protocols::form).toList());
        return new NextTrial.NextArm(
                arm.name(),
                arm.control(),
                List.of(new NextTrial.NextChoice(Change.AGAIN, "as the protocol says", null, setUp)));
    }

    private static TreatmentForm form(ProtocolTreatment given) {
        return new TreatmentForm(
                given.kind(),
                null,
                given.exactly(),
                given.amount(),
                given.measure(),
                given.basis(),
                given.number(),
                null,
                0,
                null,
                given.rawGarlicOrHerbs(),
                given.oil(),
                given.spirit(),
                null,
                Map.of());
    }

    /** What this house and others found by the protocol of a trial; absent while no other house has told. */
    @Nullable
    HousesView houses(UUID trialId) {
        Trial asked = trials.find(trialId);
        List<TakenIn> others = results(asked.protocol());
        if (others.isEmpty()) {
            return null;
        }
        Map<String, List<ArmResult>> byHouse = new LinkedHashMap<>();
        List<ArmResult> own = trials.whole(rows.followers(asked.protocol())).stream()
                .filter(TrialWithPieces::ended)
                .flatMap(trial -> found(trial).stream())
                .toList();
        if (!own.isEmpty()) {
            byHouse.put(workshops.mine().name(), own);
        }
        others.forEach(each -> byHouse.put(
                each.house(), Objects.requireNonNull(each.content().result()).arms()));
        TrialWithPieces here = trials.whole(asked);
        return HousesView.of(
                asked.measure(),
                here.others().stream()
                        .map(arm -> new AskedArm(arm.name(), here.controlOf(arm).name()))
                        .toList(),
                byHouse);
    }
}
