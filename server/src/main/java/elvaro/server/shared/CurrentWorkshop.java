package elvaro.server.shared;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.hibernate.cfg.AvailableSettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * The workshop every query is bound to: that of the signed-in person. Where nobody is signed in it is one that owns no
 * rows, so that a forgotten check finds nothing rather than everything.
 */
@Component
public class CurrentWorkshop implements CurrentTenantIdentifierResolver<UUID>, HibernatePropertiesCustomizer {
    private static final UUID NONE = new UUID(0, 0);
    private static final ThreadLocal<@Nullable SignedIn> ACTING = new ThreadLocal<>();

    /**
     * Does work for a person who is not signed in by a request: the demo, the first owner's account, tests.
     *
     * @param person for whom
     * @param work with its own transaction
     */
    public <T> T actingAs(SignedIn person, Supplier<T> work) {
        SignedIn before = ACTING.get();
        ACTING.set(person);
        try {
            return work.get();
        } finally {
            ACTING.set(before);
        }
    }

    private static Optional<SignedIn> signedIn() {
        SignedIn acting = ACTING.get();
        if (acting != null) {
            return Optional.of(acting);
        }
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof SignedIn person
                ? Optional.of(person)
                : Optional.empty();
    }

    /** @throws IllegalStateException if nobody is signed in; the security chain lets no such request through */
    public SignedIn person() {
        return signedIn().orElseThrow(() -> new IllegalStateException("Nobody is signed in"));
    }

    static Optional<UUID> accountId() {
        return signedIn().map(SignedIn::accountId);
    }

    @Override
    public UUID resolveCurrentTenantIdentifier() {
        return signedIn().map(SignedIn::workshopId).orElse(NONE);
    }

    @Override
    public boolean validateExistingCurrentSessions() {
        return true;
    }

    @Override
    public void customize(Map<String, Object> properties) {
        properties.put(AvailableSettings.MULTI_TENANT_IDENTIFIER_RESOLVER, this);
    }
}
