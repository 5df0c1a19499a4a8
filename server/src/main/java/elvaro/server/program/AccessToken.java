package elvaro.server.program;

import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.InspectedRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** Whoever brings it speaks for a person, within its scopes, until its last day. */
@Entity
@Table(name = "access_token")
@Audited
@NullUnmarked
class AccessToken extends EditedRow implements InspectedRow {
    private UUID accountId;

    @Inspected("Name")
    private String name;

    @NotAudited
    private String tokenHash;

    @Inspected("May")
    private String scopes;

    private Instant madeAt;

    @Inspected("Last day")
    private LocalDate lastDay;

    /** Written by plain SQL, now and then. */
    @NotAudited
    @Column(insertable = false, updatable = false)
    private Instant usedAt;

    @Inspected("Removed")
    private boolean removed;

    protected AccessToken() {}

    AccessToken(
            UUID id,
            UUID accountId,
            String name,
            String tokenHash,
            Set<Scope> scopes,
            Instant madeAt,
            @Nullable LocalDate lastDay) {
        super(id);
        this.accountId = accountId;
        this.name = name.strip();
        this.tokenHash = tokenHash;
        this.scopes = words(scopes);
        this.madeAt = madeAt;
        this.lastDay = lastDay;
    }

    private static String words(Collection<Scope> scopes) {
        return EnumSet.copyOf(scopes).stream().map(Scope::name).collect(Collectors.joining(" "));
    }

    /** As they are kept: their names, with blanks between. */
    static Set<Scope> scopes(String words) {
        return Arrays.stream(words.split(" "))
                .map(Scope::valueOf)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Scope.class)));
    }

    void remove(int seenVersion) {
        mustStillBe(seenVersion);
        removed = true;
    }

    UUID accountId() {
        return accountId;
    }

    String name() {
        return name;
    }

    Set<Scope> scopes() {
        return scopes(scopes);
    }

    Instant madeAt() {
        return madeAt;
    }

    Optional<LocalDate> lastDay() {
        return Optional.ofNullable(lastDay);
    }

    Optional<Instant> usedAt() {
        return Optional.ofNullable(usedAt);
    }

    boolean isRemoved() {
        return removed;
    }

    @Override
    public String inspectedName() {
        return name;
    }

    @Override
    public boolean isToldWhenAdded() {
        return true;
    }
}
