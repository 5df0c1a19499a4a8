package elvaro.server.shared;

import java.io.Serial;
import java.util.Collection;
import java.util.List;
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

    public SignedIn(UUID accountId, UUID workshopId, Role role, boolean active, @Nullable String passwordHash) {
        this.accountId = accountId;
        this.workshopId = workshopId;
        this.role = role;
        this.active = active;
        this.passwordHash = passwordHash;
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

    /** The account's id, by which its sessions are found when they must end. */
    @Override
    public String getUsername() {
        return accountId.toString();
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
