package elvaro.server.device;

import elvaro.server.chamber.Chamber;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.InspectedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/**
 * A climate probe or a scale: whoever brings its token speaks for it. A probe has its chamber, and a chamber one probe at a
 * time, so that its air is one story; a scale has none.
 */
@Entity
@Table(name = "device")
@Audited
@NullUnmarked
class Device extends EditedRow implements InspectedRow {
    @Inspected("Name")
    private String name;

    @ManyToOne
    @JoinColumn(name = "chamber_id")
    private Chamber chamber;

    @NotAudited
    private String tokenHash;

    private Instant madeAt;

    /** In seconds; found from what it sends, and written by plain SQL. */
    @NotAudited
    @Column(insertable = false, updatable = false)
    private int clockAhead;

    @Inspected("Shut out")
    private boolean revoked;

    protected Device() {}

    Device(UUID id, String name, @Nullable Chamber chamber, String tokenHash, Instant madeAt) {
        super(id);
        this.name = name.strip();
        this.chamber = chamber;
        this.tokenHash = tokenHash;
        this.madeAt = madeAt;
    }

    /** @throws Refusal if it was revoked: what is revoked stays so */
    void open(int seenVersion, String hash) {
        mustStillBe(seenVersion);
        if (revoked) {
            throw Refusal.conflict("device-revoked", "This device was shut out. Add it anew.");
        }
        tokenHash = hash;
    }

    @Override
    public String inspectedName() {
        return name;
    }

    @Override
    public boolean isToldWhenAdded() {
        return true;
    }

    void revoke(int seenVersion) {
        mustStillBe(seenVersion);
        revoked = true;
    }

    boolean revoked() {
        return revoked;
    }

    String name() {
        return name;
    }

    /** By how much its clock is fast; empty where it is not. */
    Optional<Duration> clockAhead() {
        return clockAhead == 0 ? Optional.empty() : Optional.of(Duration.ofSeconds(clockAhead));
    }

    /** What a probe measures; empty for a scale. */
    Optional<Chamber> chamber() {
        return Optional.ofNullable(chamber);
    }
}
