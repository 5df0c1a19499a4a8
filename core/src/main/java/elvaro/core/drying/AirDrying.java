package elvaro.core.drying;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.air.Climate.Portion;
import elvaro.core.estimate.Estimates;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.ClassicalRungeKuttaIntegrator;

/**
 * A piece drying in air: resistances in series with a growing crust. Reference section 3.
 *
 * <p>dw/dt = (A/m₀)·(a_s − φ)·p_s(T) / (R₀ + r·M^p)·(1 − (w/w_eq)⁴) per day, with M = w·m₀/A and R₀ the film, surface,
 * membrane and coat together. Solved with its sensitivities to the unknowns by the library's fourth-order Runge–Kutta over
 * steps of a quarter of a day, within which what flows is averaged: the chamber's compressor is faster than the meat; a day
 * at once where the air no longer changes.
 */
public final class AirDrying implements WaterLoss {
    private static final double STEP = 0.25;

    /** Air nearly as damp as the meat: what it draws is not known at all, which the band shall say and not a division by 0. */
    private static final double SMALLEST_GAP = 0.02;

    /** A crust that resists less the thicker it is is none. */
    private static final double LEAST_POWER = 0.1;

    /** In air that no longer changes the curve is smooth enough for a day at once. */
    private static final double SETTLED_STEP = 1;

    private static final ClassicalRungeKuttaIntegrator RUNGE_KUTTA = new ClassicalRungeKuttaIntegrator(STEP);

    /** Airs whose films differ by no more are reckoned as one. */
    private static final double ALIKE = 1.05;

    /** What draws on the meat and what resists on the way, in air that is there for a share of the time. */
    private record Path(double drive, double resistance) {}

    private final int greenGrams;
    private final Surface surface;
    private final double equilibrium;
    private final DriveDoubt doubt;
    private final Path[][] slots;

    /**
     * @param greenGrams m₀, above 0
     * @param surface its outside
     * @param boneIn whether bone is in it, which cannot dry
     * @param climate the air at the piece
     * @param skin what lies between the meat and that air
     */
    public AirDrying(int greenGrams, Surface surface, boolean boneIn, Climate climate, Skin skin) {
        this(greenGrams, surface, boneIn, climate, skin, List.of(), skin);
    }

    /**
     * @param leaks days on which another skin lies between the meat and the air; to the quarter of a day
     * @param leaking that skin, of the same water activity
     */
    AirDrying(
            int greenGrams,
            Surface surface,
            boolean boneIn,
            Climate climate,
            Skin skin,
            List<Leak> leaks,
            Skin leaking) {
        if (greenGrams <= 0) {
            throw new IllegalArgumentException("The green weight must be above 0 g, not " + greenGrams);
        }
        this.greenGrams = greenGrams;
        this.surface = surface;
        this.equilibrium = boneIn ? Estimates.EQUILIBRIUM_BONE_IN : Estimates.EQUILIBRIUM_BONELESS;
        List<List<Portion>> air = climate.portions(STEP);
        int count = Math.max(air.size(), (int) Math.ceil(Leak.settledFrom(leaks) / STEP) + 1);
        this.slots = new Path[count][];
        for (int slot = 0; slot < count; slot++) {
            boolean open = Leak.on((slot + 0.5) * STEP, leaks);
            boolean repeats = slot >= air.size() && slot > 0 && !Leak.on((slot - 0.5) * STEP, leaks) && !open;
            slots[slot] =
                    repeats ? slots[slot - 1] : paths(air.get(Math.min(slot, air.size() - 1)), open ? leaking : skin);
        }
        Air last = climate.last();
        double gap = Math.max(SMALLEST_GAP, skin.surfaceActivity() - last.relativeHumidity());
        this.doubt = new DriveDoubt(
                climate.doubt().humiditySd() / gap,
                climate.doubt().recordedUntil(),
                climate.doubt().changeSd() / gap);
    }

    /**
     * What flows through each air is added up, not the airs: a fan that runs half the time does not dry as one at half speed.
     * Each drive is weighed by its share of the time.
     */
    private static Path[] paths(List<Portion> air, Skin skin) {
        int count = air.size();
        double[][] byFilm = new double[count][];
        for (int index = 0; index < count; index++) {
            Portion portion = air.get(index);
            byFilm[index] = new double[] {
                portion.air().filmResistance(),
                portion.share(),
                portion.share() * portion.air().drivePascal(skin.surfaceActivity())
            };
        }
        Arrays.sort(byFilm, Comparator.comparingDouble(each -> each[0]));
        List<Path> paths = new ArrayList<>();
        for (int begin = 0; begin < count; ) {
            double share = 0;
            double drive = 0;
            double film = 0;
            int end = begin;
            while (end < count && byFilm[end][0] <= byFilm[begin][0] * ALIKE) {
                share += byFilm[end][1];
                drive += byFilm[end][2];
                film += byFilm[end][1] * byFilm[end][0];
                end++;
            }
            paths.add(new Path(drive, film / share + skin.resistance()));
            begin = end;
        }
        return paths.toArray(Path[]::new);
    }

    @Override
    public int greenGrams() {
        return greenGrams;
    }

    @Override
    public Surface surface() {
        return surface;
    }

    /** w_eq. */
    @Override
    public double most() {
        return equilibrium;
    }

    @Override
    public DriveDoubt doubt() {
        return doubt;
    }

    @Override
    public Lost[] along(double[] days, Parameters unknowns) {
        Lost[] lost = new Lost[days.length];
        Equation equation = new Equation(unknowns);
        double[] state = new double[5];
        double at = 0;
        for (int index = 0; index < days.length; index++) {
            if (!(days[index] >= at)) {
                throw new IllegalArgumentException("Days are 0 or more and ascend");
            }
            while (at < days[index] - 1e-9) {
                int slot = (int) Math.floor(at / STEP + 1e-9);
                boolean settled = slot >= slots.length - 1;
                double until = Math.min(days[index], settled ? at + SETTLED_STEP : (slot + 1) * STEP);
                equation.in(slot);
                state = RUNGE_KUTTA.singleStep(equation, at, state, until);
                at = until;
            }
            lost[index] = new Lost(state[0], state[1], state[2], state[3], state[4]);
        }
        return lost;
    }

    /** w and its sensitivities, in the air of one step. */
    private final class Equation implements OrdinaryDifferentialEquation {
        private final double resistanceFactor;
        private final double resistivity;
        private final double power;
        private final double perMass;
        private Path[] paths = slots[0];

        Equation(Parameters unknowns) {
            double kilograms = greenGrams / 1000.0;
            perMass = surface.drying() / kilograms;
            resistanceFactor = Math.exp(unknowns.resistance());
            resistivity = Estimates.CRUST_RESISTIVITY * Math.exp(unknowns.crust());
            power = Math.max(LEAST_POWER, 1 + unknowns.exponent());
        }

        void in(int slot) {
            paths = slots[Math.min(slot, slots.length - 1)];
        }

        @Override
        public int getDimension() {
            return 5;
        }

        @Override
        public double[] computeDerivatives(double day, double[] state) {
            double lost = state[0];
            double share = lost / equilibrium;
            double cube = share * share * share;
            double open = Math.max(0, 1 - cube * share);
            double perSquareMetre = Math.max(0, lost) / perMass;
            double crust = resistivity * (power == 1 ? perSquareMetre : Math.pow(perSquareMetre, power));
            double crustByLost = lost > 0 ? crust * power / lost : 0;
            double flux = 0;
            double byCrust = 0;
            double byResistance = 0;
            for (Path path : paths) {
                double skin = path.resistance() * resistanceFactor;
                double sum = skin + crust;
                double flow = path.drive() / sum;
                flux += flow;
                byCrust += flow / sum;
                byResistance += flow * skin / sum;
            }
            double rate = perMass * open * flux;
            double slope = perMass * open * byCrust * crust;
            double closing = open > 0 ? 4 * cube / equilibrium * perMass * flux : 0;
            double byLost = -closing - perMass * open * byCrust * crustByLost;
            double log = perSquareMetre > 0 ? Math.log(perSquareMetre) : 0;
            return new double[] {
                rate,
                byLost * state[1] - perMass * open * byResistance,
                byLost * state[2] - slope,
                byLost * state[3] - slope * log,
                byLost * state[4] + closing * share
            };
        }
    }
}
