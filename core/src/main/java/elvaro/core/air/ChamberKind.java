package elvaro.core.air;

/**
 * What kind of cold place a chamber is, and the air to expect in it where nobody set or measured it. Common practice, no
 * source.
 */
public enum ChamberKind {
    CABINET(2, 0.80, 0.5),
    WALK_IN(2, 0.82, 0.5),
    /** A household refrigerator: drier and stiller than a chamber, and a little warmer. */
    REFRIGERATOR(3, 0.65, 0.1),
    SHED(3, 0.75, 0.3),
    ICE_CHEST(0, 0.98, 0.1);

    private final Air usual;

    ChamberKind(double celsius, double relativeHumidity, double metresPerSecond) {
        usual = new Air(celsius, relativeHumidity, metresPerSecond);
    }

    public Air usualAir() {
        return usual;
    }
}
