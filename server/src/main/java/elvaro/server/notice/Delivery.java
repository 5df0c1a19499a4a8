package elvaro.server.notice;

import elvaro.server.channel.ChannelKind;
import elvaro.server.channel.Sent;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** One way a notice goes, and how far it got. */
@Entity
@Table(name = "delivery")
@NullUnmarked
class Delivery extends WorkshopRow {
    private static final Duration[] PAUSES = {
        Duration.ofSeconds(10),
        Duration.ofSeconds(30),
        Duration.ofMinutes(2),
        Duration.ofMinutes(5),
        Duration.ofMinutes(15),
        Duration.ofMinutes(30),
        Duration.ofHours(1)
    };

    /** What nobody could send in three days nobody needs. */
    private static final Duration LONGEST = Duration.ofDays(3);

    /** How far it got. */
    enum DeliveryState {
        WAITING,
        /** The mail server, push service or program has it. */
        SENT,
        /** The phone showed it. */
        SHOWN,
        REFUSED,
        /** It could not be sent for days. */
        GIVEN_UP
    }

    private UUID noticeId;

    @Enumerated(EnumType.STRING)
    private ChannelKind channel;

    private UUID phoneId;

    @Enumerated(EnumType.STRING)
    private DeliveryState state = DeliveryState.WAITING;

    private boolean urgent;
    private int tries;
    private Instant nextTryAt;
    private Instant claimedUntil;
    private Instant sentAt;
    private Instant shownAt;
    private String answer = "";

    protected Delivery() {}

    /** @param phoneId which phone, for {@link ChannelKind#PUSH} */
    Delivery(UUID noticeId, ChannelKind channel, @Nullable UUID phoneId, boolean urgent, Instant now) {
        super(UUID.randomUUID());
        this.noticeId = noticeId;
        this.channel = channel;
        this.phoneId = phoneId;
        this.urgent = urgent;
        this.nextTryAt = now;
    }

    void tried(Sent sent, Instant madeAt, Instant now) {
        tries++;
        claimedUntil = null;
        answer = sent.answer();
        switch (sent.fate()) {
            case TAKEN -> {
                state = state == DeliveryState.SHOWN ? state : DeliveryState.SENT;
                sentAt = now;
            }
            case REFUSED, GONE -> state = DeliveryState.REFUSED;
            case FAILED -> {
                nextTryAt = now.plus(sent.pause().orElse(PAUSES[Math.min(tries, PAUSES.length) - 1]));
                if (Duration.between(madeAt, now).compareTo(LONGEST) > 0) {
                    state = DeliveryState.GIVEN_UP;
                }
            }
        }
    }

    /** @return whether it is too old to be sent */
    boolean giveUpIfOld(Instant madeAt, Instant now) {
        boolean old = Duration.between(madeAt, now).compareTo(LONGEST) > 0;
        if (old) {
            state = DeliveryState.GIVEN_UP;
            answer = "It was too old when it could be sent.";
        }
        return old;
    }

    /** The phone said so; what it says twice counts once. */
    void shown(Instant now) {
        if (shownAt == null) {
            state = DeliveryState.SHOWN;
            shownAt = now;
        }
    }

    UUID noticeId() {
        return noticeId;
    }

    ChannelKind channel() {
        return channel;
    }

    Optional<UUID> phoneId() {
        return Optional.ofNullable(phoneId);
    }

    DeliveryState state() {
        return state;
    }

    int tries() {
        return tries;
    }

    Optional<Instant> at() {
        return Optional.ofNullable(shownAt != null ? shownAt : sentAt);
    }

    String answer() {
        return answer;
    }
}
