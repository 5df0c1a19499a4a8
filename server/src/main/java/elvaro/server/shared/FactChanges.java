package elvaro.server.shared;

import jakarta.persistence.EntityManagerFactory;
import java.lang.reflect.Field;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.hibernate.engine.spi.TransactionCompletionCallbacks.BeforeCompletionCallback;
import org.hibernate.event.service.spi.EventListenerRegistry;
import org.hibernate.event.spi.EventType;
import org.hibernate.event.spi.PostDeleteEvent;
import org.hibernate.event.spi.PostDeleteEventListener;
import org.hibernate.event.spi.PostInsertEvent;
import org.hibernate.event.spi.PostInsertEventListener;
import org.hibernate.event.spi.PostUpdateEvent;
import org.hibernate.event.spi.PostUpdateEventListener;
import org.hibernate.persister.entity.EntityPersister;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Writes down every change of a fact that an inspector is shown, in the transaction that changes it, whoever does it where. */
@Component
class FactChanges implements PostInsertEventListener, PostUpdateEventListener, PostDeleteEventListener {
    private static final String WRITE = """
            insert into fact_change
            (id, workshop_id, subject_id, subject, fact, was, became, why, changed_at, account_id)
            values (:id, :workshop, :subjectId, :subject, :fact, :was, :became, :why, :at, :account)""";

    private final Map<Class<?>, Map<String, Inspected>> facts = new ConcurrentHashMap<>();
    private static final String FACT_CHANGE = "fact_change";

    private final Chain chain;
    private final Clock clock;

    FactChanges(Chain chain, Clock clock, EntityManagerFactory entities) {
        this.chain = chain;
        this.clock = clock;
        EventListenerRegistry listeners =
                entities.unwrap(SessionFactoryImplementor.class).getEventListenerRegistry();
        listeners.appendListeners(EventType.POST_INSERT, this);
        listeners.appendListeners(EventType.POST_UPDATE, this);
        listeners.appendListeners(EventType.POST_DELETE, this);
    }

    @Override
    public void onPostInsert(PostInsertEvent event) {
        if (event.getEntity() instanceof InspectedRow row && row.isToldWhenAdded()) {
            write(event.getSession(), row, FactChange.ADDED, "", row.inspectedName());
        }
    }

    @Override
    public void onPostDelete(PostDeleteEvent event) {
        if (event.getEntity() instanceof InspectedRow row && row.isToldWhenAdded()) {
            write(event.getSession(), row, FactChange.REMOVED, row.inspectedName(), "");
        }
    }

    @Override
    public void onPostUpdate(PostUpdateEvent event) {
        Object[] before = event.getOldState();
        if (!(event.getEntity() instanceof InspectedRow row) || before == null) {
            return;
        }
        String[] properties = event.getPersister().getPropertyNames();
        Map<String, Inspected> told = facts.computeIfAbsent(row.getClass(), FactChanges::inspected);
        for (int index = 0; index < properties.length; index++) {
            Inspected fact = told.get(properties[index]);
            if (fact != null && (fact.first() || before[index] != null)) {
                String was = fact.as().of(before[index]);
                String became = fact.as().of(event.getState()[index]);
                if (!was.equals(became)) {
                    write(event.getSession(), row, fact.value(), was, became);
                }
            }
        }
    }

    private static Map<String, Inspected> inspected(Class<?> type) {
        return Stream.of(type.getDeclaredFields())
                .filter(field -> field.isAnnotationPresent(Inspected.class))
                .collect(Collectors.toMap(Field::getName, field -> field.getAnnotation(Inspected.class)));
    }

    /** Nothing may be written while a session is writing: it is kept until the transaction is about to end. */
    private void write(
            SharedSessionContractImplementor session, InspectedRow row, String fact, String was, String became) {
        String subject = row.inspectedName();
        String why = row.why();
        Optional<UUID> account = CurrentWorkshop.accountId();
        UUID id = UUID.randomUUID();
        session.getTransactionCompletionCallbacks().registerCallback((BeforeCompletionCallback) each -> {
            each.createNativeMutationQuery(WRITE)
                    .setParameter("id", id)
                    .setParameter("workshop", (UUID) each.getTenantIdentifierValue())
                    .setParameter("subjectId", row.id())
                    .setParameter("subject", subject)
                    .setParameter("fact", fact)
                    .setParameter("was", was)
                    .setParameter("became", became)
                    .setParameter("why", why)
                    .setParameter("at", clock.instant().truncatedTo(ChronoUnit.MICROS))
                    .setParameter("account", account.orElse(null), UUID.class)
                    .executeUpdate();
            chain.add(each, FACT_CHANGE, id);
        });
    }

    @Override
    public boolean requiresPostCommitHandling(@Nullable EntityPersister persister) {
        return false;
    }
}
