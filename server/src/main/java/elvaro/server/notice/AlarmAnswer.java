package elvaro.server.notice;

import elvaro.core.notice.Escalation.Answer;
import elvaro.core.notice.Escalation.HandedTo;
import elvaro.core.notice.Escalation.Later;
import elvaro.core.notice.Escalation.TakenOver;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What a person answered to an alarm. */
@Entity
@Immutable
@Table(name = "alarm_answer")
@NullUnmarked
class AlarmAnswer extends WorkshopRow {
    /** Ways to answer. */
    enum AnswerKind {
        /** Sees to it. */
        TAKEN_OVER,
        /** To be told again. */
        LATER,
        HANDED_TO
    }

    private UUID alarmId;

    @Enumerated(EnumType.STRING)
    private AnswerKind kind;

    private UUID accountId;
    private Instant answeredAt;
    private Instant untilAt;
    private UUID toAccountId;

    protected AlarmAnswer() {}

    AlarmAnswer(
            UUID id,
            UUID alarmId,
            AnswerKind kind,
            UUID accountId,
            Instant now,
            @Nullable Instant until,
            @Nullable UUID to) {
        super(id);
        this.alarmId = alarmId;
        this.kind = kind;
        this.accountId = accountId;
        this.answeredAt = now;
        this.untilAt = until;
        this.toAccountId = to;
    }

    Answer answer() {
        return switch (kind) {
            case TAKEN_OVER -> new TakenOver(accountId, answeredAt);
            case LATER -> new Later(accountId, answeredAt, untilAt);
            case HANDED_TO -> new HandedTo(accountId, answeredAt, toAccountId);
        };
    }

    UUID alarmId() {
        return alarmId;
    }

    AnswerKind kind() {
        return kind;
    }

    UUID accountId() {
        return accountId;
    }

    Instant answeredAt() {
        return answeredAt;
    }

    Optional<Instant> until() {
        return Optional.ofNullable(untilAt);
    }

    Optional<UUID> to() {
        return Optional.ofNullable(toAccountId);
    }
}
