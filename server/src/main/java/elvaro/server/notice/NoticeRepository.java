package elvaro.server.notice;

import elvaro.server.notice.Delivery.DeliveryState;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface NoticeRepository extends Repository<Notice, UUID> {
    Notice save(Notice notice);

    Optional<Notice> findById(UUID id);

    boolean existsByNoticeKey(String key);

    @Query("select n from Notice n order by n.madeAt desc, n.id")
    List<Notice> newest(Limit limit);

    @Query("select n from Notice n where n.accountId = :accountId order by n.madeAt desc, n.id")
    List<Notice> newestOf(UUID accountId, Limit limit);

    @Query("select n from Notice n where n.alarmId in :alarmIds order by n.madeAt, n.id")
    List<Notice> ofAlarms(Collection<UUID> alarmIds);

    /** By what a person was last told of questions. */
    @Query("select n from Notice n where n.accountId = :accountId and n.about is not null"
            + " order by n.madeAt desc, n.id limit 1")
    Optional<Notice> lastQuestions(UUID accountId);

    @Query("select n from Notice n where n.accountId is null and n.about is not null"
            + " order by n.madeAt desc, n.id limit 1")
    Optional<Notice> lastQuestionsOfTheHouse();

    @Query("select d from Delivery d where d.noticeId in :noticeIds order by d.channel, d.id")
    List<Delivery> deliveriesOf(Collection<UUID> noticeIds);

    @Query("select d from Delivery d where d.state = :state and d.tries > 0 order by d.nextTryAt")
    List<Delivery> tried(DeliveryState state, Limit limit);

    @Query("select d from Delivery d, Notice n where n.id = d.noticeId and d.state in"
            + " (elvaro.server.notice.Delivery.DeliveryState.REFUSED,"
            + " elvaro.server.notice.Delivery.DeliveryState.GIVEN_UP) and n.madeAt > :since order by n.madeAt")
    List<Delivery> lostSince(Instant since);

    @Query("select d from Delivery d where d.id = :id")
    Optional<Delivery> delivery(UUID id);
}
