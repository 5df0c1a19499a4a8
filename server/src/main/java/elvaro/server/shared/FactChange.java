package elvaro.server.shared;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** A fact an inspector is shown was changed: what it was, what it became, when, by whom and why. Written once. */
@Entity
@Immutable
@Chained("change of a fact")
@Table(name = "fact_change")
@NullUnmarked
public class FactChange extends WorkshopRow {
    static final String ADDED = "Added";
    static final String REMOVED = "Removed";

    private UUID subjectId;
    private String subject;
    private String fact;
    private String was;
    private String became;
    private String why;
    private Instant changedAt;
    private UUID accountId;

    protected FactChange() {}

    /**
     * @param subject what the row was called then
     * @param was in words, empty where nothing was said
     */
    FactChange(
            UUID id,
            UUID subjectId,
            String subject,
            String fact,
            String was,
            String became,
            String why,
            Instant changedAt,
            @Nullable UUID accountId) {
        super(id);
        this.subjectId = subjectId;
        this.subject = subject;
        this.fact = fact;
        this.was = was;
        this.became = became;
        this.why = why;
        this.changedAt = changedAt;
        this.accountId = accountId;
    }

    public UUID subjectId() {
        return subjectId;
    }

    public String subject() {
        return subject;
    }

    public String fact() {
        return fact;
    }

    /** Whether it only says that its subject is there now, or is gone. */
    public boolean isAppearance() {
        return fact.equals(ADDED) || fact.equals(REMOVED);
    }

    public String was() {
        return was;
    }

    public String became() {
        return became;
    }

    public String why() {
        return why;
    }

    public Instant changedAt() {
        return changedAt;
    }

    /** Absent where the house itself did it. */
    public @Nullable UUID accountId() {
        return accountId;
    }
}
