package elvaro.server.forecast;

import static elvaro.core.working.Quantity.share;

import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.server.piece.Piece;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;

/**
 * A finished piece that contradicts the others of its method and chamber, or of which somebody says that it counts whatever
 * they say.
 *
 * @param counts whether it was put back, and teaches like the others
 * @param reason what it weighed, and what was to be expected
 */
public record Contradiction(UUID pieceId, int version, String tag, boolean counts, String reason) {

    /** @param observed its weighings, one or more */
    static Contradiction of(Piece piece, List<Observed> observed, Forecast expected) {
        Observed last =
                observed.stream().max(Comparator.comparingDouble(Observed::day)).orElseThrow();
        Forecast.Day day = expected.on(last.day());
        String reason = "It had lost %s on day %d, where the others lead to expect %s, %s to %s."
                .formatted(
                        share(last.lost()),
                        Math.round(last.day()),
                        share(day.lost()),
                        share(day.least()),
                        share(day.most()));
        return new Contradiction(piece.id(), piece.version(), piece.tag(), piece.alwaysTeaches(), reason);
    }
}
