package elvaro.server.look;

import elvaro.core.inspection.Rule;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A picture in the story of a piece.
 *
 * @param label what it shows, in words; may be empty
 * @param day days hung when it was taken; absent where the piece never hung
 * @param grams it weighed then, net, as far as was known
 * @param seen what was seen at the look it belongs to; absent without one
 * @param answer of that look
 * @param twins pictures of pieces of its lot of about the same day, the nearest of each
 */
record StoryPhoto(
        UUID id,
        Instant at,
        PhotoMoment shows,
        String label,
        @Nullable Long day,
        int grams,
        @Nullable String seen,
        Rule.@Nullable Answer answer,
        List<Twin> twins) {

    /** A picture of another piece of the lot. */
    record Twin(UUID pieceId, String tag, UUID photoId, long day) {}
}
