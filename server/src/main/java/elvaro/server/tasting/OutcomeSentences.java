package elvaro.server.tasting;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What tastings showed, in words. Permutations of many ranks take a while, and a tasting that is revealed never changes: it
 * is worked out once and needs no invalidation. Whoever asks has read the tasting in its workshop before.
 */
@Component
class OutcomeSentences {
    private static final int MOST_KEPT = 5_000;

    private final Cache<UUID, List<SaidView>> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    /** Empty until the reveal. */
    List<SaidView> of(TastingAggregate laid) {
        if (laid.tasting().state() != TastingState.REVEALED) {
            return List.of();
        }
        return kept.get(
                laid.tasting().id(),
                id -> laid.outcome().verdicts().stream()
                        .map(verdict -> new SaidView(verdict.strength(), verdict.sentence(), verdict.statistics()))
                        .toList());
    }
}
