package elvaro.server.shared;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import java.time.Duration;

/** How often each of many may ask one node in a minute: it guards the machine, not a secret. */
public final class RequestLimit<K> {
    private static final int MOST_KEPT = 10_000;

    private final Cache<K, Bucket> buckets =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    /** Counts one request; false once there were too many. */
    public boolean allows(K who, int mostAMinute) {
        return bucket(who, mostAMinute).tryConsume(1);
    }

    private Bucket bucket(K who, int mostAMinute) {
        return buckets.get(
                who,
                each -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(mostAMinute).refillGreedy(mostAMinute, Duration.ofMinutes(1)))
                        .build());
    }
}
