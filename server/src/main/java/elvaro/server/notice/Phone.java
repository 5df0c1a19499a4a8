package elvaro.server.notice;

import elvaro.server.channel.PushChannel;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** A browser that shows a person messages. */
@Entity
@Table(name = "phone")
@NullUnmarked
class Phone extends WorkshopRow {
    private UUID accountId;
    private String name;
    private String endpoint;
    private String openKey;
    private String sharedSecret;
    private Instant addedAt;

    protected Phone() {}

    Phone(UUID id, UUID accountId, String name, PushChannel.Browser browser, Instant now) {
        super(id);
        this.accountId = accountId;
        this.name = name.strip();
        this.addedAt = now;
        connect(browser);
    }

    /** The same browser under a new endpoint: push services give them new ones as they like. */
    void connect(PushChannel.Browser browser) {
        endpoint = browser.endpoint();
        openKey = browser.key();
        sharedSecret = browser.shared();
    }

    UUID accountId() {
        return accountId;
    }

    String name() {
        return name;
    }

    Instant addedAt() {
        return addedAt;
    }

    PushChannel.Browser browser() {
        return new PushChannel.Browser(endpoint, openKey, sharedSecret);
    }
}
