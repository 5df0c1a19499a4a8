package elvaro.core.tasting;

import java.util.List;

/**
 * Something a sample is scored for, from {@link #LEAST} to {@link #MOST}.
 *
 * @param key stable
 * @param low what the least means, in a word or two
 * @param high what the most means
 */
public record Attribute(String key, String label, String low, String high) {
    public static final int LEAST = 1;
    public static final int MOST = 7;

    /** What a tasting is about before all; the rest says why. */
    public static final String LIKING = "liking";

    /** Common practice, no source. */
    public static final List<Attribute> USUAL = List.of(
            new Attribute(LIKING, "Liking", "not at all", "very much"),
            new Attribute("tenderness", "Tenderness", "tough", "tender"),
            new Attribute("juiciness", "Juiciness", "dry", "juicy"),
            new Attribute("aged", "Aged flavour", "none", "strong"),
            new Attribute("treatment", "Flavour of the treatment", "none", "strong"),
            new Attribute("salt", "Saltiness", "none", "salty"),
            new Attribute("off", "Off-flavour", "none", "strong"));

    public Attribute {
        if (key.isBlank() || label.isBlank() || low.isBlank() || high.isBlank()) {
            throw new IllegalArgumentException("An attribute has a name and both ends.");
        }
    }
}
