package elvaro.server.device;

import elvaro.server.shared.RequestLimit;
import java.time.Clock;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How often a device may ask in a minute, whichever of the nodes it comes to. */
@Component
class DeviceLimit {
    private static final int MILLIS = 60_000;

    private final RequestLimit<UUID> here = new RequestLimit<>();
    private final JdbcClient database;
    private final Clock clock;
    private final boolean severalNodes;

    DeviceLimit(JdbcClient database, Clock clock, @Value("${elvaro.nodes}") int nodes) {
        this.database = database;
        this.clock = clock;
        this.severalNodes = nodes > 1;
    }

    /** Counts one request; false once there were too many. */
    boolean allows(UUID device, int mostAMinute) {
        return severalNodes ? countEverywhere(device) <= mostAMinute : here.allows(device, mostAMinute);
    }

    /** @return how many there were in this minute, this one among them */
    private int countEverywhere(UUID device) {
        return database.sql("insert into request_count (name, minute, count) values (:name, :minute, 1)"
                        + " on duplicate key update count = if(minute = :minute, count + 1, 1), minute = :minute"
                        + " returning count")
                .param("name", "device " + device)
                .param("minute", clock.millis() / MILLIS)
                .query(Integer.class)
                .single();
    }
}
