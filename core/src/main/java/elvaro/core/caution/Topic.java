package elvaro.core.caution;

import java.util.Locale;

/** What cautions are about, with where they come from. "From memory" was written down without the work at hand. */
public enum Topic {
    COLD("Cold", "FDA Food Code 3-501.16, from memory."),
    REFRIGERATOR("Household refrigerators", "Common practice."),
    MEMBRANE("Membranes", "Common practice."),
    TREATMENTS(
            "What is put on a piece", "Common practice; garlic in oil: FDA on reduced-oxygen packaging, from memory."),
    LOOKING("Looking and smelling", "Common practice."),
    COOKING("Cooking", "USDA FSIS minimum temperatures, from memory."),
    BENCH("At the bench", "Common practice."),
    GAME("Game", "Wildlife agencies and common practice."),
    FISH("Fish", "FDA Food Code 3-402.11, from memory."),
    SHOP("Shops", "Local law.");

    private final String title;
    private final String source;

    Topic(String title, String source) {
        this.title = title;
        this.source = source;
    }

    public String title() {
        return title;
    }

    public String source() {
        return source;
    }

    /** Its place in the guide. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
