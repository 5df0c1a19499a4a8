package elvaro.core.trial;

import elvaro.core.drying.Method;
import java.time.LocalDate;
import java.util.List;

/**
 * A piece as far as the design of a trial is concerned.
 *
 * @param lot what it was cut from; pieces of one lot come from one animal
 * @param fresh set aside fresh: it does not hang, so method, chamber and days say nothing of it
 * @param days for which it is meant to hang, or hung; 0 for a fresh one
 * @param treatment what is done to it, in words; "plain" for nothing
 * @param benchOrder in words; empty while nobody has decided
 * @param besides what stood in its chamber and scents its neighbours, in words; none where nothing did
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
        boolean fresh,
        LocalDate hungOn,
        int days,
        String chamber,
        Method method,
        String treatment,
        String benchOrder,
        List<String> besides) {
    /** Nothing done to it. */
    public static final String PLAIN = "plain";
}
