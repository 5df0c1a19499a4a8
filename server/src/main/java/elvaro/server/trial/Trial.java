package elvaro.server.trial;

import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.shared.EditedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** A question put to pieces: what is compared, how it was drawn, which trial it follows, and what somebody wrote about it. */
@Entity
@Table(name = "trial")
@Audited
@NullUnmarked
class Trial extends EditedRow {
    private String question;

    @Enumerated(EnumType.STRING)
    private Factor factor;

    @Enumerated(EnumType.STRING)
    private TrialMeasure measure;

    private Long seed;
    private UUID fromId;
    private UUID protocolId;
    private String learnt = "";
    private LocalDate startedOn;

    protected Trial() {}

    /**
     * @param measure what it is to be judged by
     * @param seed of the draw; absent where the pieces were chosen by hand
     * @param from the trial it follows
     */
    Trial(
            UUID id,
            String question,
            Factor factor,
            TrialMeasure measure,
            @Nullable Long seed,
            @Nullable UUID from,
            LocalDate startedOn) {
        super(id);
        this.question = question;
        this.factor = factor;
        this.measure = measure;
        this.seed = seed;
        this.fromId = from;
        this.startedOn = startedOn;
    }

    /** Says that it follows the protocol of another house. */
    void follows(@Nullable UUID protocol) {
        protocolId = protocol;
    }

    /** The protocol it follows: another house's, or its own. */
    UUID protocol() {
        return protocolId == null ? id() : protocolId;
    }

    void teaches(String words) {
        learnt = words;
    }

    String question() {
        return question;
    }

    Factor factor() {
        return factor;
    }

    /** What it is judged by, named beforehand. */
    TrialMeasure measure() {
        return measure;
    }

    @Nullable
    Long seed() {
        return seed;
    }

    Optional<UUID> from() {
        return Optional.ofNullable(fromId);
    }

    String learnt() {
        return learnt;
    }

    LocalDate startedOn() {
        return startedOn;
    }
}
