package elvaro.server.carcass;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface CarcassRepository extends Repository<Carcass, UUID> {
    Optional<Carcass> findById(UUID id);

    @Query("select c from Carcass c order by c.killedAt desc, c.id limit 60")
    List<Carcass> newest();

    @Query("select p from CarcassPart p where p.carcassId = :carcassId")
    List<CarcassPart> parts(UUID carcassId);
}
