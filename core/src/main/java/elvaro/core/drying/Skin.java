package elvaro.core.drying;

import elvaro.core.estimate.Estimates;

/**
 * What lies between the meat and the air of the chamber.
 *
 * @param surfaceActivity a_s, water activity of the surface, 0–1
 * @param resistance R_surface + R_membrane + R_coat, Pa·d·m²/kg, 0 or more
 */
public record Skin(double surfaceActivity, double resistance) {

    public Skin {
        if (!(surfaceActivity > 0 && surfaceActivity <= 1) || !(resistance >= 0)) {
            throw new IllegalArgumentException("A water activity is 0 to 1, a resistance 0 or more");
        }
    }

    /** Bare meat. */
    public static Skin bare() {
        return new Skin(Estimates.BARE_ACTIVITY, Estimates.SURFACE_RESISTANCE);
    }

    /** With a coat on it. */
    public Skin coatedWith(Coating coating) {
        return new Skin(Math.min(surfaceActivity, coating.surfaceActivity()), resistance + coating.resistance());
    }

    /**
     * In a membrane.
     *
     * @param contact share of the film that touches meat, above 0 to 1; an open seal is no membrane
     */
    public Skin inMembrane(double contact) {
        if (!(contact > 0 && contact <= 1)) {
            throw new IllegalArgumentException("Contact is a share above 0 and at most 1");
        }
        return new Skin(surfaceActivity, resistance + Estimates.MEMBRANE_RESISTANCE / contact);
    }
}
