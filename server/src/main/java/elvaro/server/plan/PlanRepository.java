package elvaro.server.plan;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PlanRepository extends Repository<Plan, UUID> {

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from Plan p where p.id = :id")
    Optional<Plan> lock(UUID id);

    @Query("select p from Plan p join fetch p.chamber where p.state = elvaro.server.plan.PlanState.OPEN"
            + " order by p.hangOn, p.name")
    List<Plan> open();

    Plan save(Plan plan);
}
