package elvaro.server.trial;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TrialRepository extends Repository<Trial, UUID> {
    Optional<Trial> findById(UUID id);

    @Query("select t from Trial t order by t.startedOn desc, t.id limit 500")
    List<Trial> newest();

    @Query("select a from TrialArm a where a.trialId in :trialIds order by a.position")
    List<TrialArm> armsOf(Collection<UUID> trialIds);

    @Query("select p from TrialPiece p where p.trialId in :trialIds order by p.block, p.id")
    List<TrialPiece> piecesOf(Collection<UUID> trialIds);

    /** Every trial by a protocol, the newest first; a trial of this house is its own protocol. */
    @Query("select t from Trial t where t.protocolId = :protocolId or t.id = :protocolId"
            + " order by t.startedOn desc, t.id")
    List<Trial> followers(UUID protocolId);

    Trial save(Trial trial);
}
