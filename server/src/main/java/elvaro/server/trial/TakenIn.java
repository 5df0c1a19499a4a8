package elvaro.server.trial;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A file of another house that was taken in: a protocol to follow, or what came of one. Written once. */
@Entity
@Immutable
@Chained("protocol taken in")
@Table(name = "protocol_file")
@NullUnmarked
class TakenIn extends WorkshopRow {
    private UUID protocolId;
    private String house;
    private boolean result;

    @Convert(converter = ProtocolFiles.class)
    private ProtocolFile content;

    private Instant takenInAt;
    private UUID accountId;

    protected TakenIn() {}

    TakenIn(UUID id, ProtocolFile content, Instant takenInAt, UUID accountId) {
        super(id);
        protocolId = content.id();
        house = content.house().strip();
        result = content.result() != null;
        this.content = content;
        this.takenInAt = takenInAt;
        this.accountId = accountId;
    }

    String house() {
        return house;
    }

    ProtocolFile content() {
        return content;
    }
}
