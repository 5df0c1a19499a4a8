package elvaro.server.treatment;

import elvaro.core.treatment.TreatmentKind;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface TreatmentRepository extends Repository<Treatment, UUID> {
    Optional<Treatment> findById(UUID id);

    @Query("select t from Treatment t where t.pieceId in :pieceIds")
    List<Treatment> ofPieces(Collection<UUID> pieceIds);

    /** What a piece was given. */
    record KindRow(UUID pieceId, TreatmentKind kind) {}

    /** Every treatment that was not taken back, of any piece. */
    @Query("select new elvaro.server.treatment.TreatmentRepository$KindRow(t.pieceId, t.kind) from Treatment t"
            + " where not exists (select 1 from LogEntry e where e.correctsId = t.id)")
    List<KindRow> standing();

    /** A treatment that gives off a scent. */
    record ScentRow(UUID pieceId, TreatmentKind kind, boolean spirit, LocalDate beganOn) {}

    /** Those of these kinds and those with a spirit in them, that were not taken back. */
    @Query("select new elvaro.server.treatment.TreatmentRepository$ScentRow(t.pieceId, t.kind, t.spirit, t.beganOn)"
            + " from Treatment t where (t.kind in :kinds or t.spirit = true)"
            + " and not exists (select 1 from LogEntry e where e.correctsId = t.id)")
    List<ScentRow> scenting(Collection<TreatmentKind> kinds);

    @Query("select u from DoseUsed u where u.pieceId in :pieceIds")
    List<DoseUsed> usedOn(Collection<UUID> pieceIds);

    @Query("select s from StepDone s where s.pieceId in :pieceIds")
    List<StepDone> stepsOfPieces(Collection<UUID> pieceIds);

    @Query("select distinct t.pieceId from Treatment t where t.kind in :kinds and t.beganOn >= :since")
    List<UUID> piecesGiven(Collection<TreatmentKind> kinds, LocalDate since);

    Treatment save(Treatment treatment);
}
