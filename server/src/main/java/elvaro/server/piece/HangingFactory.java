package elvaro.server.piece;

import elvaro.core.cut.Cut;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.estimate.Estimates;
import elvaro.core.prepare.Need.Sides;
import org.jspecify.annotations.Nullable;

/** Makes of what people enter about a piece what the drying model wants to know. */
public final class HangingFactory {
    private HangingFactory() {}

    /**
     * @param contactPercent share of the membrane that touches meat; the usual one where nobody looked
     * @param sides its sides, if somebody measured them; else its surface follows from its cut and weight
     */
    public static Hanging of(
            Cut cut,
            int greenGrams,
            boolean boneIn,
            int fatCoverMm,
            Method method,
            Coating coating,
            @Nullable Integer contactPercent,
            @Nullable Sides sides) {
        Surface surface = sides == null
                ? Surface.of(cut.surface(), greenGrams, fatCoverMm, boneIn)
                : Surface.measured(
                        sides.length() / 1000,
                        sides.width() / 1000,
                        sides.height() / 1000,
                        greenGrams,
                        fatCoverMm,
                        boneIn);
        double contact = contactPercent == null ? Estimates.MEMBRANE_CONTACT : contactPercent / 100.0;
        return new Hanging(greenGrams, surface, boneIn, method, coating, contact);
    }
}
