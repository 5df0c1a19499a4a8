package elvaro.server.piece;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.Query;

/** Reading pieces. It reads from the database each time, bound to the workshop. */
public interface PieceReader {
    /** A finished piece, with the versions of all that is learnt from it. */
    record FinishedRow(UUID id, int logVersion, int version, int lotVersion, int chamberVersion) {}

    /** All that hung by themselves, the last hung first. */
    @Query("select new elvaro.server.piece.FinishedLine(p.id, p.logVersion, p.tag, l.number, l.cutCode, p.cutCode,"
            + " l.boneIn, p.boneIn, l.grade, l.supplier, l.fatCoverMm, l.priceMinorPerKg, l.receivedGrams, p.cutGrams, l.id, p.method, p.benchOrder, p.chamber.id,"
            + " p.hungOn, p.greenGrams, p.consumablesMinor) from Piece p join p.lot l"
            + " where p.state = elvaro.server.piece.PieceState.CUT and p.hungOn is not null and p.chamber is not null"
            + " order by p.hungOn desc, p.tag")
    List<FinishedLine> finishedLines();

    /**
     * What was cut from lots, by lot: pieces, parts of a whole animal, and how many wholes are broken down.
     *
     * @param partGrams of what came off a whole so far
     */
    record CutRow(UUID lotId, long grams, long partGrams, long broken) {}

    String CUT = "select new elvaro.server.piece.PieceReader$CutRow(p.lot.id,"
            + " sum(case when p.cutCode is null then coalesce(p.cutGrams, p.greenGrams) else 0 end),"
            + " sum(case when p.cutCode is null then 0 else coalesce(p.cutGrams, p.greenGrams) end),"
            + " sum(case when p.state = elvaro.server.piece.PieceState.PARTED then 1 else 0 end)) from Piece p ";

    @Query(CUT + "where p.lot.id in :lotIds group by p.lot.id")
    List<CutRow> cutFrom(Collection<UUID> lotIds);

    @Query(CUT + "group by p.lot.id")
    List<CutRow> cutFromAll();

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber where p.id = :id")
    Optional<Piece> find(UUID id);

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber where p.id in :ids")
    List<Piece> findAll(Collection<UUID> ids);

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber where p.lot.id = :lotId order by p.tag")
    List<Piece> ofLot(UUID lotId);

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber where p.state in :states"
            + " order by p.hungOn, p.tag")
    List<Piece> inState(Collection<PieceState> states);

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber where p.state = :state"
            + " order by p.hungOn desc, p.tag limit 200")
    List<Piece> newestIn(PieceState state);

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber"
            + " where lower(p.tag) like :start order by p.tag limit 12")
    List<Piece> tagged(String start);

    @Query(
            value = "select p from Piece p join fetch p.lot left join fetch p.chamber where p.state in :states"
                    + " and lower(p.tag) like :start order by p.tag, p.id",
            countQuery = "select count(p) from Piece p where p.state in :states and lower(p.tag) like :start")
    Page<Piece> page(Collection<PieceState> states, String start, Pageable page);

    @Query("select p from Piece p join fetch p.lot left join fetch p.chamber where p.hungOn between :first and :last"
            + " order by p.hungOn, p.tag")
    List<Piece> hung(LocalDate first, LocalDate last);

    @Query("select p from Piece p where p.chamber.id = :chamberId and p.state = elvaro.server.piece.PieceState.HANGING")
    List<Piece> hangingIn(UUID chamberId);

    /** What hangs or hung in a chamber, moved pieces too. */
    @Query(
            "select p from Piece p join fetch p.lot join fetch p.chamber where p.hungOn < :hungBefore and (p.chamber.id = :chamberId"
                    + " or exists (select 1 from PieceMove m where m.pieceId = p.id and m.from.id = :chamberId)"
                    + " or exists (select 1 from PieceMove m where m.pieceId = p.id and m.to.id = :chamberId)) order by p.hungOn, p.tag")
    List<Piece> everIn(UUID chamberId, LocalDate hungBefore);

    @Query("select coalesce(sum(p.greenGrams), 0) from Piece p where p.chamber.id = :chamberId"
            + " and p.state = elvaro.server.piece.PieceState.HANGING")
    long loadOf(UUID chamberId);

    @Query("select l.id from Lot l where not exists (select 1 from Piece p where p.lot = l)")
    List<UUID> uncutLots();

    /** The last finished pieces, at most 200: what a shop did years ago teaches little about its chambers now. */
    @Query("select new elvaro.server.piece.PieceReader$FinishedRow(p.id, p.logVersion, p.version, p.lot.version,"
            + " p.chamber.version) from Piece p where p.state = elvaro.server.piece.PieceState.CUT"
            + " order by p.hungOn desc, p.tag limit 200")
    List<FinishedRow> finished();
}
