package elvaro.server.shared;

import jakarta.persistence.EntityManagerFactory;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.hibernate.engine.spi.TransactionCompletionCallbacks;
import org.hibernate.engine.spi.TransactionCompletionCallbacks.AfterCompletionCallback;
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
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * A number for each workshop that every transaction raises in which a row of it is written. Whoever keeps an answer under
 * this number, read before the rows, never gives an outdated one: the number and the rows become visible at once.
 */
@Component
public class Changes implements PostInsertEventListener, PostUpdateEventListener, PostDeleteEventListener {
    private static final String RAISE =
            "insert into workshop_change values (:workshop, 1) on duplicate key update number = number + 1";

    /** The same with a plain parameter. Whoever raised it is alone with the workshop until the transaction's end. */
    static final String RAISE_ONE = RAISE.replace(":workshop", "?");

    private final Set<SharedSessionContractImplementor> writing = ConcurrentHashMap.newKeySet();
    private final Set<SharedSessionContractImplementor> raised = ConcurrentHashMap.newKeySet();
    private final JdbcClient database;
    private final CurrentWorkshop current;

    Changes(JdbcClient database, CurrentWorkshop current, EntityManagerFactory entities) {
        this.database = database;
        this.current = current;
        EventListenerRegistry listeners =
                entities.unwrap(SessionFactoryImplementor.class).getEventListenerRegistry();
        listeners.appendListeners(EventType.POST_INSERT, this);
        listeners.appendListeners(EventType.POST_UPDATE, this);
        listeners.appendListeners(EventType.POST_DELETE, this);
    }

    /** How often anything was changed in the signed-in person's workshop. */
    public long number() {
        return database.sql("select number from workshop_change where workshop_id = ?")
                .param(current.person().workshopId())
                .query(Long.class)
                .optional()
                .orElse(0L);
    }

    /** For rows written in plain SQL, which Hibernate does not see. Last in its transaction. */
    public void raise(UUID workshopId) {
        database.sql(RAISE).param("workshop", workshopId).update();
    }

    @Override
    public void onPostInsert(PostInsertEvent event) {
        written(event.getSession());
    }

    @Override
    public void onPostUpdate(PostUpdateEvent event) {
        written(event.getSession());
    }

    @Override
    public void onPostDelete(PostDeleteEvent event) {
        written(event.getSession());
    }

    /** The number is raised last, so that its row is locked for the commit only. */
    private void written(SharedSessionContractImplementor session) {
        if (writing.add(session)) {
            TransactionCompletionCallbacks transaction = session.getTransactionCompletionCallbacks();
            transaction.registerCallback((BeforeCompletionCallback) this::raise);
            transaction.registerCallback((AfterCompletionCallback) (success, each) -> writing.remove(each));
        }
    }

    /** Once in a transaction, however many ask for it; from here on it is alone with its workshop. */
    void raise(SharedSessionContractImplementor session) {
        if (raised.add(session)) {
            session.getTransactionCompletionCallbacks()
                    .registerCallback((AfterCompletionCallback) (success, each) -> raised.remove(each));
            session.createNativeMutationQuery(RAISE)
                    .setParameter("workshop", (UUID) session.getTenantIdentifierValue())
                    .executeUpdate();
        }
    }

    @Override
    public boolean requiresPostCommitHandling(EntityPersister persister) {
        return false;
    }
}
