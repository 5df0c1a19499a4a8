package elvaro.core.drying;

import elvaro.core.air.Climate;
import java.util.List;

/**
 * A piece as it is hung, and the way it then loses water.
 *
 * @param greenGrams G, above 0
 * @param surface its outside
 * @param boneIn whether bone is in it
 * @param method how it is aged
 * @param coating what is on it; a fat seal by method counts as one whatever this says
 * @param contact share of a membrane that touches meat, above 0 to 1; of no matter to other methods
 */
public record Hanging(int greenGrams, Surface surface, boolean boneIn, Method method, Coating coating, double contact) {

    /**
     * @param climate the air of the chamber
     * @return how it loses water there
     */
    public WaterLoss dryingIn(Climate climate) {
        return dryingIn(climate, List.of());
    }

    /**
     * @param climate the air of the chamber
     * @param leaks when its membrane let air in; of no matter to other methods
     * @return how it loses water there
     */
    public WaterLoss dryingIn(Climate climate, List<Leak> leaks) {
        return switch (method) {
            case VACUUM -> Purge.inVacuum(greenGrams, surface);
            case ON_ICE -> Purge.onIce(greenGrams, surface);
            case SALT_TRAY -> new AirDrying(greenGrams, surface, boneIn, climate.overSaltTray(), skin());
            case OPEN_AIR, FAT_SEAL -> new AirDrying(greenGrams, surface, boneIn, climate, skin());
            case MEMBRANE ->
                new AirDrying(
                        greenGrams,
                        surface,
                        boneIn,
                        climate,
                        skin(),
                        leaks,
                        Skin.bare().coatedWith(coating));
        };
    }

    /** Whether water leaves it into the air of the chamber. */
    public boolean dries() {
        return method != Method.VACUUM && method != Method.ON_ICE;
    }

    /** Share of a membrane that does not touch the meat, 0–1; 0 where there is none. */
    public double lifted() {
        return method == Method.MEMBRANE ? 1 - contact : 0;
    }

    private Skin skin() {
        Skin coated = Skin.bare().coatedWith(method == Method.FAT_SEAL ? Coating.FAT_SEAL : coating);
        return method == Method.MEMBRANE ? coated.inMembrane(contact) : coated;
    }
}
