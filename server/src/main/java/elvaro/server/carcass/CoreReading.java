package elvaro.server.carcass;

import elvaro.core.game.Cooling.Core;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What somebody measured in an animal's core while it cooled. Never overwritten: another one corrects it. */
@Entity
@Immutable
@Chained("core temperature")
@Table(name = "carcass_core")
@NullUnmarked
class CoreReading extends WorkshopRow {
    private UUID carcassId;
    private Instant measuredAt;
    private BigDecimal celsius;
    private UUID correctsId;
    private UUID accountId;
    private Instant recordedAt;

    protected CoreReading() {}

    CoreReading(UUID id, UUID carcassId, Core core, @Nullable UUID corrects, UUID accountId, Instant recordedAt) {
        super(id);
        this.carcassId = carcassId;
        measuredAt = core.at();
        celsius = BigDecimal.valueOf(core.celsius());
        correctsId = corrects;
        this.accountId = accountId;
        this.recordedAt = recordedAt;
    }

    UUID carcassId() {
        return carcassId;
    }

    Core core() {
        return new Core(measuredAt, celsius.doubleValue());
    }

    Optional<UUID> correctsId() {
        return Optional.ofNullable(correctsId);
    }
}
