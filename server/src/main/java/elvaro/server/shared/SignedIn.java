package elvaro.server.shared;

import java.io.Serial;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The person a request comes from. Lives in the session, so it holds nothing that changes but what ends the session. */
public final class SignedIn implements UserDetails, CredentialsContainer {
    @Serial
    private static final long serialVersionUID = 1;

    private final UUID accountId;
    private final UUID workshopId;
    private final Role role;
    private final boolean active;

    private @Nullable String passwordHash;

    /** Who this is outside of the rehearsal; null for whoever is in none. */
    private @Nullable SignedIn outside;

    public SignedIn(UUID accountId, UUID workshopId, Role role, boolean active, @Nullable String passwordHash) {
        this.accountId = accountId;
        this.workshopId = workshopId;
        this.role = role;
        this.active = active;
        this.passwordHash = passwordHash;
    }

    /**
     * The same person at work in the house of a rehearsal.
     *
     * @param handId their account there
     * @param houseId that workshop
     */
    public SignedIn rehearsing(UUID handId, UUID houseId) {
        SignedIn inside = new SignedIn(handId, houseId, Role.BENCH_HAND, active, null);
        inside.outside = outside == null ? this : outside;
        return inside;
    }

    /** Who this is outside of the rehearsal; empty for whoever is in none. */
    public Optional<SignedIn> outside() {
        return Optional.ofNullable(outside);
    }

    public UUID accountId() {
        return accountId;
    }

    public UUID workshopId() {
        return workshopId;
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public @Nullable String getPassword() {
        return passwordHash;
    }

    /** The account's id outside of any rehearsal, by which its sessions are found when they must end. */
    @Override
    public String getUsername() {
        return (outside == null ? accountId : outside.accountId).toString();
    }

    @Override
    public boolean isEnabled() {
        return active;
    }

    @Override
    public void eraseCredentials() {
        passwordHash = null;
    }
}
