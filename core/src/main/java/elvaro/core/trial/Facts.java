package elvaro.core.trial;

import elvaro.core.drying.Method;
import java.time.LocalDate;

/**
 * A piece as far as the design of a trial is concerned.
 *
 * @param lot what it was cut from; pieces of one lot come from one animal
 * @param days for which it is meant to hang
 * @param treatment what is done to it, in words; "plain" for nothing
 * @param benchOrder in words; empty while nobody has decided
 */
public record Facts(
        String tag,
        String lot,
        String supplier,
        String grade,
        String cut,
        boolean boneIn,
        int fatCoverMm,
        int greenGrams,
        LocalDate hungOn,
        int days,
        String chamber,
        Method method,
        String treatment,
        String benchOrder) {
    /** Nothing done to it. */
    public static final String PLAIN = "plain";
}
