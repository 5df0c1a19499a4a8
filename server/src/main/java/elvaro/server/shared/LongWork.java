package elvaro.server.shared;

import java.time.Duration;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Work on the database that may take long by its nature: all of a house going out, or coming in. */
@Component
public class LongWork {
    private static final Duration LONGEST = Duration.ofMinutes(10);

    private final JdbcTemplate database;

    LongWork(JdbcTemplate database) {
        this.database = database;
    }

    /** Lets the statements of this transaction take longer than others may; the connection forgets it afterwards. */
    public void allow() {
        database.execute((ConnectionCallback<Boolean>) connection -> {
            connection.setNetworkTimeout(Runnable::run, (int) LONGEST.toMillis());
            return true;
        });
    }
}
