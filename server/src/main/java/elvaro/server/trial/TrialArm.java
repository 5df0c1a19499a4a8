package elvaro.server.trial;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** An arm of a trial. Written once. */
@Entity
@Immutable
@Table(name = "trial_arm")
@NullUnmarked
class TrialArm extends WorkshopRow {
    private UUID trialId;
    private int position;
    private String name;
    private boolean control;

    @Convert(converter = SetUps.class)
    private SetUp setUp;

    protected TrialArm() {}

    /** @param setUp absent where its pieces hung already */
    TrialArm(UUID id, UUID trialId, int position, String name, boolean control, @Nullable SetUp setUp) {
        super(id);
        this.trialId = trialId;
        this.position = position;
        this.name = name;
        this.control = control;
        this.setUp = setUp;
    }

    UUID trialId() {
        return trialId;
    }

    int position() {
        return position;
    }

    String name() {
        return name;
    }

    boolean control() {
        return control;
    }

    Optional<SetUp> setUp() {
        return Optional.ofNullable(setUp);
    }
}
