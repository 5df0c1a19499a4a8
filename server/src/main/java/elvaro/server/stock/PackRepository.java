package elvaro.server.stock;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PackRepository extends Repository<Pack, UUID> {
    Optional<Pack> findById(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from Pack p where p.id = :id")
    Optional<Pack> lock(UUID id);

    /** All of them at once, so that two who lock the same ones do it in the same order. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from Pack p where p.id in :ids")
    List<Pack> lockAll(Collection<UUID> ids);

    @Query("select p from Pack p where p.id in :ids order by p.number")
    List<Pack> all(Collection<UUID> ids);

    @Query("select p from Pack p where p.pieceId in :pieceIds order by p.number")
    List<Pack> ofPieces(Collection<UUID> pieceIds);

    @Query("select p from Pack p where p.makingId in :makingIds order by p.number")
    List<Pack> ofMakings(Collection<UUID> makingIds);

    /** Packs that hold more than went out of them. */
    @Query("select p from Pack p where p.grams > (select coalesce(sum(case when o.takesBack is null then o.grams else"
            + " -o.grams end), 0) from PackOut o where o.packId = p.id) order by p.number")
    List<Pack> inStock();

    @Query("select coalesce(max(p.number), 0) from Pack p")
    int lastNumber();

    @Query("select o from PackOut o where o.packId in :packIds order by o.happenedAt, o.id")
    List<PackOut> outsOf(Collection<UUID> packIds);

    /** The same of every pack of these pieces, in one go. */
    @Query("select o from PackOut o join Pack p on p.id = o.packId where p.pieceId in :pieceIds"
            + " order by o.happenedAt, o.id")
    List<PackOut> outsOfPieces(Collection<UUID> pieceIds);

    /** Content, packs and grams of what was packed from the first to the last day. */
    @Query("select p.content, count(p), sum(p.grams) from Pack p where p.packedOn between :first and :last"
            + " group by p.content order by p.content")
    List<Object[]> packed(LocalDate first, LocalDate last);

    /** Why and how much went out, g, in a stretch of time and was not taken back. */
    @Query("select o.way, sum(o.grams) from PackOut o where o.happenedAt >= :from and o.happenedAt < :before"
            + " and o.takesBack is null and not exists (select 1 from PackOut b where b.takesBack = o.id)"
            + " group by o.way order by o.way")
    List<Object[]> went(Instant from, Instant before);

    @Query("select o from PackOut o where o.id = :id")
    Optional<PackOut> findOut(UUID id);

    /** What went into these, slips and all. */
    @Query("select o from PackOut o where o.makingId in :makingIds order by o.happenedAt, o.id")
    List<PackOut> into(Collection<UUID> makingIds);

    /** Rows that take others back. */
    @Query("select o from PackOut o where o.takesBack in :ids")
    List<PackOut> takingBack(Collection<UUID> ids);

    @Query("select m from Making m where m.id = :id")
    Optional<Making> making(UUID id);

    @Query("select m from Making m where m.id in :ids order by m.number")
    List<Making> makings(Collection<UUID> ids);

    /** The newest first. */
    @Query("select m from Making m order by m.number desc limit 60")
    List<Making> lastMakings();

    @Query("select coalesce(max(m.number), 0) from Making m")
    int lastMakingNumber();

    @Query("select b from MakingBought b where b.makingId in :makingIds order by b.name, b.id")
    List<MakingBought> bought(Collection<UUID> makingIds);

    @Query("select r from PackRule r order by r.content, r.wrap, r.keeping")
    List<PackRule> rules();

    Pack save(Pack pack);
}
