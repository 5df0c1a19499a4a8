package elvaro.server.share;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/**
 * A page that was shown around, and its link while it opens. The token is kept as it is, since whoever made the link must be
 * able to see it again (docs/decisions/0017); it opens nothing that is private, and is gone once it is taken back.
 */
@Entity
@Table(name = "shared_page")
@NullUnmarked
class SharedPage extends WorkshopRow {
    @Enumerated(EnumType.STRING)
    private SharedKind kind;

    private UUID subjectId;
    private String token;
    private Instant madeAt;
    private UUID accountId;

    protected SharedPage() {}

    SharedPage(SharedKind kind, UUID subjectId, String token, Instant madeAt, UUID accountId) {
        super(UUID.randomUUID());
        this.kind = kind;
        this.subjectId = subjectId;
        this.token = token;
        this.madeAt = madeAt;
        this.accountId = accountId;
    }

    void takeBack() {
        token = null;
    }

    String path() {
        return kind.path(token);
    }
}
