package elvaro.server.shared;

import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How often a device or a program may ask in a minute, whichever of the nodes it comes to. */
@Component
public class MinuteLimit {
    private static final int MILLIS = 60_000;

    private final RequestLimit<String> here = new RequestLimit<>();
    private final JdbcClient database;
    private final Clock clock;
    private final boolean severalNodes;

    MinuteLimit(JdbcClient database, Clock clock, @Value("${elvaro.nodes}") int nodes) {
        this.database = database;
        this.clock = clock;
        this.severalNodes = nodes > 1;
    }

    /**
     * Counts one request; false once there were too many.
     *
     * @param who its kind and its id
     */
    public boolean allows(String who, int mostAMinute) {
        return severalNodes ? countEverywhere(who) <= mostAMinute : here.allows(who, mostAMinute);
    }

    /** @return how many there were in this minute, this one among them */
    private int countEverywhere(String who) {
        return database.sql("insert into request_count (name, minute, count) values (:name, :minute, 1)"
                        + " on duplicate key update count = if(minute = :minute, count + 1, 1), minute = :minute"
                        + " returning count")
                .param("name", who)
                .param("minute", clock.millis() / MILLIS)
                .query(Integer.class)
                .single();
    }
}
