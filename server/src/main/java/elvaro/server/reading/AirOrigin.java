package elvaro.server.reading;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/**
 * Where readings are from that did not come as they were measured. A reading without one came from the probe of its chamber
 * within six hours.
 */
@Entity
@Immutable
@Chained("file of air")
@Table(name = "air_origin")
@NullUnmarked
class AirOrigin extends WorkshopRow {
    /** How they came. */
    enum OriginKind {
        /** A person took them in from a file. */
        FILE,
        /** They came with the archive of a house, whose probes may have measured them. */
        ARCHIVE,
        /** A probe sent them long after it says they were measured. */
        LATE
    }

    private UUID chamberId;

    @Enumerated(EnumType.STRING)
    private OriginKind kind;

    private String name;
    private String checksum;
    private Instant takenInAt;
    private UUID accountId;
    private int readings;
    private Instant firstAt;
    private Instant lastAt;

    protected AirOrigin() {}

    /**
     * @param name of the file, or of the probe
     * @param checksum SHA-256 of what came, in hexadecimal
     * @param accountId who took them in; absent where a probe sent them
     * @param readings 1 or more, moments of which nothing was known before
     */
    AirOrigin(
            UUID id,
            UUID chamberId,
            OriginKind kind,
            String name,
            String checksum,
            Instant takenInAt,
            @Nullable UUID accountId,
            int readings,
            Instant firstAt,
            Instant lastAt) {
        super(id);
        this.chamberId = chamberId;
        this.kind = kind;
        this.name = name;
        this.checksum = checksum;
        this.takenInAt = takenInAt;
        this.accountId = accountId;
        this.readings = readings;
        this.firstAt = firstAt;
        this.lastAt = lastAt;
    }

    OriginKind kind() {
        return kind;
    }

    String name() {
        return name;
    }

    String checksum() {
        return checksum;
    }

    Instant takenInAt() {
        return takenInAt;
    }

    @Nullable
    UUID accountId() {
        return accountId;
    }

    int readings() {
        return readings;
    }

    Instant firstAt() {
        return firstAt;
    }

    Instant lastAt() {
        return lastAt;
    }
}
