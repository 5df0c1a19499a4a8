package elvaro.server.trial;

import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in trials whose pieces hung before anybody asked Elvaro. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class TrialHistory {
    private final EntityManager entities;

    TrialHistory(EntityManager entities) {
        this.entities = entities;
    }

    /** @param pieces with the block each was cut from */
    public record PastArm(UUID id, String name, boolean control, Map<UUID, String> pieces) {}

    /** A trial as it was. */
    public record PastTrial(
            UUID id,
            String question,
            Factor factor,
            TrialMeasure measure,
            @Nullable Long seed,
            @Nullable UUID from,
            String learnt,
            LocalDate startedOn,
            List<PastArm> arms) {}

    public void add(PastTrial past) {
        Trial trial = new Trial(
                past.id(), past.question(), past.factor(), past.measure(), past.seed(), past.from(), past.startedOn());
        trial.teaches(past.learnt());
        entities.persist(trial);
        entities.flush(); // Its arms and their pieces point at it by id alone.
        List<TrialArm> arms = new ArrayList<>();
        for (PastArm arm : past.arms()) {
            arms.add(new TrialArm(arm.id(), trial.id(), arms.size(), arm.name(), arm.control(), null));
        }
        arms.forEach(entities::persist);
        entities.flush();
        for (int index = 0; index < arms.size(); index++) {
            TrialArm arm = arms.get(index);
            past.arms()
                    .get(index)
                    .pieces()
                    .forEach((piece, block) -> entities.persist(new TrialPiece(arm, piece, block)));
        }
    }
}
