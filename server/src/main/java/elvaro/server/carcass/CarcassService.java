package elvaro.server.carcass;

import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.mass;

import elvaro.core.cut.Arrival;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.game.Animal;
import elvaro.core.game.Animal.Build;
import elvaro.core.game.Cooling;
import elvaro.core.game.School;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.core.question.PastDay;
import elvaro.core.question.Question;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.HangingService;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.PartingService;
import elvaro.server.hanging.PartingService.Further;
import elvaro.server.hanging.PartingService.Off;
import elvaro.server.hanging.SplitForm;
import elvaro.server.hanging.SplitForm.NewPiece;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes an animal in, hangs it or lays it on ice, and breaks it down. */
@Service
@Transactional
class CarcassService {
    private static final String HOW_WARM = "Say how warm the meat and the air are: the ice is worked out from them.";

    private static final Duration CLOCK_SLACK = Duration.ofMinutes(5);

    private final PieceWriter writer;
    private final CarcassRepository carcasses;
    private final CarcassReading reading;
    private final LotService lots;
    private final HangingService hanging;
    private final PartingService parting;
    private final LogService log;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final EntityManager entities;
    private final Clock clock;

    CarcassService(
            PieceWriter writer,
            CarcassRepository carcasses,
            CarcassReading reading,
            LotService lots,
            HangingService hanging,
            PartingService parting,
            LogService log,
            DecisionService decisions,
            WorkshopService workshops,
            EntityManager entities,
            Clock clock) {
        this.writer = writer;
        this.carcasses = carcasses;
        this.reading = reading;
        this.lots = lots;
        this.hanging = hanging;
        this.parting = parting;
        this.log = log;
        this.decisions = decisions;
        this.workshops = workshops;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * Takes it in and hangs it, in one go; sent again, it happens once.
     *
     * @throws Refusal if a value cannot be, or a question is open
     */
    void receive(UUID id, CarcassForm form) {
        workshops.lock();
        if (carcasses.findById(id).isPresent()) {
            return;
        }
        mustBePossible(form);
        List<Question> questions = questions(form);
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions);
        LocalDate hungOn = hungOn(form);
        Lot lot = lots.receive(lotForm(id, form, hungOn));
        lots.hold(lot.id(), form.test().holds().orElse(null));
        hanging.split(lot.id(), new SplitForm(List.of(whole(id, form, hungOn)), form.answers()));
        entities.flush(); // The carcass points at its piece by id alone.
        if (form.meatCelsius() != null && form.outsideCelsius() != null) {
            writer.layOnIce(writer.lock(id), form.meatCelsius(), form.outsideCelsius(), form.iceBagGrams());
        }
        if (form.grams() == null) {
            log.writeFor(id, Ids.after(id, "estimated"), estimated(form));
        }
        entities.persist(new Carcass(id, lot.id(), form));
        decisions.keep(lot.id(), id, settled);
        entities.flush();
    }

    private void mustBePossible(CarcassForm form) {
        Instant now = clock.instant().plus(CLOCK_SLACK);
        if (form.killedAt().isAfter(now)) {
            throw Refusal.wrong("future-date", "killedAt", "It cannot have been killed in the future.");
        }
        if (killed(form).isTooLongAgo()) {
            throw Refusal.wrong("too-long-ago", "killedAt", PastDay.TOO_LONG_AGO);
        }
        if (form.cooledAt() != null
                && (form.cooledAt().isBefore(form.killedAt()) || form.cooledAt().isAfter(now))) {
            throw Refusal.wrong("cooled", "cooledAt", "It was cold after it was killed, and not in the future.");
        }
        if (form.method() != Method.OPEN_AIR && form.method() != Method.ON_ICE) {
            throw Refusal.wrong("method", "method", "A whole animal hangs in the air or lies on ice.");
        }
        boolean iced = form.method() == Method.ON_ICE;
        if (iced && (form.meatCelsius() == null || form.outsideCelsius() == null)) {
            throw Refusal.wrong("missing", "meatCelsius", HOW_WARM);
        }
    }

    /** Entered late or not, its days count from when it was hung. */
    private LocalDate hungOn(CarcassForm form) {
        LocalDate killedOn = workshops.mine().clock().day(form.killedAt());
        LocalDate hungOn = form.hungOn() == null ? killedOn : form.hungOn();
        if (hungOn.isBefore(killedOn) || hungOn.isAfter(workshops.today())) {
            throw Refusal.wrong("hung", "hungOn", "It was hung after it was killed, and not in the future.");
        }
        return hungOn;
    }

    private EntryForm estimated(CarcassForm form) {
        return new EntryForm(
                LogFactKind.GREEN_ESTIMATED,
                0,
                null,
                "Not weighed: about %s, as a %s one of its kind"
                        .formatted(
                                mass(form.weight()),
                                Objects.requireNonNull(form.size()).label()),
                hungOn(form).isBefore(workshops.today())
                        ? workshops.mine().clock().at(hungOn(form), LocalTime.NOON)
                        : null,
                null,
                Map.of());
    }

    private PastDay killed(CarcassForm form) {
        return new PastDay(workshops.mine().clock().day(form.killedAt()), workshops.today());
    }

    private List<Question> questions(CarcassForm form) {
        Animal animal = form.animal();
        List<Question> questions =
                new ArrayList<>(killed(form).question("killedAt").stream().toList());
        if (form.grams() != null && !animal.isUsual(form.grams())) {
            questions.add(Question.confirm(
                    "animal-weight",
                    "grams",
                    "%s is unusual for such an animal, which weighs %s. Is it the right animal?"
                            .formatted(mass(form.grams()), limit(animal.leastGrams(), animal.mostGrams()))));
        }
        if (form.cooledAt() != null
                && Duration.between(form.killedAt(), form.cooledAt()).compareTo(Cooling.COOL_WITHIN) > 0) {
            questions.add(
                    Question.reason(
                            "cooled-late",
                            "cooledAt",
                            "It took more than a day to cool. What is kept warm so long may be spoilt inside: say why it goes on."));
        }
        if (form.days() > animal.mostDays()) {
            questions.add(Question.confirm(
                    "animal-days",
                    "days",
                    "%d days are more than the usual %d to %d. %s"
                            .formatted(form.days(), animal.fewestDays(), animal.mostDays(), animal.daysBecause())));
        }
        return questions;
    }

    private LotForm lotForm(UUID id, CarcassForm form, LocalDate came) {
        // The animal's own weight was asked about; that of its cut is not asked again.
        Map<String, String> answers = new HashMap<>(form.answers());
        answers.put(Arrival.WEIGHT_UNUSUAL, "");
        return new LotForm(
                Ids.after(id, "lot"),
                0,
                form.animal().cut(),
                form.animal().label(),
                true,
                0,
                form.weight(),
                form.priceMinorPerKg(),
                form.supplier(),
                null,
                came,
                null,
                form.tag(),
                "",
                answers);
    }

    private static NewPiece whole(UUID id, CarcassForm form, LocalDate hungOn) {
        return new NewPiece(
                id,
                PieceRole.PLAIN,
                form.weight(),
                false,
                form.method(),
                form.chamberId(),
                hungOn,
                form.days(),
                0,
                form.skinOn() && form.animal().build() == Build.HOOFED ? Coating.HIDE : Coating.NONE,
                null,
                null,
                null,
                null,
                null,
                0);
    }

    /** Enters the result of the test; until then nothing of it is packed or shared. */
    void tested(UUID id, int version, DiseaseTest result) {
        Carcass carcass = find(id);
        carcass.tested(version, result);
        lots.hold(carcass.lotId(), result.holds().orElse(null));
        entities.flush();
    }

    /**
     * Says how it is broken down.
     *
     * @throws Refusal if the spine would be cut while nothing of it may be shared, or it is no hoofed game
     */
    void cutBy(UUID id, int version, School school) {
        Carcass carcass = find(id);
        if (carcass.animal().build() != Build.HOOFED) {
            throw Refusal.wrong("no-school", "knife", "Only hoofed game is broken down by saw or by seams.");
        }
        if (school.cutsTheSpine() && carcass.test().holds().isPresent()) {
            throw Refusal.conflict("spine", "The spine is not sawn before the disease test is clear. Take the seams.");
        }
        carcass.cutBy(version, school);
        entities.flush();
    }

    /**
     * Cuts a part off; sent again, it happens once.
     *
     * @param pieceId of the piece it becomes
     * @throws Refusal if the animal was not taken down, has no such part, or is not heavy enough
     */
    void cutOff(UUID id, UUID pieceId, CutOffForm form) {
        workshops.lock(); // Places are counted, and letters go up one by one.
        Carcass carcass = find(id);
        Piece whole = writer.lock(id);
        List<CarcassPart> before = carcasses.parts(id);
        if (before.stream().anyMatch(part -> part.id().equals(pieceId))) {
            return;
        }
        if (whole.state() != PieceState.PULLED) {
            throw Refusal.conflict(
                    "wrong-state",
                    whole.state() == PieceState.HANGING
                            ? "Take it down and weigh it first."
                            : "It is broken down already.");
        }
        if (form.part().build() != carcass.animal().build()) {
            throw Refusal.wrong("no-such-part", "part", "Such an animal has no such part.");
        }
        if (before.stream().anyMatch(part -> part.part() == form.part())) {
            throw Refusal.conflict("part-off", "That part is off already. Look again.");
        }
        int left = reading.ledger(id).residual();
        if (form.grams() > left + 2 * workshops.mine().divisionGrams()) {
            throw Refusal.wrong(
                    "more-than-left",
                    "grams",
                    "Only %s is left of the animal; a part of %s cannot be."
                            .formatted(mass(Math.max(0, left)), mass(form.grams())));
        }
        Off off = new Off(
                pieceId,
                form.part().cut(carcass.animal()),
                form.part().boneIn(carcass.school().knife()),
                form.grams());
        if (form.chamberId() == null) {
            parting.toTheBench(whole, off);
            if (form.asItIs()) {
                entities.flush();
                log.write(pieceId, Ids.after(pieceId, "as it is"), asItIs(form.grams()));
            }
        } else {
            Further further = further(form);
            List<Answers.Settled> settled = Answers.of(form.answers()).settle(parting.questions(further, form.grams()));
            parting.hang(whole, off, further);
            decisions.keep(carcass.lotId(), id, settled);
        }
        entities.flush();
        entities.persist(new CarcassPart(pieceId, id, form.part()));
        entities.flush();
    }

    private static EntryForm asItIs(int grams) {
        return new EntryForm(
                LogFactKind.PILE,
                grams,
                Stream.STEAK,
                "Whole, to be trimmed later",
                null,
                null,
                Map.of(),
                0,
                null,
                null,
                null,
                true,
                null);
    }

    private static Further further(CutOffForm form) {
        if (form.chamberId() == null || form.method() == null || form.days() == null) {
            throw Refusal.wrong("missing", "method", "Say how and for how long it hangs further.");
        }
        if (form.method() == Method.ON_ICE && (form.meatCelsius() == null || form.outsideCelsius() == null)) {
            throw Refusal.wrong("missing", "meatCelsius", HOW_WARM);
        }
        return new Further(form.chamberId(), form.method(), form.days(), form.meatCelsius(), form.outsideCelsius());
    }

    /**
     * Ends the breaking down; sent again, it happens once.
     *
     * @throws Refusal if the parts do not add up and nobody said why
     */
    void close(UUID id, UUID entryId, Map<String, String> answers) {
        Carcass carcass = find(id);
        Piece whole = writer.lock(id);
        if (log.isRetry(id, entryId, LogFactKind.CLOSED, 0, null)) {
            return;
        }
        if (carcasses.parts(id).isEmpty()) {
            throw Refusal.wrong("no-parts", "parts", "No part is off yet.");
        }
        List<Question> questions = reading.balance(id).question().map(List::of).orElse(List.of());
        List<Answers.Settled> settled = Answers.of(answers).settle(questions);
        String reason =
                settled.stream().map(Answers.Settled::reason).findFirst().orElse("");
        log.part(whole, entryId, reason);
        decisions.keep(carcass.lotId(), id, settled);
    }

    private Carcass find(UUID id) {
        return carcasses.findById(id).orElseThrow(() -> Refusal.notFound("carcass"));
    }
}
