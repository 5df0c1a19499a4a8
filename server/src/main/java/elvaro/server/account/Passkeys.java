package elvaro.server.account;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import java.net.URI;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.security.authentication.AccountStatusUserDetailsChecker;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationRequestToken;
import org.springframework.security.web.webauthn.management.JdbcPublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.JdbcUserCredentialRepository;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Service;

/**
 * Passkeys (W3C Web Authentication): a second way in beside the password. They are bound to the address of the house, which has to
 * be a name; on an address of figures browsers have none.
 */
@Service
class Passkeys {
    private final JdbcPublicKeyCredentialUserEntityRepository people;
    private final JdbcUserCredentialRepository keys;
    private final WebAuthnRelyingPartyOperations operations;
    private final SignInDirectory directory;
    private final CurrentWorkshop current;

    /** @param address of the house, as people open it */
    Passkeys(
            JdbcOperations database,
            SignInDirectory directory,
            CurrentWorkshop current,
            @Value("${elvaro.address}") String address) {
        people = new JdbcPublicKeyCredentialUserEntityRepository(database);
        keys = new JdbcUserCredentialRepository(database);
        String host = Optional.ofNullable(URI.create(address).getHost()).orElse("localhost");
        operations = new Webauthn4JRelyingPartyOperations(
                people,
                keys,
                PublicKeyCredentialRpEntity.builder().id(host).name("Elvaro").build(),
                Set.of(address));
        this.directory = directory;
        this.current = current;
    }

    /** One of a person's. */
    record PasskeyLine(String id, String label, Instant createdAt, Instant usedAt) {}

    WebAuthnRelyingPartyOperations operations() {
        return operations;
    }

    JdbcUserCredentialRepository keys() {
        return keys;
    }

    /** Whose it is, signed in as with a password. */
    Authentication enter(Authentication asking) throws AuthenticationException {
        try {
            var person = operations.authenticate(((WebAuthnAuthenticationRequestToken) asking).getWebAuthnRequest());
            SignedIn known = directory
                    .find(UUID.fromString(person.getName()))
                    .orElseThrow(() -> new BadCredentialsException("Nobody's"));
            new AccountStatusUserDetailsChecker().check(known);
            known.eraseCredentials();
            return UsernamePasswordAuthenticationToken.authenticated(known, null, known.getAuthorities());
        } catch (AuthenticationException refused) {
            throw refused;
        } catch (RuntimeException wrong) {
            throw new BadCredentialsException("Not a passkey of this house", wrong);
        }
    }

    List<PasskeyLine> mine() {
        return records().stream()
                .map(key -> new PasskeyLine(
                        key.getCredentialId().toBase64UrlString(), key.getLabel(), key.getCreated(), key.getLastUsed()))
                .toList();
    }

    /** @throws Refusal if the signed-in person has no such */
    void remove(String id) {
        Bytes key = records().stream()
                .map(CredentialRecord::getCredentialId)
                .filter(each -> each.toBase64UrlString().equals(id))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("passkey"));
        keys.delete(key);
    }

    private List<CredentialRecord> records() {
        var me = people.findByUsername(current.person().getUsername());
        return me == null ? List.of() : keys.findByUserId(me.getId());
    }
}
