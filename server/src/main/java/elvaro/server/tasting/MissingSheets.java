package elvaro.server.tasting;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tastings that wait for somebody's sheet long after the meat was eaten. */
@Service
@Transactional(readOnly = true)
public class MissingSheets {
    /** Who tasted in the evening hands in on the evening. */
    private static final Duration LONG = Duration.ofHours(8);

    private final TastingRepository tastings;
    private final TastingAggregates tables;
    private final Clock clock;

    MissingSheets(TastingRepository tastings, TastingAggregates tables, Clock clock) {
        this.tastings = tastings;
        this.tables = tables;
        this.clock = clock;
    }

    /**
     * A tasting that waits.
     *
     * @param hostId who knows its key and reveals it
     * @param words what is missing, in a sentence
     */
    public record WaitingTasting(UUID id, UUID hostId, String words) {}

    public List<WaitingTasting> all() {
        return tables.all(tastings.openSince(clock.instant().minus(LONG))).stream()
                .map(each -> new WaitingTasting(
                        each.tasting().id(),
                        each.tasting().hostId(),
                        words(each, each.tasting().takesSheets(clock.instant()))))
                .toList();
    }

    private static String words(TastingAggregate table, boolean takesSheets) {
        List<String> missing = new ArrayList<>();
        int sheets = 0;
        for (TastingPlace place : table.places()) {
            int absent =
                    (int) table.arrived(place).stream().filter(came -> !came).count();
            sheets += absent;
            if (absent > 0) {
                missing.add(place.taster().label());
            }
        }
        String question = table.tasting().question();
        if (sheets == 0) {
            return "“%s”: every sheet is there. Reveal it.".formatted(question);
        }
        return "“%s”: %s missing, of %s. %s"
                .formatted(
                        question,
                        sheets == 1 ? "a sheet is" : sheets + " sheets are",
                        String.join(", ", missing),
                        takesSheets
                                ? "They can still be handed in."
                                : "None is taken any more: reveal it with what there is, or drop it.");
    }
}
