package elvaro.core.rehearsal;

/**
 * Water in the layers under one face of a piece, from the skin inwards. It moves by Fick's law with a diffusivity that falls
 * as the meat dries, so that a crust makes itself; at the skin it is held as dry protein holds it (Oswin's isotherm). Dry
 * solids stay where they are. The numbers are engineering estimates (EST), chosen so that the trade's losses come out
 * (RehearsalTradeTest).
 */
final class MeatLayers {
    /** m²/s at 2 °C in wet meat. */
    private static final double DIFFUSIVITY = 7e-11;

    private static final double DRY_SLOWS = 1.0;
    private static final double ISOTHERM_WATER = 0.15;
    private static final double ISOTHERM_POWER = 0.6;
    private static final double WET_MEAT = 1060;
    private static final double THINNEST = 0.0003;
    private static final double GROWS = 1.32;

    /** J/kg, to make vapour of water. */
    private static final double LATENT = 2.5e6;

    /** kg/m²·s·Pa over W/m²K: Lewis, for air near 0 °C (Incropera & DeWitt, from memory). */
    private static final double LEWIS = 6.83e-9;

    private static final double RADIATION = 4.6;

    /** Water over dry solids below which it chews, kg/kg (EST). */
    private static final double TOO_DRY = 1.55;

    /** What is left of it on a block among racks and rails. */
    private static final double BLOCKED = 0.45;

    private final double squareMetres;
    private final double wetWater;
    private final double[] outerArea;
    private final double[] solids;
    private final double[] middle;
    private final double[] edge;

    /** Water over dry solids, kg/kg. */
    private final double[] water;

    /**
     * @param squareMetres of the face
     * @param metres to the middle of the piece
     * @param waterShare of the wet meat
     */
    MeatLayers(double squareMetres, double metres, double waterShare) {
        this.squareMetres = squareMetres;
        wetWater = waterShare / (1 - waterShare);
        int count = 1;
        double deep = THINNEST;
        for (double thick = THINNEST; deep < metres; count++) {
            thick *= GROWS;
            deep += thick;
        }
        outerArea = new double[count];
        solids = new double[count];
        middle = new double[count];
        edge = new double[count];
        water = new double[count];
        double top = 0;
        double thick = THINNEST;
        for (int layer = 0; layer < count; layer++, thick *= GROWS) {
            double bottom = layer == count - 1 ? metres : top + thick;
            outerArea[layer] = squareMetres * sphere(top, metres);
            double volume = squareMetres * metres / 3 * (cube(top, metres) - cube(bottom, metres));
            solids[layer] = volume * WET_MEAT * (1 - waterShare);
            middle[layer] = (top + bottom) / 2;
            edge[layer] = bottom;
            water[layer] = wetWater;
            top = bottom;
        }
    }

    private static double sphere(double depth, double metres) {
        double left = 1 - depth / metres;
        return left * left;
    }

    private static double cube(double depth, double metres) {
        double left = 1 - depth / metres;
        return left * left * left;
    }

    /** What the skin offers the air, 0–1. */
    double activity() {
        return activity(water[0]);
    }

    private static double activity(double water) {
        double ratio = Math.pow(Math.max(1e-4, water) / ISOTHERM_WATER, 1 / ISOTHERM_POWER);
        return 0.995 * ratio / (1 + ratio);
    }

    /** Water over dry solids at the skin, kg/kg: 3 in wet meat, a quarter in leather. */
    double skinWater() {
        return water[0];
    }

    /**
     * Lets time go by, implicitly, with what the skin gives off taken as a straight line about where it is.
     *
     * @param seconds above 0
     * @param air at the face
     * @param film factor on what leaves it
     * @param between what lies between meat and air, Pa·s·m²/kg
     * @param binds what a coat leaves of the activity, 0–1
     * @param diffusion factor on how fast water moves
     */
    void pass(double seconds, TrueAir air, double film, double between, double binds, double diffusion) {
        int count = water.length;
        double saturation = TrueAir.saturation(air.celsius());
        double slope = (TrueAir.saturation(air.celsius() + 0.1) - saturation) / 0.1;
        double heat = air.heatTransfer();
        double dry = BLOCKED * film * heat * LEWIS;
        double cooled = dry / (1 + LATENT * slope * dry / (heat + RADIATION));
        double path = 1 / (1 / cooled + between);
        double here = Math.min(binds, activity(water[0]));
        double tangent = here < binds ? (activity(water[0] * 1.001) - here) / (water[0] * 0.001) : 0;
        double[] lower = new double[count];
        double[] diagonal = new double[count];
        double[] upper = new double[count];
        double[] right = new double[count];
        for (int layer = 0; layer < count; layer++) {
            diagonal[layer] = solids[layer] / seconds;
            right[layer] = solids[layer] / seconds * water[layer];
        }
        boolean soaks = here == binds && air.humidity() > binds; // a coat that draws water from the air keeps it
        double leaves = soaks ? 0 : squareMetres * path * saturation;
        diagonal[0] += leaves * tangent;
        right[0] -= leaves * (here - tangent * water[0] - air.humidity());
        double factor = diffusion * Math.exp(0.03 * (air.celsius() - 2));
        for (int layer = 0; layer + 1 < count; layer++) {
            double flow = factor
                    * diffusivity((water[layer] + water[layer + 1]) / 2)
                    * WET_MEAT
                    / (1 + wetWater)
                    * outerArea[layer + 1]
                    / (middle[layer + 1] - middle[layer]);
            diagonal[layer] += flow;
            upper[layer] -= flow;
            diagonal[layer + 1] += flow;
            lower[layer + 1] -= flow;
        }
        solve(lower, diagonal, upper, right);
    }

    private static double diffusivity(double water) {
        return DIFFUSIVITY * Math.exp(-DRY_SLOWS / Math.max(0.05, water));
    }

    /** Three diagonals, from the skin inwards and back. */
    private void solve(double[] lower, double[] diagonal, double[] upper, double[] right) {
        for (int layer = 1; layer < water.length; layer++) {
            double share = lower[layer] / diagonal[layer - 1];
            diagonal[layer] -= share * upper[layer - 1];
            right[layer] -= share * right[layer - 1];
        }
        for (int layer = water.length - 1; layer >= 0; layer--) {
            double inner = layer + 1 < water.length ? upper[layer] * water[layer + 1] : 0;
            water[layer] = (right[layer] - inner) / diagonal[layer];
        }
    }

    /** What it weighs, kg. */
    double kilograms() {
        return kilogramsTo(Double.POSITIVE_INFINITY);
    }

    /** What is left of it down to a depth of the meat as it was hung, kg. */
    double kilogramsTo(double metres) {
        double sum = 0;
        double top = 0;
        for (int layer = 0; layer < water.length && top < metres; layer++) {
            double share = Math.min(1, (metres - top) / (edge[layer] - top));
            sum += share * solids[layer] * (1 + water[layer]);
            top = edge[layer];
        }
        return sum;
    }

    /** Down to where it is too dry to be a steak, metres of the meat as it was hung. */
    double crust() {
        double top = 0;
        double above = water[0];
        if (above >= TOO_DRY) {
            return 0;
        }
        for (int layer = 1; layer < water.length; layer++) {
            if (water[layer] >= TOO_DRY) {
                double share = (TOO_DRY - above) / (water[layer] - above);
                return Math.max(0, middle[layer - 1] + share * (middle[layer] - middle[layer - 1]));
            }
            above = water[layer];
            top = edge[layer];
        }
        return top;
    }
}
