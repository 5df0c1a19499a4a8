package elvaro.server.tasting;

import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.TastingKind;
import elvaro.server.piece.Piece;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a tasting begins with. Common practice, no source: steaks as thick as they are cut, to the core a dry-aged steak is
 * judged at, in a bath that brings all to it alike, rested five minutes.
 *
 * @param samples two without a name, or what a trial brings to the table
 */
public record FirstTasting(
        String question,
        TastingKind kind,
        int rounds,
        List<Attribute> attributes,
        List<FirstSample> samples,
        @Nullable UUID trialId,
        Heat heat,
        double coreCelsius,
        int restMinutes) {
    private static final int USUAL_MM = 30;
    private static final double USUAL_CORE = 55;
    private static final int USUAL_REST = 5;

    /**
     * @param tag of the piece it is of
     * @param armId of the trial it stands for
     */
    public record FirstSample(
            String name,
            @Nullable UUID pieceId,
            @Nullable String tag,
            @Nullable UUID armId,
            int thicknessMm,
            Finish finish,
            boolean thawed) {
        public static FirstSample ofArm(
                String name, UUID armId, @Nullable UUID pieceId, @Nullable String tag, Finish finish) {
            return new FirstSample(name, pieceId, tag, armId, USUAL_MM, finish, false);
        }
    }

    /** Of these pieces, or of two that are still to be named. */
    static FirstTasting usual(List<Piece> pieces) {
        FirstSample unnamed = new FirstSample("", null, null, null, USUAL_MM, Finish.NOTHING, false);
        return of(
                "",
                null,
                pieces.isEmpty()
                        ? List.of(unnamed, unnamed)
                        : pieces.stream()
                                .map(piece -> new FirstSample(
                                        "%s %s".formatted(piece.cut().name(), piece.tag()),
                                        piece.id(),
                                        piece.tag(),
                                        null,
                                        USUAL_MM,
                                        Finish.NOTHING,
                                        false))
                                .toList());
    }

    /** Two samples are set against each other, more are put in order; liking alone is scored, which decides. */
    public static FirstTasting of(String question, @Nullable UUID trialId, List<FirstSample> samples) {
        return new FirstTasting(
                question,
                samples.size() > 2 ? TastingKind.RANKING : TastingKind.PAIRED,
                1,
                List.of(Attribute.USUAL.get(0)),
                samples,
                trialId,
                Heat.BATH,
                USUAL_CORE,
                USUAL_REST);
    }
}
