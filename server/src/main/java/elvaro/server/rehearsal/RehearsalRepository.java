package elvaro.server.rehearsal;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RehearsalRepository extends Repository<Rehearsal, UUID> {
    /** That of the house one works in; a house of a rehearsal has one. */
    @Query("select r from Rehearsal r")
    Optional<Rehearsal> here();

    Rehearsal save(Rehearsal rehearsal);

    @Query("select d from RehearsalDeed d order by d.doneAt")
    List<RehearsalDeed> deeds();
}
