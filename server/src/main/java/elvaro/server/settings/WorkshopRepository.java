package elvaro.server.settings;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface WorkshopRepository extends Repository<Workshop, UUID> {
    Optional<Workshop> findById(UUID id);

    Workshop save(Workshop workshop);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select w from Workshop w where w.id = :id")
    Workshop lock(UUID id);
}
