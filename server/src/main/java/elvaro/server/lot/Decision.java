package elvaro.server.lot;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A dubious value that a person decided to keep, and why. Never changed. */
@Entity
@Immutable
@Chained("questioned value")
@Table(name = "decision")
@NullUnmarked
public class Decision extends WorkshopRow {
    private UUID lotId;
    private UUID pieceId;
    private String question;
    private String sentence;
    private String reason;
    private Instant decidedAt;
    private UUID accountId;

    protected Decision() {}

    Decision(UUID lotId, UUID pieceId, String question, String sentence, String reason, Instant at, UUID accountId) {
        super(UUID.randomUUID());
        this.lotId = lotId;
        this.pieceId = pieceId;
        this.question = question;
        this.sentence = sentence;
        this.reason = reason;
        this.decidedAt = at;
        this.accountId = accountId;
    }

    UUID pieceId() {
        return pieceId;
    }

    String sentence() {
        return sentence;
    }

    String reason() {
        return reason;
    }

    Instant decidedAt() {
        return decidedAt;
    }

    UUID accountId() {
        return accountId;
    }
}
