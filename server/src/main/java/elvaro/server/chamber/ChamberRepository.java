package elvaro.server.chamber;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ChamberRepository extends Repository<Chamber, UUID> {
    Optional<Chamber> findById(UUID id);

    @Query("select c from Chamber c order by c.position, c.name")
    List<Chamber> all();

    @Query("select count(c) from Chamber c")
    int number();

    Chamber save(Chamber chamber);
}
