package elvaro.server.treatment;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.treatment.Course.PlannedStep;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.Recipe;
import elvaro.core.treatment.TreatmentStep;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.treatment.TreatmentRepository.KindRow;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was given to pieces, and which of its steps are done. */
@Service
@Transactional(readOnly = true)
public class TreatmentQueries {
    /** Nobody goes on with a treatment that began longer ago. */
    private static final int LONGEST_AFTER_DAYS = 120;

    /** Kinds that go on after the day of the pull. */
    private static final Set<elvaro.core.treatment.TreatmentKind> BEYOND_THE_PULL = Arrays.stream(
                    elvaro.core.treatment.TreatmentKind.values())
            .filter(kind -> kind.course().steps().stream()
                    .anyMatch(step -> step.moment() == TreatmentStep.Moment.AFTER_PULL && step.day() > 0))
            .collect(Collectors.toSet());

    private final TreatmentRepository rows;
    private final PieceQueries pieces;
    private final WorkshopService workshops;

    TreatmentQueries(TreatmentRepository rows, PieceQueries pieces, WorkshopService workshops) {
        this.rows = rows;
        this.pieces = pieces;
        this.workshops = workshops;
    }

    /**
     * A treatment of a piece.
     *
     * @param words what was done, in one line
     * @param amount of the dose for this piece, with its measure; absent where there is none
     * @param guess whether it was dosed by eye, and nobody said afterwards how much it was
     * @param shares what of each part of the recipe
     * @param onLabel how much the label says, for this piece; absent where there is none
     * @param smokedMinutes of smoke so far; absent where none is counted
     * @param over whether somebody said that nothing more of it is to come
     */
    public record GivenView(
            UUID id,
            elvaro.core.treatment.TreatmentKind kind,
            String label,
            String words,
            @Nullable String amount,
            boolean guess,
            List<GivenShare> shares,
            @Nullable String onLabel,
            @Nullable Integer smokedMinutes,
            boolean over,
            LocalDate beganOn,
            Instant at,
            String by,
            int costMinor,
            List<GivenStep> steps,
            String lookFor,
            String nextTime) {}

    /** What of one part of a recipe. */
    public record GivenShare(String name, double grams, double costMinor) {
        static List<GivenShare> of(Recipe recipe, double grams) {
            return recipe.amounts(grams).stream()
                    .map(part -> new GivenShare(part.name(), part.grams(), part.costMinor()))
                    .toList();
        }
    }

    /**
     * A step of it.
     *
     * @param on the day it is to be done; absent while that is not known
     * @param minutes of smoke in it so far
     * @param doneAt absent while it is not done
     */
    public record GivenStep(
            int number,
            String words,
            TreatmentStep.Moment moment,
            @Nullable LocalDate on,
            boolean measuresMeat,
            int minutes,
            boolean done,
            @Nullable Instant doneAt,
            @Nullable String by) {}

    /** A step that is to be done. */
    public record OpenStep(HangingPiece hanging, String words, LocalDate on) {}

    /** What was given to a piece and not taken back, in the order it was given. */
    List<Treatment> standing(UUID pieceId) {
        Map<UUID, EntryView> entries = standingEntries(pieceId);
        return rows.ofPieces(List.of(pieceId)).stream()
                .filter(each -> entries.containsKey(each.id()))
                .sorted(Comparator.comparing(each -> entries.get(each.id()).happenedAt()))
                .toList();
    }

    /** What of its steps was done. */
    List<StepDone> done(Treatment treatment) {
        Map<UUID, EntryView> entries = standingEntries(treatment.pieceId());
        return rows.stepsOfPieces(List.of(treatment.pieceId())).stream()
                .filter(step -> step.treatmentId().equals(treatment.id()) && entries.containsKey(step.id()))
                .toList();
    }

    /** The steps of a treatment on their days. */
    List<PlannedStep> steps(Piece piece, Treatment treatment) {
        return steps(piece, treatment, pulledOn(piece.id()));
    }

    private static List<PlannedStep> steps(Piece piece, Treatment treatment, Optional<LocalDate> pulledOn) {
        // Until it hangs, it is to hang when what is done before is over.
        LocalDate hungOn = piece.hungOn()
                .orElseGet(() ->
                        treatment.beganOn().plusDays(treatment.kind().course().daysBeforeHanging(treatment.number())));
        return treatment.kind().course().from(treatment.number(), treatment.beganOn(), hungOn, pulledOn);
    }

    Optional<LocalDate> pulledOn(UUID pieceId) {
        HouseClock house = workshops.mine().clock();
        return pieces.log(pieceId).stream()
                .filter(entry -> entry.stands() && entry.kind() == LogFactKind.PULLED)
                .map(entry -> house.day(entry.happenedAt()))
                .findFirst();
    }

    private Map<UUID, EntryView> standingEntries(UUID pieceId) {
        return pieces.log(pieceId).stream()
                .filter(EntryView::stands)
                .collect(Collectors.toMap(EntryView::id, Function.identity()));
    }

    /** Every treatment of a piece, with its steps, in the order they were given. */
    public List<GivenView> of(UUID pieceId) {
        Piece piece = pieces.find(pieceId);
        Map<UUID, EntryView> entries = standingEntries(pieceId);
        List<StepDone> done = rows.stepsOfPieces(List.of(pieceId)).stream()
                .filter(step -> entries.containsKey(step.id()))
                .toList();
        Map<UUID, Dose> used = used(List.of(pieceId), Map.of(pieceId, List.copyOf(entries.values())));
        return standing(pieceId).stream()
                .map(each -> view(piece, each, given(each, used), entries, done))
                .toList();
    }

    private GivenView view(
            Piece piece, Treatment treatment, Given given, Map<UUID, EntryView> entries, List<StepDone> done) {
        EntryView entry = entries.get(treatment.id());
        Dose dose = given.dose();
        double whole = dose == null ? 0 : dose.forPiece(piece.greenGrams(), TreatmentService.squareMetres(piece));
        List<StepDone> own = done.stream()
                .filter(each -> each.treatmentId().equals(treatment.id()))
                .sorted(Comparator.comparing(each -> entries.get(each.id()).happenedAt()))
                .toList();
        boolean smoke = treatment.kind().isSmokedInBursts();
        boolean over = own.stream().anyMatch(StepDone::last);
        List<GivenStep> steps = steps(piece, treatment).stream()
                .map(step -> view(step, smoke, own, entries))
                .filter(step -> step.done() || !over)
                .toList();
        return new GivenView(
                treatment.id(),
                treatment.kind(),
                treatment.kind().label(),
                given.words(),
                dose == null ? null : measured(whole, dose.measure()),
                given.isGuess(),
                treatment.parts().isEmpty() ? List.of() : GivenShare.of(new Recipe(treatment.parts()), whole),
                treatment
                        .kind()
                        .onLabel()
                        .map(label -> measured(
                                label.forPiece(piece.greenGrams(), TreatmentService.squareMetres(piece)),
                                label.measure()))
                        .orElse(null),
                smoke ? own.stream().mapToInt(StepDone::minutes).sum() : null,
                over,
                treatment.beganOn(),
                entry.happenedAt(),
                entry.by(),
                treatment.costMinor(),
                steps,
                treatment.kind().lookFor(),
                treatment.kind().nextTime());
    }

    private static GivenStep view(PlannedStep step, boolean smoke, List<StepDone> done, Map<UUID, EntryView> entries) {
        List<StepDone> own =
                done.stream().filter(each -> each.number() == step.number()).toList();
        EntryView over =
                own.isEmpty() ? null : entries.get(own.get(own.size() - 1).id());
        return new GivenStep(
                step.number(),
                step.step().words(),
                step.step().moment(),
                step.on().orElse(null),
                smoke,
                own.stream().mapToInt(StepDone::minutes).sum(),
                over != null,
                over == null ? null : over.happenedAt(),
                over == null ? null : over.by());
    }

    /** As spoons and scales are read: three figures, no more. */
    private static String measured(double amount, DoseUnit measure) {
        return BigDecimal.valueOf(amount)
                        .round(new MathContext(3))
                        .stripTrailingZeros()
                        .toPlainString()
                + " " + measure.symbol();
    }

    /** What each of these pieces was given, in words; pieces that were given nothing are left out. */
    public Map<UUID, String> words(Collection<UUID> pieceIds) {
        Map<UUID, List<Given>> given = given(pieceIds);
        return given.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        each -> each.getValue().stream().map(Given::words).collect(Collectors.joining("; "))));
    }

    /** The kinds of treatment each piece of the workshop was given, in words; one that was given nothing is left out. */
    public Map<UUID, String> kinds() {
        return rows.standing().stream()
                .collect(Collectors.groupingBy(
                        KindRow::pieceId,
                        Collectors.mapping(
                                row -> row.kind().label(),
                                Collectors.collectingAndThen(
                                        Collectors.toCollection(java.util.TreeSet::new),
                                        labels -> String.join(" + ", labels)))));
    }

    /** What each of these pieces was given; pieces that were given nothing are left out. */
    public Map<UUID, List<Given>> given(Collection<UUID> pieceIds) {
        Map<UUID, List<EntryView>> logs = pieces.logs(pieceIds);
        Map<UUID, List<Given>> given = new HashMap<>();
        Map<UUID, Dose> used = used(pieceIds, logs);
        for (Treatment treatment : rows.ofPieces(pieceIds)) {
            logs.getOrDefault(treatment.pieceId(), List.of()).stream()
                    .filter(entry -> entry.id().equals(treatment.id()) && entry.stands())
                    .findFirst()
                    .ifPresent(entry -> given.computeIfAbsent(treatment.pieceId(), piece -> new ArrayList<>())
                            .add(given(treatment, used)));
        }
        return given;
    }

    /** By treatment, the dose that was told afterwards; the last one counts. */
    private Map<UUID, Dose> used(Collection<UUID> pieceIds, Map<UUID, List<EntryView>> logs) {
        Map<UUID, Instant> standing = logs.values().stream()
                .flatMap(List::stream)
                .filter(EntryView::stands)
                .collect(Collectors.toMap(EntryView::id, EntryView::recordedAt));
        return rows.usedOn(pieceIds).stream()
                .filter(used -> standing.containsKey(used.id()))
                .sorted(Comparator.comparing(used -> standing.get(used.id())))
                .collect(Collectors.toMap(DoseUsed::treatmentId, DoseUsed::dose, (first, last) -> last));
    }

    private static Given given(Treatment treatment, Map<UUID, Dose> used) {
        Given given = treatment.given();
        Dose known = used.get(treatment.id());
        return given.dose() == null && known != null ? given.dosed(known) : given;
    }

    /**
     * Steps that are not done and have their day, the earliest first: of what hangs or waits, and of what was cut
     * lately and is not done with.
     *
     * @param room what hangs or waits, as the first screen has it
     */
    public List<OpenStep> open(List<HangingPiece> room, HouseClock house) {
        LocalDate since = workshops.today().minusDays(LONGEST_AFTER_DAYS);
        List<HangingPiece> hanging = new ArrayList<>(room);
        hanging.addAll(pieces.waiting(house));
        List<UUID> given = rows.piecesGiven(BEYOND_THE_PULL, since);
        if (!given.isEmpty()) {
            hanging.addAll(pieces.cutOf(given, house));
        }
        return openOf(hanging, house);
    }

    private List<OpenStep> openOf(List<HangingPiece> hanging, HouseClock house) {
        List<UUID> ids = hanging.stream()
                .filter(each -> each.log().last(LogFactKind.TREATED).isPresent())
                .map(each -> each.piece().id())
                .toList();
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<Treatment>> given =
                rows.ofPieces(ids).stream().collect(Collectors.groupingBy(Treatment::pieceId));
        Map<UUID, List<StepDone>> done =
                rows.stepsOfPieces(ids).stream().collect(Collectors.groupingBy(StepDone::treatmentId));
        List<OpenStep> open = new ArrayList<>();
        for (HangingPiece each : hanging) {
            PieceLog log = each.log();
            Set<UUID> standing = log.standing().stream().map(LogFact::id).collect(Collectors.toSet());
            Optional<LocalDate> pulledOn = log.pull().map(pull -> house.day(pull.at()));
            given.getOrDefault(each.piece().id(), List.of()).stream()
                    .filter(treatment -> standing.contains(treatment.id()))
                    .forEach(treatment -> {
                        List<StepDone> own = done.getOrDefault(treatment.id(), List.of()).stream()
                                .filter(step -> standing.contains(step.id()))
                                .toList();
                        if (own.stream().anyMatch(StepDone::last)) {
                            return;
                        }
                        Set<Integer> over = own.stream().map(StepDone::number).collect(Collectors.toSet());
                        steps(each.piece(), treatment, pulledOn).stream()
                                .filter(step -> !over.contains(step.number()) && suits(step, pulledOn))
                                .forEach(step -> step.on()
                                        .ifPresent(on -> open.add(
                                                new OpenStep(each, step.step().words(), on))));
                    });
        }
        open.addAll(toHangTogether(hanging, given));
        open.sort(Comparator.comparing(OpenStep::on));
        return open;
    }

    /** What waits without anything being done to it waits for its neighbours: it is hung on the day they are. */
    private static List<OpenStep> toHangTogether(List<HangingPiece> room, Map<UUID, List<Treatment>> given) {
        List<OpenStep> open = new ArrayList<>();
        for (HangingPiece each : room) {
            Piece piece = each.piece();
            if (piece.state() != PieceState.WAITING || given.containsKey(piece.id())) {
                continue;
            }
            room.stream()
                    .map(HangingPiece::piece)
                    .filter(other -> other.lot().id().equals(piece.lot().id()))
                    .flatMap(other -> given.getOrDefault(other.id(), List.of()).stream())
                    .map(treatment -> treatment
                            .beganOn()
                            .plusDays(treatment.kind().course().daysBeforeHanging(treatment.number())))
                    .max(Comparator.naturalOrder())
                    .ifPresent(on -> open.add(new OpenStep(each, "Hang it with those that were soaked.", on)));
        }
        return open;
    }

    /** What was to be done before the pull and was not is no longer to be done after it. */
    private static boolean suits(PlannedStep step, Optional<LocalDate> pulledOn) {
        return pulledOn.isEmpty() || step.step().moment() == TreatmentStep.Moment.AFTER_PULL;
    }
}
