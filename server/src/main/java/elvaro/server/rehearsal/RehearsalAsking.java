package elvaro.server.rehearsal;

import elvaro.core.rehearsal.Claim;
import elvaro.core.rehearsal.ClaimReview;
import elvaro.core.rehearsal.LessonWork;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.rehearsal.RehearsalWorld;
import elvaro.core.rehearsal.SimulatedTaster;
import elvaro.core.rehearsal.SimulatedTaster.Answered;
import elvaro.core.rehearsal.Taste;
import elvaro.core.tasting.Preference;
import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.rehearsal.RehearsalView.AgainLine;
import elvaro.server.rehearsal.RehearsalView.ClaimChoice;
import elvaro.server.rehearsal.RehearsalView.ClaimView;
import elvaro.server.rehearsal.RehearsalView.PieceOfLot;
import elvaro.server.rehearsal.RehearsalView.QuestionBefore;
import elvaro.server.shared.HouseTime;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import elvaro.server.tasting.OpenTables;
import elvaro.server.tasting.OpenTables.Eaten;
import elvaro.server.tasting.OpenTables.Liking;
import elvaro.server.tasting.OpenTables.ServedPlate;
import elvaro.server.trial.TrialOutcomes;
import elvaro.server.trial.TrialOutcomes.TrialOutcome;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lessons that ask something of several pieces: a table that answers by itself, a trial that is seen through. */
@Service
@Transactional
class RehearsalAsking {
    private final RehearsalRepository rehearsals;
    private final RehearsalHand hand;
    private final RehearsalAir air;
    private final PieceQueries pieces;
    private final OpenTables tables;
    private final TrialOutcomes trials;
    private final HouseTime time;

    RehearsalAsking(
            RehearsalRepository rehearsals,
            RehearsalHand hand,
            RehearsalAir air,
            PieceQueries pieces,
            OpenTables tables,
            TrialOutcomes trials,
            HouseTime time) {
        this.rehearsals = rehearsals;
        this.hand = hand;
        this.air = air;
        this.pieces = pieces;
        this.tables = tables;
        this.trials = trials;
        this.time = time;
    }

    private Rehearsal running(LessonWork work) {
        Rehearsal rehearsal =
                rehearsals.here().filter(each -> each.work() == work).orElseThrow(() -> Refusal.notFound("question"));
        if (rehearsal.isOver()) {
            throw Refusal.conflict("over", "This rehearsal is over.");
        }
        return rehearsal;
    }

    QuestionBefore before(Rehearsal rehearsal) {
        List<Piece> all = all(rehearsal);
        Optional<Found> found = found(rehearsal, all);
        return new QuestionBefore(
                rehearsal.work(),
                all.stream()
                        .map(piece -> new PieceOfLot(piece.id(), piece.tag()))
                        .toList(),
                Ids.after(rehearsal.id(), "lot"),
                rehearsal.askedId().or(() -> found.map(Found::id)).orElse(null),
                tables.unanswered().size(),
                (int) all.stream()
                        .filter(piece -> piece.state() == PieceState.HANGING)
                        .count(),
                found.map(Found::choices).orElse(List.of()),
                rehearsal
                        .claim()
                        .flatMap(claim -> found.map(each -> told(rehearsal, claim, each)))
                        .orElse(null));
    }

    private List<Piece> all(Rehearsal rehearsal) {
        return pieces.allOfLot(Ids.after(rehearsal.id(), "lot")).stream()
                .sorted(Comparator.comparing(Piece::tag))
                .toList();
    }

    /** Each piece as it lives in this world. */
    private static RehearsalPlan plan(Rehearsal rehearsal, List<Piece> all, Piece piece) {
        if (rehearsal.work() == LessonWork.TASTING) {
            return tasted(rehearsal).get(all.indexOf(piece));
        }
        return rehearsal
                .plan()
                .piece(
                        all.indexOf(piece) + 1,
                        piece.greenGrams(),
                        piece.method().orElseThrow(),
                        piece.targetDays().orElse(rehearsal.plan().plannedDays()));
    }

    private static List<RehearsalPlan> tasted(Rehearsal rehearsal) {
        return rehearsal
                .lesson()
                .map(lesson -> lesson.tasted(rehearsal.plan().seed()))
                .orElseThrow();
    }

    private static Taste taste(RehearsalPlan plan) {
        return Taste.of(plan, new RehearsalWorld(plan, List.of()).at(plan.plannedDays()));
    }

    /**
     * Every taster at an open table eats and hands the sheets in; sent again, nobody eats twice.
     *
     * @throws Refusal if no table waits, or nobody knows of which piece a sample is
     */
    void tastersAnswer() {
        Rehearsal rehearsal = running(LessonWork.TASTING);
        List<ServedPlate> waiting = tables.unanswered();
        if (waiting.isEmpty()) {
            throw Refusal.conflict("no-table", "No table waits for its tasters. Set one and open it.");
        }
        List<Piece> all = all(rehearsal);
        Map<UUID, Taste> tastes = new HashMap<>();
        all.forEach(piece -> tastes.put(piece.id(), taste(plan(rehearsal, all, piece))));
        for (ServedPlate plate : waiting) {
            List<Taste> served = plate.pieces().stream()
                    .map(piece -> piece.map(tastes::get)
                            .orElseThrow(() -> Refusal.conflict(
                                    "no-piece",
                                    "A sample of the table is of no piece, so there is nothing to taste. Drop the table"
                                            + " and set another.")))
                    .toList();
            Answered answered = new SimulatedTaster(rehearsal.plan().seed(), plate.seat()).eats(served, plate.round());
            tables.answer(plate, new Eaten(answered.liked(), answered.odd(), answered.ranks(), answered.scores()));
        }
    }

    /**
     * A trusted hand does what is to be done, until all is cut; the days go by with it. Sent again, nothing is left to do.
     *
     * @throws Refusal if nothing hangs
     */
    void handWorks() {
        Rehearsal rehearsal = running(LessonWork.TRIAL);
        List<Piece> all = all(rehearsal);
        List<Piece> hanging = all.stream()
                .filter(piece -> piece.state() == PieceState.HANGING)
                .toList();
        if (hanging.isEmpty()) {
            throw Refusal.conflict("nothing-hangs", "Nothing hangs. Make a trial of the lot first.");
        }
        double from = rehearsal.day(time.instant());
        Instant last = hanging.stream()
                .map(piece -> hand.seesThrough(rehearsal, piece.id(), plan(rehearsal, all, piece)))
                .max(Comparator.naturalOrder())
                .orElseThrow();
        rehearsal.set(last.plus(1, ChronoUnit.HOURS), time.ofTheMachine().truncatedTo(ChronoUnit.MICROS));
        rehearsals.save(rehearsal);
        air.record(rehearsal, from, rehearsal.day(last));
    }

    /**
     * Says what was shown, which ends it; sent again, the first stands.
     *
     * @throws Refusal if there is nothing to say it of yet
     */
    void says(Claim claim) {
        Rehearsal rehearsal = rehearsals.here().orElseThrow(() -> Refusal.notFound("rehearsal"));
        if (rehearsal.isOver()) {
            return;
        }
        Found found = found(rehearsal, all(rehearsal))
                .orElseThrow(
                        () -> Refusal.conflict(
                                "nothing-shown",
                                rehearsal.work() == LessonWork.TASTING
                                        ? "No table was revealed yet that had both of them."
                                        : "No trial of aged meat is cut yet. Of meat that is kept fresh a rehearsal says nothing."));
        ClaimReview review = found.review(claim);
        rehearsal.says(claim, found.id());
        rehearsal.end(
                review.score(),
                review.isPassed(),
                time.instant(),
                time.ofTheMachine().truncatedTo(ChronoUnit.MICROS));
        rehearsals.save(rehearsal);
    }

    /** What was found, as far as it has got; empty before anything was asked. */
    private Optional<Found> found(Rehearsal rehearsal, List<Piece> all) {
        return switch (rehearsal.work()) {
            case PIECE -> Optional.empty();
            case TASTING ->
                tables.liking(all.get(0).id(), all.get(1).id()).map(liking -> new FoundLiking(rehearsal, all, liking));
            case TRIAL ->
                trials.newest()
                        .filter(trial -> isCut(trial.control()) && isCut(trial.arm()))
                        .map(trial -> new FoundTrial(rehearsal, all, trial));
        };
    }

    /** What was kept fresh never lived in this world: nothing is said of it. */
    private static boolean isCut(List<Piece> arm) {
        return !arm.isEmpty()
                && arm.stream()
                        .allMatch(piece -> piece.state() == PieceState.CUT
                                && piece.method().isPresent());
    }

    private static ClaimView told(Rehearsal rehearsal, Claim claim, Found found) {
        ClaimReview review = found.review(claim);
        return new ClaimView(
                review.score(),
                review.isPassed(),
                rehearsal.lesson().map(RehearsalLesson::moral).orElse(""),
                List.of(
                        "You said: %s.".formatted(found.label(claim)),
                        "It showed: %s.".formatted(found.label(review.shown())),
                        found.enough(review),
                        found.truth(review)),
                found.againOf(),
                review.again().stream()
                        .map(each -> new AgainLine(found.size(each.size()), each.shows(), each.size() == review.size()))
                        .toList());
    }

    /** What a table or a trial came to, in its own words. */
    private interface Found {
        UUID id();

        String label(Claim claim);

        default List<ClaimChoice> choices() {
            return List.of(Claim.values()).stream()
                    .map(claim -> new ClaimChoice(claim, label(claim)))
                    .toList();
        }

        ClaimReview review(Claim claim);

        String enough(ClaimReview review);

        String truth(ClaimReview review);

        String againOf();

        String size(int size);
    }

    private record FoundLiking(Rehearsal rehearsal, List<Piece> all, Liking liking) implements Found {
        @Override
        public UUID id() {
            return liking.tastingId();
        }

        @Override
        public String label(Claim claim) {
            return switch (claim) {
                case FIRST -> all.get(0).tag() + " is liked better";
                case SECOND -> all.get(1).tag() + " is liked better";
                case NOT_SHOWN -> "it does not tell";
            };
        }

        @Override
        public ClaimReview review(Claim claim) {
            Claim shown = liking.p() >= Preference.LEVEL
                    ? Claim.NOT_SHOWN
                    : liking.first() > liking.second() ? Claim.FIRST : Claim.SECOND;
            return ClaimReview.ofTasting(
                    claim,
                    shown,
                    liking.tasters(),
                    taste(plan(rehearsal, all, all.get(0))),
                    taste(plan(rehearsal, all, all.get(1))),
                    rehearsal.plan().seed());
        }

        @Override
        public String enough(ClaimReview review) {
            return "A table of %d shows it %s in 100 if three people in four like the one better."
                    .formatted(review.size(), times(review.power()));
        }

        @Override
        public String truth(ClaimReview review) {
            return "The truth, which nobody could know: of all people of this house %.0f %% like %s better."
                    .formatted(100 * review.truth(), all.get(1).tag());
        }

        @Override
        public String againOf() {
            return "The same two, before other tables, a hundred times each: so often a liking is shown";
        }

        @Override
        public String size(int size) {
            return size + " tasters";
        }
    }

    private record FoundTrial(Rehearsal rehearsal, List<Piece> all, TrialOutcome trial) implements Found {
        private static final String POINTS = "%.1f points";

        @Override
        public UUID id() {
            return trial.trialId();
        }

        @Override
        public String label(Claim claim) {
            return switch (claim) {
                case FIRST -> differs("less");
                case SECOND -> differs("more");
                case NOT_SHOWN -> "it does not tell";
            };
        }

        private String differs(String how) {
            return "“%s” has %s %s than “%s”"
                    .formatted(trial.armName(), how, trial.measure().label(), trial.controlName());
        }

        @Override
        public ClaimReview review(Claim claim) {
            Claim shown = trial.strength() != Strength.SHOWN
                    ? Claim.NOT_SHOWN
                    : trial.value() < 0 ? Claim.FIRST : Claim.SECOND;
            return ClaimReview.ofTrial(
                    claim,
                    shown,
                    Math.min(trial.control().size(), trial.arm().size()),
                    plan(rehearsal, all, trial.control().get(0)),
                    plan(rehearsal, all, trial.arm().get(0)),
                    trial.measure());
        }

        private String read() {
            TrialMeasure read = ClaimReview.figureOf(trial.measure());
            return read.label();
        }

        @Override
        public String enough(ClaimReview review) {
            return "A trial of %s shows 3 points of %s %s in 100."
                    .formatted(size(review.size()), read(), times(review.power()));
        }

        @Override
        public String truth(ClaimReview review) {
            return "The truth, which nobody could know: over many pieces “%s” has %s %s of %s."
                    .formatted(
                            trial.armName(),
                            POINTS.formatted(Math.abs(100 * review.truth())),
                            review.truth() < 0 ? "less" : "more",
                            read());
        }

        @Override
        public String againOf() {
            return "The same trial, made a hundred times each: so often a difference is shown";
        }

        @Override
        public String size(int size) {
            return size == 1 ? "1 piece an arm" : size + " pieces an arm";
        }
    }

    private static String times(double share) {
        return Math.round(100 * share) == 1 ? "once" : "%d times".formatted(Math.round(100 * share));
    }
}
