package elvaro.core.game;

/**
 * How hoofed game is broken down: along its seams or with a saw, and its meat trimmed at once or when it is thawed. Common
 * practice; every share is an engineering estimate (EST).
 */
public record School(Knife knife, Trim trim) {
    /** What parts it. */
    public enum Knife {
        /** Muscle from muscle, off the bone; the spine stays whole. */
        SEAMS,
        /** Across the bone: chops with rib, saddle and shanks in slices. */
        SAW
    }

    /** When silverskin, dried face and fat come off. */
    public enum Trim {
        NOW,
        /** Frozen as whole muscles: the dried face keeps them from the frost. */
        LATER
    }

    /** Share of bone in a part that is sawn. */
    static final double BONE = 0.28;

    /** Of what is sawn falls as dust. */
    private static final double DUST = 0.01;

    /** Of a whole muscle comes off later. */
    private static final double TRIMMED_LATER = 0.12;

    /**
     * What goes into packs.
     *
     * @param packedGrams all of it, and so the room it takes in the freezer
     * @param meatGrams of that, to be eaten
     * @param boneGrams left in the chops, the saddle and the shanks
     * @param laterGrams to come off when it is thawed
     */
    public record Packed(double packedGrams, double meatGrams, double boneGrams, double laterGrams) {}

    /** @param yield of hoofed game */
    public Packed packed(CarcassYield yield) {
        double sawn = knife == Knife.SAW ? yield.carcassGrams() * sawnShare() : 0;
        double meat = yield.realisticGrams() - sawn * DUST;
        double bone = sawn * BONE;
        double later = trim == Trim.LATER ? meat * TRIMMED_LATER / (1 - TRIMMED_LATER) : 0;
        return new Packed(meat + bone + later, meat, bone, later);
    }

    private static double sawnShare() {
        return Part.of(Animal.FALLOW_DEER).stream()
                .filter(Part::isSawn)
                .mapToDouble(Part::share)
                .sum();
    }

    /** Whether the spine is cut: not before a clear test where wasting disease occurs. */
    public boolean cutsTheSpine() {
        return knife == Knife.SAW;
    }
}
