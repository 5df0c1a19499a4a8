package elvaro.server.piece;

import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** One thing that happened to a piece. Written once; a wrong one is corrected by another that names it. */
@Entity
@Immutable
@Chained("entry of the log")
@Table(name = "log_entry")
@NullUnmarked
public class LogEntry extends WorkshopRow {
    private UUID pieceId;

    @Enumerated(EnumType.STRING)
    private LogFactKind kind;

    @Enumerated(EnumType.STRING)
    private Stream stream;

    private int grams;
    private Integer steaks;

    @Enumerated(EnumType.STRING)
    private DiscardCause cause;

    private boolean estimated;

    /** The house's own name of a pile; absent where it has none. */
    private String pile;

    /** Of a pile that is trimmed and weighed again later. */
    private boolean untrimmed;

    private String words;
    private Instant happenedAt;
    private Instant recordedAt;
    private UUID accountId;

    @Column(name = "corrects_id")
    private UUID correctsId;

    protected LogEntry() {}

    /**
     * @param pieceId what it happened to
     * @param fact what happened
     * @param words what was said about it, may be empty
     * @param recordedAt when it was entered
     * @param accountId by whom
     */
    public LogEntry(UUID pieceId, LogFact fact, String words, Instant recordedAt, UUID accountId) {
        this(pieceId, fact, words, recordedAt, accountId, null, false);
    }

    /**
     * The same of a pile.
     *
     * @param pile what the house calls it; absent or blank where it has no name of its own
     * @param untrimmed whether it is trimmed and weighed again later
     */
    public LogEntry(
            UUID pieceId,
            LogFact fact,
            String words,
            Instant recordedAt,
            UUID accountId,
            @Nullable String pile,
            boolean untrimmed) {
        super(fact.id());
        if (fact.grams() < 0 || fact.kind().weighs() != fact.grams() > 0) {
            throw new IllegalArgumentException("An entry weighs something exactly when its kind does");
        }
        if ((fact.kind() == LogFactKind.PILE) != (fact.stream() != null)) {
            throw new IllegalArgumentException("A pile, and only a pile, names its stream");
        }
        this.pieceId = pieceId;
        this.kind = fact.kind();
        this.stream = fact.stream();
        this.grams = fact.grams();
        this.steaks = fact.steaks();
        this.cause = fact.cause();
        this.estimated = fact.estimated();
        this.pile = pile == null || pile.isBlank() ? null : pile.strip();
        this.untrimmed = untrimmed;
        this.words = words;
        this.happenedAt = fact.at();
        this.recordedAt = recordedAt;
        this.accountId = accountId;
        this.correctsId = fact.corrects();
    }

    public @Nullable String pile() {
        return pile;
    }

    public boolean untrimmed() {
        return untrimmed;
    }

    public @Nullable Integer steaks() {
        return steaks;
    }

    public boolean estimated() {
        return estimated;
    }

    public @Nullable DiscardCause cause() {
        return cause;
    }

    public LogFact fact() {
        return new LogFact(id(), correctsId, kind, happenedAt, grams, stream, steaks, cause, estimated);
    }

    public UUID pieceId() {
        return pieceId;
    }

    public LogFactKind kind() {
        return kind;
    }

    public @Nullable Stream stream() {
        return stream;
    }

    public int grams() {
        return grams;
    }

    public String words() {
        return words;
    }

    public Instant happenedAt() {
        return happenedAt;
    }

    public Instant recordedAt() {
        return recordedAt;
    }

    public UUID accountId() {
        return accountId;
    }

    public @Nullable UUID correctsId() {
        return correctsId;
    }
}
