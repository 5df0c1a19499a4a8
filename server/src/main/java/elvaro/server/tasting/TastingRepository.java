package elvaro.server.tasting;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TastingRepository extends Repository<Tasting, UUID> {
    Optional<Tasting> findById(UUID id);

    /** For a sheet: many at once, but none while the tasting is changed. Plain SQL, for hundreds of phones (decision 0053). */
    @NativeQuery("select * from tasting where workshop_id = :workshop and id = :id lock in share mode")
    Optional<Tasting> share(UUID workshop, UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select t from Tasting t where t.id = :id")
    Optional<Tasting> lock(UUID id);

    @Query("select t from Tasting t where t.state <> elvaro.server.tasting.TastingState.DROPPED"
            + " order by t.heldOn desc, t.id limit 500")
    List<Tasting> newest();

    @Query("select t from Tasting t where t.state = elvaro.server.tasting.TastingState.OPEN and t.openedAt < :before"
            + " order by t.openedAt")
    List<Tasting> openSince(Instant before);

    @Query("select t from Tasting t where t.trialId = :trialId and"
            + " t.state <> elvaro.server.tasting.TastingState.DROPPED order by t.heldOn, t.id")
    List<Tasting> ofTrial(UUID trialId);

    @Query("select t from Tasting t where t.trialId in :trialIds and"
            + " t.state = elvaro.server.tasting.TastingState.REVEALED order by t.heldOn, t.id")
    List<Tasting> revealedOf(Collection<UUID> trialIds);

    @Query("select s from TastingSample s where s.tastingId in :tastingIds order by s.position")
    List<TastingSample> samplesOf(Collection<UUID> tastingIds);

    @Query("select p from TastingPlace p join fetch p.taster where p.tastingId in :tastingIds order by p.position")
    List<TastingPlace> placesOf(Collection<UUID> tastingIds);

    @Query("select s from TastingSheet s where s.tastingId in :tastingIds order by s.round, s.id")
    List<TastingSheet> sheetsOf(Collection<UUID> tastingIds);

    @Query("select n from TastingNote n where n.tastingId in :tastingIds order by n.id")
    List<TastingNote> notesOf(Collection<UUID> tastingIds);

    @Modifying
    @Query("update TastingPlace p set p.token = null where p.tastingId = :tastingId")
    void closeLinks(UUID tastingId);

    @Query("select t from Taster t where t.name is not null order by t.name limit 1000")
    List<Taster> tasters();

    @Query("select t from Taster t where t.id = :id")
    Optional<Taster> taster(UUID id);

    Tasting save(Tasting tasting);
}
