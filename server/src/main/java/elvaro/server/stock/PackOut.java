package elvaro.server.stock;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What was taken out of a pack. Written once; a slip is taken back by another row. */
@Entity
@Immutable
@Chained("pack that went out")
@Table(name = "pack_out")
@NullUnmarked
class PackOut extends WorkshopRow implements Movement {
    private UUID packId;

    @Enumerated(EnumType.STRING)
    private WithdrawalPurpose way;

    private int grams;
    private String words;
    private Instant happenedAt;
    private UUID accountId;
    private UUID takesBack;
    private UUID makingId;

    protected PackOut() {}

    /** @param takesBack the row that was a slip; absent where something goes out */
    PackOut(
            UUID id,
            UUID packId,
            WithdrawalPurpose way,
            int grams,
            String words,
            Instant at,
            UUID by,
            @Nullable UUID takesBack) {
        super(id);
        this.packId = packId;
        this.way = way;
        this.grams = grams;
        this.words = words.strip();
        happenedAt = at;
        accountId = by;
        this.takesBack = takesBack;
    }

    /** Says what it went into. */
    PackOut into(UUID making) {
        makingId = making;
        return this;
    }

    @Override
    public Optional<UUID> makingId() {
        return Optional.ofNullable(makingId);
    }

    UUID packId() {
        return packId;
    }

    @Override
    public WithdrawalPurpose way() {
        return way;
    }

    @Override
    public int grams() {
        return grams;
    }

    @Override
    public String words() {
        return words;
    }

    @Override
    public Instant happenedAt() {
        return happenedAt;
    }

    @Override
    public UUID accountId() {
        return accountId;
    }

    @Override
    public Optional<UUID> takesBack() {
        return Optional.ofNullable(takesBack);
    }
}
