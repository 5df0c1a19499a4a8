package elvaro.server.forecast;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.NestedRuntimeException;
import org.springframework.stereotype.Component;

/**
 * Reads the figures of the houses with most finished pieces before anybody is let in, so that the first question to tens of
 * thousands does not wait for them. A house of a few hundred is read as it is asked.
 */
@Component
class FiguresAtStart implements ApplicationRunner {
    private static final int LARGE = 2_000;
    private static final int HOUSES = 3;

    private static final Logger LOG = LoggerFactory.getLogger(FiguresAtStart.class);

    private final KeptFigures kept;
    private final FinishedPieces pieces;
    private final CurrentWorkshop current;

    FiguresAtStart(KeptFigures kept, FinishedPieces pieces, CurrentWorkshop current) {
        this.kept = kept;
        this.pieces = pieces;
        this.current = current;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        kept.largest(LARGE, HOUSES).forEach(this::read);
    }

    /** The house opens all the same where they cannot be read. */
    private void read(UUID workshop) {
        try {
            current.actingAs(new SignedIn(workshop, workshop, Role.BENCH_HAND, true, null), pieces::all);
        } catch (NestedRuntimeException notNow) {
            LOG.warn("Figures of finished pieces were not read at the start: {}", notNow.getMessage());
        }
    }
}
