package elvaro.server.shared;

import elvaro.core.question.Question;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** A request that was not carried out, with a sentence a person can act on. Nothing was changed. */
public class Refusal extends RuntimeException {
    private final HttpStatus status;
    private final String type;
    private final @Nullable String field;
    private final transient List<Question> questions;

    private Refusal(HttpStatus status, String type, @Nullable String field, String sentence, List<Question> questions) {
        super(sentence);
        this.status = status;
        this.type = type;
        this.field = field;
        this.questions = questions;
    }

    /** A value that cannot be. */
    public static Refusal wrong(String type, String field, String sentence) {
        return new Refusal(HttpStatus.UNPROCESSABLE_ENTITY, type, field, sentence, List.of());
    }

    /** What was asked for is not there, or belongs to another workshop, which must look the same. */
    public static Refusal notFound(String what) {
        return new Refusal(
                HttpStatus.NOT_FOUND, "not-found", null, "There is no such %s here.".formatted(what), List.of());
    }

    /** The thing is no longer in the state the request needs. */
    public static Refusal conflict(String type, String sentence) {
        return new Refusal(HttpStatus.CONFLICT, type, null, sentence, List.of());
    }

    /** Who speaks is not known. */
    public static Refusal unknownDevice() {
        return new Refusal(
                HttpStatus.UNAUTHORIZED,
                "unknown-device",
                null,
                "This token opens nothing here. Make the device a new one in Settings.",
                List.of());
    }

    /** A link that opens nothing: never did, or no longer does. */
    public static Refusal unknownLink() {
        return new Refusal(
                HttpStatus.UNAUTHORIZED,
                "unknown-link",
                null,
                "This link opens nothing, or nothing any more. The tasting may be over; ask your host.",
                List.of());
    }

    /** Too much at once. */
    public static Refusal tooMany(String sentence) {
        return new Refusal(HttpStatus.TOO_MANY_REQUESTS, "too-many", null, sentence, List.of());
    }

    /** What others are doing leaves no room for it just now. */
    public static Refusal busy(String sentence) {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, "busy", null, sentence, List.of());
    }

    /** The same whether the disk is nearly full or the database found it so. */
    public static Refusal diskFull() {
        return new Refusal(
                HttpStatus.SERVICE_UNAVAILABLE,
                DatabaseFailure.FULL.type(),
                null,
                DatabaseFailure.FULL.sentence(),
                List.of());
    }

    public static Refusal tooSlow() {
        return new Refusal(
                HttpStatus.REQUEST_TIMEOUT,
                "too-slow",
                null,
                "It came too slowly and was not taken; try again where the network is better.",
                List.of());
    }

    public static Refusal tooLarge(String sentence) {
        return new Refusal(HttpStatus.CONTENT_TOO_LARGE, "too-large", null, sentence, List.of());
    }

    public static Refusal changedMeanwhile() {
        return conflict(
                "changed-meanwhile",
                "Somebody changed this while you had it open. Nothing of yours was saved; look at the new state and"
                        + " enter your change again.");
    }

    /** Values that may be right but must be confirmed. */
    public static Refusal asks(List<Question> questions) {
        return new Refusal(
                HttpStatus.UNPROCESSABLE_ENTITY,
                "question",
                questions.get(0).field(),
                questions.get(0).sentence(),
                questions);
    }

    public HttpStatus status() {
        return status;
    }

    public String type() {
        return type;
    }

    public @Nullable String field() {
        return field;
    }

    public List<Question> questions() {
        return questions;
    }

    public String sentence() {
        return String.valueOf(getMessage());
    }
}
