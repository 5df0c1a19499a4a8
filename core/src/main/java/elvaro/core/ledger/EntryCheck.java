package elvaro.core.ledger;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.question.Question;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What is odd about an entry before it joins the log. The limits are engineering estimates (EST) and only ask. */
public final class EntryCheck {
    /** A fall of more than this share of the last weight within a day is asked about. */
    private static final double FALL_PER_DAY = 0.06;

    /** What is weighed for the first time is left to the forecast, unless more is gone than in so many days. */
    private static final double FIRST_DAYS = 7;

    private EntryCheck() {}

    /**
     * Whether a weight of more than nothing is impossible on what is there: a withdrawal or a pile heavier than what is
     * left. A pile may exceed it by the scale's share of the residual, no more.
     *
     * @param log as it stands, without the entry
     * @param green G in grams
     * @param entry to be added
     * @param divisionGrams the scale's division
     * @return what is wrong, as a sentence to act on
     */
    public static Optional<String> refusal(PieceLog log, int green, LogFact entry, int divisionGrams) {
        if (entry.kind().takes() && entry.grams() >= log.latest()) {
            return Optional.of(
                    "%s cannot come off a piece that weighs %s.".formatted(mass(entry.grams()), mass(log.latest())));
        }
        if (entry.kind() == LogFactKind.COAT_OFF && log.coatOn() == 0) {
            return Optional.of("No coat or seal is on this piece. Enter it first, or weigh the piece as it is.");
        }
        if (entry.kind() == LogFactKind.PILE) {
            int left = log.ledger().residual();
            int slack = 2 * divisionGrams * (log.weighingsAtTheBench() + 1);
            if (entry.grams() > left + slack) {
                return Optional.of("Only %s is left of this piece; a pile of %s cannot be. Was the container tared?"
                        .formatted(mass(Math.max(0, left)), mass(entry.grams())));
            }
        }
        if (weighsThePiece(entry) && entry.grams() <= log.coatOn()) {
            return Optional.of("The coat alone weighs %s; the piece with it cannot weigh %s."
                    .formatted(mass(log.coatOn()), mass(entry.grams())));
        }
        return Optional.empty();
    }

    /**
     * What to ask before a weighing of the piece is kept: heavier than hung, heavier than before, or fallen too fast.
     *
     * @param hungAt when its days began
     */
    public static List<Question> questions(PieceLog log, int green, Instant hungAt, LogFact entry) {
        if (!weighsThePiece(entry)) {
            return List.of();
        }
        int net = entry.grams() - log.coatOn();
        int before = log.latest();
        if (net > green - log.withdrawn()) {
            return List.of(Question.confirm(
                    "above-green",
                    "grams",
                    "%s is more than the %s it was hung at. Is it the right piece, and was the hook tared?"
                            .formatted(mass(net), mass(green - log.withdrawn()))));
        }
        Optional<Instant> last = log.lastWeighedAt();
        boolean laterThanLast = last.isEmpty() || entry.at().isAfter(last.get());
        if (!laterThanLast) {
            return List.of();
        }
        if (net > before + Math.max(10, before / 200)) {
            return List.of(Question.confirm(
                    "heavier-than-before",
                    "grams",
                    "It weighed %s before and does not gain. Is it the right piece, wet, or not tared?"
                            .formatted(mass(before))));
        }
        double since = Duration.between(last.orElse(hungAt), entry.at()).toHours() / 24.0;
        double days = last.isPresent() ? since : Math.max(FIRST_DAYS, since);
        double allowed = before * FALL_PER_DAY * Math.max(1, days);
        if (before - net > allowed) {
            return List.of(Question.confirm(
                    "fell-fast",
                    "grams",
                    "That is %s less than before, more than a piece loses in that time. Right piece? Was a slice taken?"
                            .formatted(mass(before - net))));
        }
        return List.of();
    }

    private static boolean weighsThePiece(LogFact entry) {
        return entry.kind() == LogFactKind.WEIGHED
                || entry.kind() == LogFactKind.PULLED
                || entry.kind() == LogFactKind.UNWRAPPED;
    }
}
