package elvaro.server.carcass;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CarcassRepository extends Repository<Carcass, UUID> {
    Optional<Carcass> findById(UUID id);

    @Query("select c from Carcass c order by c.killedAt desc, c.id limit 60")
    List<Carcass> newest();

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select c from Carcass c where c.id = :id")
    Optional<Carcass> locked(UUID id);

    @Query("select r from CoreReading r where r.carcassId = :carcassId")
    List<CoreReading> cores(UUID carcassId);

    @Query("select p from CarcassPart p where p.carcassId = :carcassId")
    List<CarcassPart> parts(UUID carcassId);
}
