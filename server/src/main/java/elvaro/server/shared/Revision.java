package elvaro.server.shared;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.RevisionEntity;
import org.hibernate.envers.RevisionListener;
import org.hibernate.envers.RevisionNumber;
import org.hibernate.envers.RevisionTimestamp;
import org.jspecify.annotations.NullUnmarked;

/** One change to audited rows: when, and by whom. */
@Entity
@Table(name = "revision")
@RevisionEntity(Revision.Author.class)
@NullUnmarked
public class Revision {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @RevisionNumber
    private Long id;

    @RevisionTimestamp
    private long atMillis;

    @Column(name = "account_id")
    private UUID accountId;

    /** Puts the signed-in person's name to a revision. */
    public static class Author implements RevisionListener {
        @Override
        public void newRevision(Object revision) {
            ((Revision) revision).accountId = CurrentWorkshop.accountId().orElse(null);
        }
    }
}
