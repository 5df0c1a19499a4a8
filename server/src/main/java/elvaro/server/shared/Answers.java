package elvaro.server.shared;

import elvaro.core.question.Question;
import java.util.List;
import java.util.Map;

/**
 * What a person answered to the questions a value raised: question id → reason, an empty reason for a plain "keep it".
 */
public final class Answers {
    /** More than any form raises questions. */
    public static final int MOST = 60;

    private static final int LONGEST_REASON = 1000;

    private final Map<String, String> byQuestion;

    private Answers(Map<String, String> byQuestion) {
        this.byQuestion = byQuestion;
    }

    public static Answers of(Map<String, String> byQuestion) {
        return new Answers(byQuestion);
    }

    /** A question with the reason it was settled by. */
    public record Settled(Question question, String reason) {}

    /**
     * @return each question with its answer
     * @throws Refusal asking every question that has no answer, or none with words where a reason is needed
     */
    public List<Settled> settle(List<Question> questions) {
        List<Question> open =
                questions.stream().filter(question -> !answers(question)).toList();
        if (!open.isEmpty()) {
            throw Refusal.asks(open);
        }
        return questions.stream()
                .map(question -> new Settled(
                        question, byQuestion.getOrDefault(question.id(), "").strip()))
                .toList();
    }

    private boolean answers(Question question) {
        String reason = byQuestion.get(question.id());
        return reason != null && reason.length() <= LONGEST_REASON && (!question.needsReason() || !reason.isBlank());
    }
}
