package elvaro.server.look;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LookRepository extends Repository<Look, UUID> {
    Optional<Look> findById(UUID id);

    List<Look> findByPieceId(UUID pieceId);

    @Query("select l from Look l where l.id in :ids")
    List<Look> findAll(Collection<UUID> ids);

    /** A picture without its bytes. */
    record PhotoRow(UUID id, UUID lookId) {}

    @Query("select new elvaro.server.look.LookRepository$PhotoRow(p.id, p.lookId) from LookPhoto p, Look l"
            + " where p.lookId = l.id and l.pieceId = :pieceId order by p.takenInAt, p.id")
    List<PhotoRow> photosOf(UUID pieceId);
}
