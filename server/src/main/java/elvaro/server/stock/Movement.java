package elvaro.server.stock;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Something taken out of a pack, or the word that it was not. */
interface Movement {
    UUID id();

    WithdrawalPurpose way();

    int grams();

    String words();

    Instant happenedAt();

    UUID accountId();

    /** The movement that was a slip. */
    Optional<UUID> takesBack();

    /** What it went into, where it was ground or rendered here. */
    Optional<UUID> makingId();
}
