package elvaro.server.compare;

import elvaro.server.forecast.FinishedPieces;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/**
 * Reads the finished pieces of the houses with most of them before anybody is let in, so that the first question to tens of
 * thousands does not wait for them. A house of a few hundred is read as it is asked.
 */
@Component
class RowsAtStart implements ApplicationRunner {
    private static final int LARGE = 2_000;
    private static final int HOUSES = 3;

    private static final Logger LOG = LoggerFactory.getLogger(RowsAtStart.class);

    private final FinishedPieces pieces;
    private final FinishedRows rows;
    private final CurrentWorkshop current;

    RowsAtStart(FinishedPieces pieces, FinishedRows rows, CurrentWorkshop current) {
        this.pieces = pieces;
        this.rows = rows;
        this.current = current;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        pieces.largestHouses(LARGE, HOUSES).forEach(this::read);
    }

    /** The house opens all the same where they cannot be read. */
    private void read(UUID workshop) {
        try {
            current.actingAs(new SignedIn(workshop, workshop, Role.BENCH_HAND, true, null), rows::shop);
        } catch (RuntimeException notNow) { // whatever it is: it is said again to whoever asks
            LOG.warn("Finished pieces were not read at the start", notNow);
        }
    }
}
