package elvaro.server.notice;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface AlarmRepository extends Repository<Alarm, UUID> {
    Alarm save(Alarm alarm);

    Optional<Alarm> findById(UUID id);

    @Query("select a from Alarm a where a.endedAt is null order by a.raisedAt, a.id")
    List<Alarm> open();

    @Query("select a from Alarm a where a.endedAt is null or a.raisedAt > :since order by a.raisedAt desc, a.id")
    List<Alarm> openOrSince(Instant since);

    @Query("select a from AlarmAnswer a where a.alarmId in :alarmIds order by a.answeredAt, a.id")
    List<AlarmAnswer> answersOf(Collection<UUID> alarmIds);

    @Query("select a from AlarmAnswer a where a.id = :id")
    Optional<AlarmAnswer> answer(UUID id);
}
