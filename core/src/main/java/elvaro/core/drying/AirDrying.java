package elvaro.core.drying;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.estimate.Estimates;
import java.util.List;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.ClassicalRungeKuttaIntegrator;

/**
 * A piece drying in air: resistances in series with a growing crust. Reference section 3.
 *
 * <p>dw/dt = (A/m₀)·(a_s − φ)·p_s(T) / (R₀ + r·M)·(1 − (w/w_eq)⁴) per day, with M = w·m₀/A and R₀ the film, surface,
 * membrane and coat together. Solved with its sensitivities to the unknowns by the library's fourth-order Runge–Kutta over
 * steps of a quarter of a day, within which the air is averaged: the chamber's compressor is faster than the meat; a day
 * at once where the air no longer changes.
 */
public final class AirDrying implements WaterLoss {
    private static final double STEP = 0.25;

    /** In air that no longer changes the curve is smooth enough for a day at once. */
    private static final double SETTLED_STEP = 1;

    private static final ClassicalRungeKuttaIntegrator RUNGE_KUTTA = new ClassicalRungeKuttaIntegrator(STEP);

    private final int greenGrams;
    private final Surface surface;
    private final double equilibrium;
    private final double[] drive;
    private final double[] resistance;

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
        this.drive = climate.means(STEP, air -> air.drivePascal(skin.surfaceActivity()));
        double[] film = climate.means(STEP, Air::filmResistance);
        int slots = Math.max(film.length, (int) Math.ceil(Leak.settledFrom(leaks) / STEP) + 1);
        this.resistance = new double[slots];
        for (int slot = 0; slot < slots; slot++) {
            boolean open = Leak.on((slot + 0.5) * STEP, leaks);
            resistance[slot] = film[Math.min(slot, film.length - 1)] + (open ? leaking : skin).resistance();
        }
    }

    @Override
    public int greenGrams() {
        return greenGrams;
    }

    @Override
    public Surface surface() {
        return surface;
    }

    /** w_eq, the fraction of the green weight beyond which nothing more is lost. */
    public double equilibrium() {
        return equilibrium;
    }

    @Override
    public Lost[] along(double[] days, Parameters unknowns) {
        Lost[] lost = new Lost[days.length];
        Equation equation = new Equation(unknowns);
        double[] state = new double[3];
        double at = 0;
        for (int index = 0; index < days.length; index++) {
            if (!(days[index] >= at)) {
                throw new IllegalArgumentException("Days are 0 or more and ascend");
            }
            while (at < days[index] - 1e-9) {
                int slot = (int) Math.floor(at / STEP + 1e-9);
                boolean settled = slot >= resistance.length - 1;
                double until = Math.min(days[index], settled ? at + SETTLED_STEP : (slot + 1) * STEP);
                equation.in(slot);
                state = RUNGE_KUTTA.singleStep(equation, at, state, until);
                at = until;
            }
            lost[index] = new Lost(state[0], state[1], state[2]);
        }
        return lost;
    }

    /** w and its two sensitivities, in the air of one step. */
    private final class Equation implements OrdinaryDifferentialEquation {
        private final double resistanceFactor;
        private final double crustPerFraction;
        private final double perMass;
        private double slotDrive;
        private double slotResistance;

        Equation(Parameters unknowns) {
            double kilograms = greenGrams / 1000.0;
            perMass = surface.drying() / kilograms;
            resistanceFactor = Math.exp(unknowns.resistance());
            crustPerFraction = Estimates.CRUST_RESISTIVITY * Math.exp(unknowns.crust()) / perMass;
        }

        void in(int slot) {
            slotDrive = drive[Math.min(slot, drive.length - 1)];
            slotResistance = resistance[Math.min(slot, resistance.length - 1)] * resistanceFactor;
        }

        @Override
        public int getDimension() {
            return 3;
        }

        @Override
        public double[] computeDerivatives(double day, double[] state) {
            double lost = state[0];
            double share = lost / equilibrium;
            double cube = share * share * share;
            double open = Math.max(0, 1 - cube * share);
            double crust = crustPerFraction * lost;
            double sum = slotResistance + crust;
            double rate = perMass * slotDrive * open / sum;
            double byLost =
                    open > 0 ? -perMass * slotDrive * 4 * cube / equilibrium / sum - rate * crustPerFraction / sum : 0;
            return new double[] {
                rate, byLost * state[1] - rate * slotResistance / sum, byLost * state[2] - rate * crust / sum
            };
        }
    }
}
