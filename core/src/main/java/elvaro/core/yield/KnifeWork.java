package elvaro.core.yield;

import elvaro.core.ledger.Ledger;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How deep a bench cut, told from what it weighed: the lean trim as the outside of the piece. Reference sections 1 and 5.
 *
 * @param cutMm depth cut away, mm
 * @param crustMm depth of the crust, mm: measured, else by the law
 * @param measured whether somebody measured the crust
 * @param marginMm good meat that went with the crust, mm; negative where crust was left on. What was to be left or taken
 *     besides is not counted, nor what spoilt in pockets
 */
public record KnifeWork(double cutMm, double crustMm, boolean measured, double marginMm) {
    /** A piece more of which was thrown away than this was spoilt, and says nothing about the knife. */
    private static final double SPOILT = 0.5;

    /**
     * @param trimModel as it was cut, before the shop taught anything
     * @param ledger of a closed bench
     * @param measuredCrustMm at a cut face, if somebody laid a rule on it
     * @return empty where nothing was trimmed, no crust forms, or the piece was spoilt
     */
    public static Optional<KnifeWork> of(TrimModel trimModel, Ledger ledger, OptionalDouble measuredCrustMm) {
        int trim = ledger.piles().trimmedOff();
        double law = trimModel.crustMm(ledger.lostOfRest());
        if (trim == 0 || law == 0 || isSpoilt(ledger)) {
            return Optional.empty();
        }
        double cut = trimModel.solid().depth(trim / ledger.left());
        double crust = measuredCrustMm.orElse(law);
        return Optional.of(new KnifeWork(
                cut,
                crust,
                measuredCrustMm.isPresent(),
                cut
                        - crust
                        - trimModel.pocketMm(ledger.lostOfRest())
                        - trimModel.closeness().moreMm()));
    }

    /**
     * Steak found over steak expected, as a share of the green weight, of what was left after slices were taken.
     *
     * @param trimModel as it was cut
     */
    public static Optional<Double> steakOver(TrimModel trimModel, Ledger ledger) {
        double expected =
                trimModel.after(ledger.lostOfRest()).part(ledger.left()).steak();
        return isSpoilt(ledger)
                ? Optional.empty()
                : Optional.of((double) ledger.piles().steak() / ledger.green() - expected);
    }

    private static boolean isSpoilt(Ledger ledger) {
        return ledger.aged() == 0 || ledger.piles().discard() >= SPOILT * ledger.aged();
    }
}
