package elvaro.server.look;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LookRepository extends Repository<Look, UUID> {
    Optional<Look> findById(UUID id);

    List<Look> findByPieceId(UUID pieceId);

    @Query("select l from Look l where l.id in :ids")
    List<Look> findAll(Collection<UUID> ids);

    /**
     * A picture without its bytes.
     *
     * @param lookId it goes with; absent for one taken at another moment
     * @param at when it was taken
     * @param shows absent with a look
     */
    record PhotoRow(
            UUID id,
            @Nullable UUID lookId,
            UUID pieceId,
            Instant at,
            @Nullable PhotoMoment shows) {}

    /** Of looks at a piece. */
    default List<PhotoRow> photosOf(UUID pieceId) {
        return photosOfAny(List.of(pieceId)).stream()
                .filter(photo -> photo.lookId() != null)
                .toList();
    }

    /** Of these pieces, those of their looks among them. */
    @Query("select new elvaro.server.look.LookRepository$PhotoRow(p.id, p.lookId, coalesce(p.pieceId, l.pieceId),"
            + " coalesce(p.takenAt, e.happenedAt), p.shows) from Photo p left join Look l on l.id = p.lookId"
            + " left join LogEntry e on e.id = p.lookId"
            + " where p.pieceId in :pieceIds or l.pieceId in :pieceIds order by p.takenInAt, p.id")
    List<PhotoRow> photosOfAny(Collection<UUID> pieceIds);
}
