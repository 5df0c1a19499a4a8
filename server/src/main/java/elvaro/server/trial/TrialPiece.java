package elvaro.server.trial;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A piece in an arm. Written once. */
@Entity
@Immutable
@Table(name = "trial_piece")
@NullUnmarked
class TrialPiece extends WorkshopRow {
    private UUID trialId;
    private UUID armId;
    private UUID pieceId;
    private String block;

    protected TrialPiece() {}

    /** @param block pieces of one block lay side by side in one animal */
    TrialPiece(TrialArm arm, UUID pieceId, String block) {
        super(UUID.randomUUID());
        this.trialId = arm.trialId();
        this.armId = arm.id();
        this.pieceId = pieceId;
        this.block = block;
    }

    UUID trialId() {
        return trialId;
    }

    UUID armId() {
        return armId;
    }

    UUID pieceId() {
        return pieceId;
    }

    String block() {
        return block;
    }
}
