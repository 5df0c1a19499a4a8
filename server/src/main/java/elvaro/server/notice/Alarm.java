package elvaro.server.notice;

import elvaro.core.notice.NoticeKind;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What is wrong, from when it was found until it is over. */
@Entity
@Table(name = "alarm")
@NullUnmarked
class Alarm extends WorkshopRow {
    @Enumerated(EnumType.STRING)
    private NoticeKind kind;

    private UUID chamberId;
    private String subject;
    private String words;
    private Instant beganAt;
    private Instant raisedAt;
    private Instant endedAt;
    private String endWords;

    /** No two that go on have the same. */
    private String openName;

    protected Alarm() {}

    /**
     * @param chamberId absent for what is wrong with the house itself
     * @param subject what it is about
     * @param words what exactly, as it was found
     */
    Alarm(NoticeKind kind, @Nullable UUID chamberId, String subject, String words, Instant beganAt, Instant now) {
        super(UUID.randomUUID());
        this.kind = kind;
        this.chamberId = chamberId;
        this.subject = subject;
        this.words = words;
        this.beganAt = beganAt;
        this.raisedAt = now;
        this.openName = name(kind, chamberId);
    }

    static String name(NoticeKind kind, @Nullable UUID chamberId) {
        return kind + "-" + chamberId;
    }

    /** What it is now; the last word is kept for when it is over. */
    void goOn(String now) {
        words = now;
    }

    void end(Instant now, String how) {
        endedAt = now;
        endWords = how;
        openName = null;
    }

    NoticeKind kind() {
        return kind;
    }

    Optional<UUID> chamberId() {
        return Optional.ofNullable(chamberId);
    }

    String subject() {
        return subject;
    }

    String words() {
        return words;
    }

    Instant beganAt() {
        return beganAt;
    }

    Instant raisedAt() {
        return raisedAt;
    }

    Optional<Instant> endedAt() {
        return Optional.ofNullable(endedAt);
    }

    Optional<String> endWords() {
        return Optional.ofNullable(endWords);
    }

    String openName() {
        return name(kind, chamberId);
    }
}
