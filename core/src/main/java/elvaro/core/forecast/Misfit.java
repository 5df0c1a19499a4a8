package elvaro.core.forecast;

import elvaro.core.drying.WaterLoss;
import elvaro.core.drying.WaterLoss.DriveDoubt;
import elvaro.core.drying.WaterLoss.Lost;
import elvaro.core.estimate.Estimates;

/**
 * What the two multipliers cannot follow, as the covariance of what is lost beside what they say: the humidity that is not
 * measured or not rightly, a drip on the first day, the end beyond which nothing is lost, and a rate that
 * wanders. A Gaussian process beside the model. Kennedy &amp; O'Hagan 2001, J. R. Statist. Soc. B 63; reference section 4.
 */
final class Misfit {
    /** The model as it is, for what asks how a piece differs from it. */
    static final Misfit NONE = new Misfit(DriveDoubt.NONE, 0, false);

    private final DriveDoubt drive;
    private final double wander;
    private final boolean doubted;

    private Misfit(DriveDoubt drive, double wander, boolean doubted) {
        this.drive = drive;
        this.wander = wander;
        this.doubted = doubted;
    }

    /** @param pieces how many finished pieces the prior rests on: what is off in a place they have shown */
    static Misfit of(WaterLoss loss, int pieces) {
        DriveDoubt doubt = loss.doubt();
        return new Misfit(
                new DriveDoubt(doubt.sd() / Math.sqrt(1.0 + pieces), doubt.recordedUntil(), doubt.changeSd()),
                Estimates.RATE_WANDER * Estimates.RATE_WANDER,
                true);
    }

    /** The same of a piece whose rate wanders more or less: by a multiple of the variance the estimates say. */
    Misfit wandering(double multiple) {
        return new Misfit(drive, multiple * Estimates.RATE_WANDER * Estimates.RATE_WANDER, doubted);
    }

    /** Covariance of what is lost by two days of the curve, beside what the multipliers leave open. */
    double covariance(Curve curve, int one, int other) {
        if (!doubted) {
            return 0;
        }
        Lost first = curve.lost(one);
        Lost second = curve.lost(other);
        double from = curve.goneBy(drive.recordedUntil());
        double after = Math.max(0, first.fraction() - from) * Math.max(0, second.fraction() - from);
        return square(Estimates.EQUILIBRIUM_SD) * first.byEquilibrium() * second.byEquilibrium()
                + square(drive.sd()) * first.byDrive() * second.byDrive()
                + square(drive.changeSd()) * after
                + square(Estimates.DRIP_SD) * Math.min(1, curve.day(one)) * Math.min(1, curve.day(other))
                + wander * curve.wander(one, other);
    }

    private static double square(double value) {
        return value * value;
    }
}
