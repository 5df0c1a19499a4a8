package elvaro.server.trial;

import elvaro.core.drying.Coating;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Draw;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.HangingService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.SplitForm;
import elvaro.server.hanging.SplitForm.NewPiece;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.treatment.TreatmentService;
import elvaro.server.trial.TrialForm.ArmForm;
import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Setting trials up. */
@Service
@Transactional
class TrialService {
    private final PieceWriter writer;
    private final TrialRepository trials;
    private final TrialDesigns designs;
    private final LotService lots;
    private final HangingService hanging;
    private final PieceQueries pieces;
    private final TreatmentService treatments;
    private final WorkshopService workshops;
    private final EntityManager entities;
    private final SecureRandom seeds = new SecureRandom();

    TrialService(
            PieceWriter writer,
            TrialRepository trials,
            TrialDesigns designs,
            LotService lots,
            HangingService hanging,
            PieceQueries pieces,
            TreatmentService treatments,
            WorkshopService workshops,
            EntityManager entities) {
        this.writer = writer;
        this.trials = trials;
        this.designs = designs;
        this.lots = lots;
        this.hanging = hanging;
        this.pieces = pieces;
        this.treatments = treatments;
        this.workshops = workshops;
        this.entities = entities;
    }

    /** What weakens a trial that is only planned, with how to mend it. */
    @Transactional(readOnly = true)
    List<Flaw> check(TrialForm form) {
        return designs.planned(form).flaws();
    }

    /**
     * Sets a trial up; a lot is drawn, split, hung and treated in the same step. Sent again, it happens once.
     *
     * @throws Refusal if it cannot be, or a question about hanging or treating is open
     */
    void create(UUID id, TrialForm form) {
        workshops.lock(); // A retry finds what the first one kept; places of chambers are counted.
        if (trials.findById(id).isPresent()) {
            return;
        }
        if (form.fromId() != null && trials.findById(form.fromId()).isEmpty()) {
            throw Refusal.notFound("trial");
        }
        if (form.lotId() == null) {
            ofPieces(id, form);
        } else {
            ofLot(id, form, lots.get(form.lotId()));
        }
    }

    private void ofPieces(UUID id, TrialForm form) {
        List<UUID> ids =
                form.arms().stream().flatMap(arm -> arm.pieces().stream()).toList();
        Set<UUID> distinct = new HashSet<>(ids);
        if (distinct.size() < ids.size()) {
            throw Refusal.wrong("twice", "pieces", "A piece stands in one arm only.");
        }
        if (form.arms().stream().anyMatch(arm -> arm.pieces().isEmpty())) {
            throw Refusal.wrong("empty-arm", "pieces", "Give every arm a piece at least.");
        }
        Map<UUID, Figures> found = pieces.figures(ids).stream()
                .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        designs.planned(form); // Refuses what cannot be an arm.
        LocalDate first = found.values().stream()
                .flatMap(each -> each.piece().hungOn().stream())
                .min(LocalDate::compareTo)
                .orElse(workshops.today());
        List<TrialArm> arms = save(
                new Trial(id, form.question().strip(), form.factor(), form.measure(), null, form.fromId(), first),
                form);
        for (int index = 0; index < arms.size(); index++) {
            for (UUID piece : form.arms().get(index).pieces()) {
                String lot = String.valueOf(found.get(piece).piece().lot().number());
                entities.persist(new TrialPiece(arms.get(index), piece, lot));
            }
        }
    }

    private void ofLot(UUID id, TrialForm form, Lot lot) {
        int count = form.arms().size();
        if (form.parts().size() < count) {
            throw Refusal.wrong("too-few-parts", "parts", "Cut the lot into a part for every arm at least.");
        }
        for (ArmForm arm : form.arms()) {
            if (arm.setUp() == null) {
                throw Refusal.wrong("missing", "setUp", "Say what is done with the pieces of every arm.");
            }
            arm.setUp().check();
        }
        long seed = seeds.nextLong();
        List<Integer> drawn = Draw.of(count, form.parts().size(), seed);
        LocalDate hungOn = form.hungOn() == null ? workshops.today() : form.hungOn();
        List<NewPiece> parts = new ArrayList<>();
        for (int part = 0; part < drawn.size(); part++) {
            parts.add(part(id, part, form, form.arms().get(drawn.get(part)), hungOn));
        }
        hanging.split(lot.id(), new SplitForm(parts, form.answers()));
        List<TrialArm> arms = save(
                new Trial(id, form.question().strip(), form.factor(), form.measure(), seed, form.fromId(), hungOn),
                form);
        for (int part = 0; part < drawn.size(); part++) {
            UUID piece = parts.get(part).id();
            ArmForm arm = form.arms().get(drawn.get(part));
            SetUp setUp = arm.setUp();
            if (setUp != null && setUp.benchOrder() != null) {
                writer.cutBy(writer.lock(piece), setUp.benchOrder());
            }
            List<TreatmentForm> asked = setUp == null ? List.of() : setUp.treatments();
            for (int number = 0; number < asked.size(); number++) {
                String which = number == 0 ? "treated" : "treated " + (number + 1);
                treatments.give(
                        piece, Ids.after(piece, which), asked.get(number).beginning(hungOn, form.answers()));
            }
            String block = "%d/%d".formatted(lot.number(), Draw.block(count, part) + 1);
            entities.persist(new TrialPiece(arms.get(drawn.get(part)), piece, block));
        }
    }

    private static NewPiece part(UUID trial, int part, TrialForm form, ArmForm arm, LocalDate hungOn) {
        SetUp setUp = arm.setUp();
        if (setUp == null) {
            throw new IllegalArgumentException("An arm of a lot has a set-up");
        }
        boolean waits = !setUp.isFresh() && Math.max(setUp.daysBefore(), form.waitsDays()) > 0;
        boolean hangs = !setUp.isFresh() && !waits;
        return new NewPiece(
                Ids.after(trial, "part " + part),
                role(arm, setUp),
                form.parts().get(part),
                waits,
                setUp.method(),
                hangs ? setUp.chamberId() : null,
                hangs ? hungOn : null,
                setUp.targetDays(),
                0,
                Coating.NONE,
                setUp.contactPercent(),
                null,
                null,
                null,
                null,
                setUp.consumablesMinor());
    }

    private static PieceRole role(ArmForm arm, SetUp setUp) {
        if (setUp.isFresh()) {
            return PieceRole.FRESH;
        }
        return arm.control() ? PieceRole.CONTROL : setUp.treatments().isEmpty() ? PieceRole.PLAIN : PieceRole.TREATED;
    }

    /** What its rows point at is written first. */
    private List<TrialArm> save(Trial trial, TrialForm form) {
        trial.follows(form.protocolId());
        trials.save(trial);
        entities.flush();
        List<TrialArm> arms = new ArrayList<>();
        for (ArmForm asked : form.arms()) {
            SetUp setUp = form.lotId() == null || asked.setUp() == null
                    ? null
                    : asked.setUp().kept();
            arms.add(new TrialArm(
                    asked.id(), trial.id(), arms.size(), asked.name().strip(), asked.control(), setUp));
        }
        arms.forEach(entities::persist);
        entities.flush();
        return arms;
    }

    /**
     * Writes down what somebody learnt from it.
     *
     * @throws Refusal if somebody changed it meanwhile
     */
    void learn(UUID id, int version, String words) {
        Trial trial = trials.findById(id).orElseThrow(() -> Refusal.notFound("trial"));
        trial.mustStillBe(version);
        trial.teaches(words.strip());
        trials.save(trial);
    }
}
