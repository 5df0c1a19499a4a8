package elvaro.core.air;

import elvaro.core.estimate.Estimates;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * The water of a room: what the load gives off, what coil and leaks take away, and so the humidity with another load.
 *
 * <p>dW/dt = given − k·(W − W₀): within hours the room is where both are equal, so that the vapour of a day stands at
 * e = e₀ + given/k. Both e₀, of the empty room, and 1/k are learnt from the days that were recorded, by least squares with
 * what is thought of e₀ before; days that follow each other are not independent. On a damp day pieces give off less, which is
 * no work of the coil: what they would give off in the same air every day stands in for what they gave (two-stage least
 * squares). Reference section 8; Gelman et al., Bayesian Data Analysis, chapter 14; Wooldridge, Introductory Econometrics,
 * chapter 15.
 */
public final class RoomWater {
    private static final double EIGHTY = new NormalDistribution().inverseCumulativeProbability(0.9);

    /** With fewer days nobody can tell what the load does and what the room does by itself. */
    private static final int FEWEST_DAYS = 7;

    /** What is thought of the humidity of the empty room, fraction (EST). */
    private static final double EMPTY = 0.60;

    private static final double EMPTY_SD = 0.15;

    /** How far a day's humidity lies from what load and room explain, before any was seen; worth so many days (EST). */
    private static final double DAY_SD = 0.02;

    private static final double DAYS_BEFORE = 4;

    /** What is thought possible of 1/k, Pa for a gram a day. */
    private static final double SLOPE_SD = 5;

    /** What the forecasts of all pieces together are off by, as a share of what they give off (EST). */
    private static final double GIVEN_SD = 0.08;

    private static final double MOST_ALIKE = 0.9;

    /** Air nearly as damp as the meat draws next to nothing, but not for ever. */
    private static final double SMALLEST_DRIVE = 0.02;

    /**
     * One day of a room.
     *
     * @param givenGrams water its pieces gave off, g
     * @param air mean of the day
     */
    public record WaterDay(double givenGrams, Air air) {}

    /** Humidity, or what it rises by, with its 80 % band; fractions. */
    public record HumidityAhead(double mean, double least, double most) {}

    private final RealVector mean;
    private final RealMatrix covariance;
    private final double daySd;
    private final Air usual;
    private final int days;

    private RoomWater(RealVector mean, RealMatrix covariance, double daySd, Air usual, int days) {
        this.mean = mean;
        this.covariance = covariance;
        this.daySd = daySd;
        this.usual = usual;
        this.days = days;
    }

    /**
     * @param days recorded, in order of time
     * @return empty where they are too few
     */
    public static Optional<RoomWater> learnt(List<WaterDay> days) {
        if (days.size() < FEWEST_DAYS) {
            return Optional.empty();
        }
        Air usual = Air.mean(days.stream().map(WaterDay::air).toList());
        double saturated = Vapour.saturationPascal(usual.celsius());
        double[] given = days.stream().mapToDouble(WaterDay::givenGrams).toArray();
        double[] vapour =
                days.stream().mapToDouble(day -> day.air().vapourPascal()).toArray();
        double[] byLoad = byLoadAlone(days, usual);
        double daySd = DAY_SD * saturated;
        double alike = 0;
        RoomWater room = null;
        // What a day is off by and how it moves with the load follow from each other.
        for (int round = 0; round < 3; round++) {
            room = fitted(byLoad, vapour, saturated, daySd, alike, usual);
            double[] left = room.left(given, vapour);
            daySd = Math.sqrt((squares(left) + DAYS_BEFORE * DAY_SD * DAY_SD * saturated * saturated)
                    / (left.length + DAYS_BEFORE));
            alike = alike(left);
        }
        return Optional.of(room);
    }

    /** What the pieces gave off each day, as far as it follows from the load and not from the air of the day. */
    private static double[] byLoadAlone(List<WaterDay> days, Air usual) {
        SimpleRegression regression = new SimpleRegression();
        double[] inUsualAir = days.stream()
                .mapToDouble(day -> day.givenGrams() * drive(usual) / drive(day.air()))
                .toArray();
        for (int day = 0; day < inUsualAir.length; day++) {
            regression.addData(inUsualAir[day], days.get(day).givenGrams());
        }
        double slope = Double.isNaN(regression.getSlope()) ? 0 : regression.getSlope();
        double mean = days.stream().mapToDouble(WaterDay::givenGrams).average().orElseThrow();
        double usually = Arrays.stream(inUsualAir).average().orElseThrow();
        return Arrays.stream(inUsualAir)
                .map(would -> mean + slope * (would - usually))
                .toArray();
    }

    /** What is wanting to the humidity at the meat, fraction. */
    private static double drive(Air air) {
        return Math.max(SMALLEST_DRIVE, Estimates.BARE_ACTIVITY - air.relativeHumidity());
    }

    private static RoomWater fitted(
            double[] given, double[] vapour, double saturated, double daySd, double alike, Air usual) {
        double perDay = (1 - alike) / (1 + alike) / (daySd * daySd);
        RealMatrix precision = MatrixUtils.createRealDiagonalMatrix(
                new double[] {1 / Math.pow(EMPTY_SD * saturated, 2), 1 / (SLOPE_SD * SLOPE_SD)});
        RealVector weighted =
                MatrixUtils.createRealVector(new double[] {EMPTY * saturated / Math.pow(EMPTY_SD * saturated, 2), 0});
        for (int day = 0; day < given.length; day++) {
            RealVector row = MatrixUtils.createRealVector(new double[] {1, given[day]});
            precision = precision.add(row.outerProduct(row).scalarMultiply(perDay));
            weighted = weighted.add(row.mapMultiply(perDay * vapour[day]));
        }
        RealMatrix covariance = new LUDecomposition(precision).getSolver().getInverse();
        RealVector mean = covariance.operate(weighted);
        if (mean.getEntry(1) < 0) {
            // Water makes no room drier: what is known of e₀ alone.
            mean = MatrixUtils.createRealVector(new double[] {weighted.getEntry(0) / precision.getEntry(0, 0), 0});
        }
        return new RoomWater(mean, covariance, daySd, usual, given.length);
    }

    private double[] left(double[] given, double[] vapour) {
        double[] left = new double[given.length];
        Arrays.setAll(left, day -> vapour[day] - mean.getEntry(0) - mean.getEntry(1) * given[day]);
        return left;
    }

    private static double squares(double[] values) {
        return Arrays.stream(values).map(value -> value * value).sum();
    }

    /** How alike neighbouring days are: the first autocorrelation, 0 to {@value #MOST_ALIKE}. */
    private static double alike(double[] left) {
        double sum = 0;
        for (int day = 1; day < left.length; day++) {
            sum += left[day] * left[day - 1];
        }
        double squares = squares(left);
        return squares == 0 ? 0 : Math.max(0, Math.min(MOST_ALIKE, sum / squares));
    }

    /**
     * The humidity of a day with another load. Damper air draws less out of the pieces, which is part of the answer.
     *
     * @param givenGrams what its pieces would give off in the air they are reckoned in, g a day, 0 or more
     * @param at the air they are reckoned in
     */
    public HumidityAhead with(double givenGrams, Air at) {
        double saturated = Vapour.saturationPascal(at.celsius());
        double perDrive = givenGrams / drive(at);
        double pull = mean.getEntry(1) * perDrive;
        double damping = 1 + pull / saturated;
        double vapour = (mean.getEntry(0) + pull * Estimates.BARE_ACTIVITY) / damping;
        double humidity = vapour / saturated;
        double bySlope = perDrive * Math.max(0, Estimates.BARE_ACTIVITY - humidity) / damping;
        RealVector moves = MatrixUtils.createRealVector(new double[] {1 / damping, bySlope});
        double byGiven = GIVEN_SD * mean.getEntry(1) * bySlope;
        double variance = moves.dotProduct(covariance.operate(moves)) + byGiven * byGiven + daySd * daySd;
        double half = EIGHTY * Math.sqrt(variance) / saturated;
        return new HumidityAhead(share(humidity), share(humidity - half), share(humidity + half));
    }

    private static double share(double humidity) {
        return Math.max(0, Math.min(1, humidity));
    }

    /** The air of the days it was learnt from. */
    public Air usual() {
        return usual;
    }

    /** By how much the humidity rises for a kilogram of water a day more, as long as damper air draws no less. */
    public HumidityAhead perKilogram() {
        double saturated = Vapour.saturationPascal(usual.celsius());
        double rise = 1000 * mean.getEntry(1) / saturated;
        double half = EIGHTY * 1000 * Math.sqrt(covariance.getEntry(1, 1)) / saturated;
        return new HumidityAhead(rise, Math.max(0, rise - half), rise + half);
    }

    /** How many days it rests on. */
    public int days() {
        return days;
    }
}
