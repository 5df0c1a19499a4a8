package elvaro.server.scale;

import elvaro.server.shared.Refusal;
import elvaro.server.shared.SignedIn;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;

/** How many screens watch scales, of a person and of a house: each keeps a connection. */
class OpenScreens {
    static final int OF_A_PERSON = 8;
    static final int OF_A_HOUSE = 40;

    private final Map<UUID, Integer> open = new HashMap<>();

    /** @throws Refusal if the person, or their house, has too many */
    synchronized void opened(SignedIn person) {
        if (open.getOrDefault(person.accountId(), 0) >= OF_A_PERSON
                || open.getOrDefault(person.workshopId(), 0) >= OF_A_HOUSE) {
            throw Refusal.tooMany("Too many screens watch scales at once. Close one that nobody looks at.");
        }
        open.merge(person.accountId(), 1, Integer::sum);
        open.merge(person.workshopId(), 1, Integer::sum);
    }

    synchronized void closed(SignedIn person) {
        open.computeIfPresent(person.accountId(), (each, count) -> count > 1 ? count - 1 : null);
        open.computeIfPresent(person.workshopId(), (each, count) -> count > 1 ? count - 1 : null);
    }
}
