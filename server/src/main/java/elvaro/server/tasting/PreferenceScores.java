package elvaro.server.tasting;

import elvaro.core.estimate.Estimates;
import elvaro.core.tasting.BradleyTerry;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.Voices;
import elvaro.core.trial.Band;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How single pieces were liked, over all tastings that are revealed. */
@Service
@Transactional(readOnly = true)
public class PreferenceScores {
    private static final double LEVEL = 0.8;

    private final TastingRepository tastings;
    private final TastingAggregates tables;

    PreferenceScores(TastingRepository tastings, TastingAggregates tables) {
        this.tastings = tastings;
        this.tables = tables;
    }

    /**
     * A piece among those it met, or that met the same.
     *
     * @param circle pieces of one circle can be held against each other, others not
     * @param chance that a taster likes it more than the middling piece of its circle, with its 80 % band
     */
    public record Liked(int circle, double chance, Band band) {}

    /** Only pieces that met another one. */
    public Map<UUID, Liked> byPiece() {
        List<TastingAggregate> revealed = tables.all(tastings.newest().stream()
                .filter(tasting -> tasting.state() == TastingState.REVEALED)
                .toList());
        Voices<UUID> voices = new Voices<>();
        for (TastingAggregate laid : revealed) {
            List<UUID> ids = laid.samples().stream()
                    .map(sample -> sample.finish() == Finish.NOTHING
                            ? sample.pieceId().orElse(sample.id())
                            : sample.id()) // What was put on it was liked with it.
                    .toList();
            laid.outcome().duels().forEach(duel -> {
                UUID better = ids.get(duel.better());
                UUID worse = ids.get(duel.worse());
                if (!better.equals(worse)) {
                    voices.add(laid.taster(duel.taster()), laid.tasting().id(), better, worse, duel.weight());
                }
            });
        }
        return voices.things().isEmpty() ? Map.of() : liked(voices.things(), voices.wins());
    }

    private static Map<UUID, Liked> liked(List<UUID> ids, double[][] wins) {
        BradleyTerry strengths = BradleyTerry.of(wins, Estimates.LIKING_SD);
        Map<UUID, Liked> liked = new HashMap<>();
        int circle = 0;
        for (List<Integer> members : BradleyTerry.connected(wins)) {
            List<Integer> weakestFirst = members.stream()
                    .sorted(Comparator.comparingDouble(each -> strengths.difference(each, members.get(0))))
                    .toList();
            int middling = weakestFirst.get(weakestFirst.size() / 2);
            for (int each : members) {
                liked.put(
                        ids.get(each),
                        new Liked(
                                circle,
                                each == middling ? 0.5 : strengths.chance(each, middling),
                                each == middling ? new Band(0.5, 0.5) : strengths.chance(each, middling, LEVEL)));
            }
            circle++;
        }
        return liked;
    }
}
