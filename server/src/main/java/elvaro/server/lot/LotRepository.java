package elvaro.server.lot;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotRepository extends Repository<Lot, UUID> {
    Optional<Lot> findById(UUID id);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Lot l where l.id = :id")
    Optional<Lot> lock(UUID id);

    @Query("select l from Lot l order by l.number desc limit 500")
    List<Lot> newest();

    @Query("select l from Lot l where l.receivedOn between :first and :last order by l.number")
    List<Lot> received(LocalDate first, LocalDate last);

    @Query("select distinct l.supplier from Lot l where l.supplier <> '' order by l.supplier")
    List<String> suppliers();

    Lot save(Lot lot);
}
