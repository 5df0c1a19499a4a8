package elvaro.server.treatment;

import static elvaro.core.working.Quantity.temperature;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.question.Question;
import elvaro.core.treatment.Clash;
import elvaro.core.treatment.Course.PlannedStep;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.Recipe;
import elvaro.core.working.Quantity;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Giving treatments to pieces, and doing their steps. A treatment is an entry of the piece's log with more under its id; it is
 * taken back by an entry.
 */
@Service
@Transactional
public class TreatmentService {
    private final PieceWriter writer;
    private final TreatmentRepository rows;
    private final RecipeService recipes;
    private final PieceQueries pieces;
    private final LogService log;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final TreatmentQueries treated;
    private final PiecePlans plans;
    private final EntityManager entities;

    TreatmentService(
            PieceWriter writer,
            TreatmentRepository rows,
            RecipeService recipes,
            PieceQueries pieces,
            LogService log,
            DecisionService decisions,
            WorkshopService workshops,
            TreatmentQueries treated,
            PiecePlans plans,
            EntityManager entities) {
        this.writer = writer;
        this.rows = rows;
        this.recipes = recipes;
        this.pieces = pieces;
        this.log = log;
        this.decisions = decisions;
        this.workshops = workshops;
        this.treated = treated;
        this.plans = plans;
        this.entities = entities;
    }

    /**
     * Gives a treatment to a piece; sent again, it is given once.
     *
     * @throws Refusal if the piece does not take it, a clash stops it, or a question is open
     */
    public void give(UUID pieceId, UUID entryId, TreatmentForm form) {
        Piece piece = writer.lock(pieceId); // A retry finds what the first one kept.
        if (rows.findById(entryId).isPresent()) {
            return;
        }
        Given given = given(form);
        LocalDate beganOn = beganOn(piece, given, form);
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions(piece, given));
        log.writeFor(pieceId, entryId, entry(LogFactKind.TREATED, 0, given.words()));
        List<Recipe.Ingredient> parts = given.recipeId() == null
                ? List.of()
                : recipes.find(given.recipeId()).recipe().parts();
        int cost = cost(piece, given, form, parts);
        Treatment treatment = rows.save(new Treatment(entryId, pieceId, given, beganOn, cost, parts));
        writer.spend(piece, cost);
        if (form.minutes() != null) {
            smokedBefore(piece, treatment, form.minutes());
        }
        if (!beyondThePull(piece) && heavier(given.kind().coating(), piece.coating())) {
            coat(piece, given.kind().coating(), beganOn);
        }
        if (form.coatGrams() > 0) {
            log.writeFor(pieceId, coatOf(entryId), entry(LogFactKind.COAT_ON, form.coatGrams(), ""));
        }
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    /**
     * What a form asks to be given.
     *
     * @throws Refusal if it is no dose, or there is no such recipe
     */
    @Transactional(readOnly = true)
    public Given given(TreatmentForm form) {
        if (form.recipeId() != null) {
            OwnRecipe own = recipes.find(form.recipeId());
            String exactly = (own.name() + " " + form.exactly()).strip();
            return new Given(
                    own.kind(),
                    own.id(),
                    exactly.substring(0, Math.min(200, exactly.length())),
                    own.dose(),
                    form.number(),
                    own.rawGarlicOrHerbs(),
                    own.oil(),
                    own.spirit());
        }
        Dose dose = Doses.of(form.amount(), form.measure(), form.basis());
        return new Given(
                form.kind(),
                null,
                form.exactly().strip(),
                dose,
                form.number(),
                form.rawGarlicOrHerbs(),
                form.oil(),
                form.spirit());
    }

    private LocalDate beganOn(Piece piece, Given given, TreatmentForm form) {
        LocalDate today = workshops.today();
        LocalDate beganOn = form.beganOn() == null ? today : form.beganOn();
        if (beganOn.isAfter(today)) {
            throw Refusal.wrong("future-date", "beganOn", "It cannot have begun in the future.");
        }
        if (beganOn.isBefore(piece.lot().receivedOn())) {
            throw Refusal.wrong("before-arrival", "beganOn", "It cannot have begun before the lot came.");
        }
        try {
            given.kind().course().steps(number(given));
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong("invalid", "number", String.valueOf(wrong.getMessage()));
        }
        mustBeOverBeforeHanging(piece, given, beganOn);
        return beganOn;
    }

    /** What hangs is not laid into a liquid. */
    private static void mustBeOverBeforeHanging(Piece piece, Given given, LocalDate beganOn) {
        int days = given.kind().course().daysBeforeHanging(number(given));
        piece.hungOn()
                .filter(hungOn -> days > 0 && beganOn.plusDays(days).isAfter(hungOn))
                .ifPresent(hungOn -> {
                    throw Refusal.wrong(
                            "hangs-already",
                            "beganOn",
                            "It takes %d days before the hanging, and the piece hangs since %s. Say on which day it began."
                                    .formatted(days, Quantity.date(hungOn)));
                });
    }

    /** Told afterwards in one sum, and nothing more is to be done. */
    private void smokedBefore(Piece piece, Treatment treatment, int minutes) {
        if (!treatment.kind().isSmokedInBursts()) {
            throw Refusal.wrong("minutes", "minutes", "Only smoke is counted in minutes.");
        }
        entities.flush(); // Its step points at it by id alone.
        did(
                piece,
                treatment,
                Ids.after(treatment.id(), "smoked"),
                new StepForm(0, null, null, minutes, treatment.beganOn(), true, "", Map.of()),
                "");
    }

    private static int number(Given given) {
        return given.kind().course().number(given.number());
    }

    /** What is to be asked before it is given; what stops it is refused. */
    private List<Question> questions(Piece piece, Given given) {
        List<Question> questions = new ArrayList<>();
        piece.method()
                .ifPresent(method -> questions.addAll(clashes(new Clash.TreatmentPlan(
                        given.kind(),
                        method,
                        given.rawGarlicOrHerbs(),
                        given.oil(),
                        given.spirit(),
                        inCompany(piece),
                        OptionalDouble.of(0))))); // The meat is measured at each burst of smoke, not now.
        Dose dose = given.dose();
        if (dose == null && given.kind().first().isPresent()) {
            questions.add(Question.confirm(
                    "no-dose", "amount", "No dose is written down: next time nobody will know how much it was."));
        }
        given.kind()
                .onLabel()
                .filter(label -> dose != null
                        && label.measure().weighs() == dose.measure().weighs())
                .map(label -> dose.times(label, piece.greenGrams(), squareMetres(piece)))
                .filter(times -> times > Dose.LABEL_TIMES)
                .ifPresent(times -> questions.add(Question.reason(
                        "over-label",
                        "amount",
                        "That is %s times the dose on the label; more than three times covers the meat. Why so much?"
                                .formatted(Math.round(times)))));
        return questions;
    }

    private boolean inCompany(Piece piece) {
        return piece.chamber()
                .map(chamber -> pieces.hangingNow().stream()
                        .anyMatch(other -> !other.id().equals(piece.id())
                                && other.chamber()
                                        .filter(each -> each.id().equals(chamber.id()))
                                        .isPresent()))
                .orElse(false);
    }

    private static List<Question> clashes(Clash.TreatmentPlan plan) {
        List<Question> asked = new ArrayList<>();
        for (Clash clash : Clash.find(plan)) {
            if (clash.answer() == Clash.ClashAnswer.STOP) {
                throw Refusal.wrong("clash", "kind", clash.reason());
            }
            asked.add(clash.question());
        }
        return asked;
    }

    static double squareMetres(Piece piece) {
        return piece.count()
                * piece.hanging()
                        .map(hanging -> hanging.surface().squareMetres())
                        .orElseGet(() -> piece.cut().surface().squareMetres(piece.greenGrams() / piece.count()));
    }

    private static int cost(Piece piece, Given given, TreatmentForm form, List<Recipe.Ingredient> parts) {
        if (form.costMinor() != null) {
            return form.costMinor();
        }
        Dose dose = given.dose();
        return parts.isEmpty() || dose == null
                ? 0
                : (int) Math.round(new Recipe(parts).cost(dose.forPiece(piece.greenGrams(), squareMetres(piece))));
    }

    /**
     * Takes a treatment back that was never given; sent again, it happens once.
     *
     * @throws Refusal if it was taken back already
     */
    public void takeBack(UUID pieceId, UUID treatmentId, UUID entryId, String words) {
        Piece piece = writer.lock(pieceId);
        Treatment taken = find(pieceId, treatmentId);
        if (log.isRetry(pieceId, entryId, LogFactKind.TAKEN_BACK, 0, null)) {
            return;
        }
        log.writeFor(pieceId, entryId, back(treatmentId, words));
        // The coat that was weighed on with it was not on it either.
        UUID coat = coatOf(treatmentId);
        if (pieces.log(pieceId).stream().anyMatch(each -> each.id().equals(coat) && each.stands())) {
            log.writeFor(pieceId, Ids.after(entryId, "coat"), back(coat, words));
        }
        writer.spend(piece, -taken.costMinor());
        if (!beyondThePull(piece) && piece.coating() == taken.kind().coating()) {
            coat(
                    piece,
                    treated.standing(pieceId).stream()
                            .map(each -> each.kind().coating())
                            .reduce(Coating.NONE, (one, other) -> heavier(other, one) ? other : one),
                    taken.beganOn());
        }
    }

    /** What was expected of it when it was hung was expected of it with its coat. */
    private void coat(Piece piece, Coating coating, LocalDate beganOn) {
        writer.coat(piece, coating);
        plans.coatChanged(piece, beganOn);
    }

    private static UUID coatOf(UUID treatmentId) {
        return Ids.after(treatmentId, "coat");
    }

    private static EntryForm back(UUID corrects, String words) {
        return new EntryForm(LogFactKind.TAKEN_BACK, 0, null, words, null, corrects, Map.of());
    }

    private static boolean beyondThePull(Piece piece) {
        return piece.state() == PieceState.PULLED || piece.state() == PieceState.CUT;
    }

    /** Of two coats the drying reckons with the one that holds more. */
    private static boolean heavier(Coating coating, Coating than) {
        return coating != Coating.NONE && (than == Coating.NONE || coating.resistance() > than.resistance());
    }

    /**
     * Does a step; sent again, it is done once.
     *
     * @param meatCelsius of the meat, where it was measured
     * @throws Refusal if there is no such step, it was done already, or the meat is too warm for it
     */
    public void step(UUID pieceId, UUID treatmentId, UUID entryId, StepForm form) {
        Piece piece = writer.lock(pieceId);
        Treatment treatment = find(pieceId, treatmentId);
        if (entities.find(StepDone.class, entryId) != null) {
            return;
        }
        if (treated.standing(pieceId).stream().noneMatch(each -> each.id().equals(treatmentId))) {
            throw Refusal.conflict("taken-back", "This treatment was taken back.");
        }
        PlannedStep step = treated.steps(piece, treatment).stream()
                .filter(each -> each.number() == form.number())
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("step"));
        boolean bursts = treatment.kind().isSmokedInBursts();
        List<StepDone> done = treated.done(treatment);
        if (done.stream().anyMatch(StepDone::last)) {
            throw Refusal.conflict("over-already", "Somebody said that nothing more of it was to come.");
        }
        if (!bursts && done.stream().anyMatch(each -> each.number() == form.number())) {
            throw Refusal.conflict("done-already", "That step was done already.");
        }
        if (bursts != (form.minutes() != null)) {
            throw Refusal.wrong(
                    "minutes",
                    "minutes",
                    bursts ? "Say how many minutes of smoke it was." : "Only smoke is counted in minutes.");
        }
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(smoke(treatment, form));
        did(piece, treatment, entryId, form, bursts ? "" : step.step().words());
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    private void did(Piece piece, Treatment treatment, UUID entryId, StepForm form, String what) {
        String words = Stream.of(
                        what,
                        form.minutes() == null ? "" : "Smoke, %d minutes.".formatted(form.minutes()),
                        form.meatCelsius() == null ? "" : "Meat at %s.".formatted(temperature(form.meatCelsius())),
                        Boolean.TRUE.equals(form.feltCold()) ? "Cold to the touch." : "",
                        Quantity.words(form.words().strip()))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(" "));
        Instant at = form.on() == null || form.on().equals(workshops.today())
                ? null
                : workshops.mine().clock().at(form.on(), LocalTime.NOON);
        log.writeFor(piece.id(), entryId, new EntryForm(LogFactKind.STEP_DONE, 0, null, words, at, null, Map.of()));
        entities.persist(new StepDone(entryId, treatment, form));
    }

    /** Smoke is the treatment whose every step may stop. */
    private static List<Question> smoke(Treatment treatment, StepForm form) {
        boolean toldAfterwards = form.on() != null; // Nobody measures it any more.
        if (!treatment.kind().isSmokedInBursts() || toldAfterwards || Boolean.TRUE.equals(form.feltCold())) {
            return List.of();
        }
        if (Boolean.FALSE.equals(form.feltCold())) {
            throw Refusal.wrong("clash", "feltCold", Clash.WARM_MEAT_IN_SMOKE.reason());
        }
        return clashes(new Clash.TreatmentPlan(
                treatment.kind(),
                Method.OPEN_AIR,
                false,
                false,
                false,
                false,
                form.meatCelsius() == null ? OptionalDouble.empty() : OptionalDouble.of(form.meatCelsius())));
    }

    /**
     * Says afterwards how much was used: a guess becomes a dose. Sent again, it is said once.
     *
     * @throws Refusal if nothing was used, or the dose is known
     */
    public void used(UUID pieceId, UUID treatmentId, UUID entryId, BottleForm form) {
        Piece piece = writer.lock(pieceId);
        Treatment treatment = find(pieceId, treatmentId);
        if (entities.find(DoseUsed.class, entryId) != null) {
            return;
        }
        if (treatment.given().dose() != null) {
            throw Refusal.conflict("dosed-already", "Its dose was written down when it was given.");
        }
        Dose dose;
        try {
            dose = Dose.used(form.full(), form.left(), form.measure(), piece.cutGrams());
        } catch (IllegalArgumentException none) {
            throw Refusal.wrong("invalid", "left", String.valueOf(none.getMessage()));
        }
        log.writeFor(
                pieceId,
                entryId,
                entry(
                        LogFactKind.NOTE,
                        0,
                        "%s: it was %s".formatted(treatment.kind().label(), dose.words())));
        entities.persist(new DoseUsed(entryId, treatment, form.full(), form.left(), form.measure(), piece.cutGrams()));
    }

    private Treatment find(UUID pieceId, UUID treatmentId) {
        return rows.findById(treatmentId)
                .filter(each -> each.pieceId().equals(pieceId))
                .orElseThrow(() -> Refusal.notFound("treatment"));
    }

    private static EntryForm entry(LogFactKind kind, int grams, String words) {
        return new EntryForm(kind, grams, null, words, null, null, Map.of());
    }
}
