package elvaro.core.question;

/**
 * Something a person must decide before a dubious value is kept.
 *
 * @param id stable key, by which the answer is sent back and recorded
 * @param field the value in question, as the interface names it
 * @param sentence what is odd, and what to check
 * @param needsReason whether a bare "yes, keep it" is not enough
 */
public record Question(String id, String field, String sentence, boolean needsReason) {

    public static Question confirm(String id, String field, String sentence) {
        return new Question(id, field, sentence, false);
    }

    public static Question reason(String id, String field, String sentence) {
        return new Question(id, field, sentence, true);
    }
}
