package elvaro.server.shared;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** Ids of what is made along with something else. */
public final class Ids {
    private Ids() {}

    /** An id that follows from another, so that a retry makes the same. */
    public static UUID after(UUID id, String what) {
        return UUID.nameUUIDFromBytes((id + what).getBytes(StandardCharsets.UTF_8));
    }
}
