package elvaro.core.game;

import static elvaro.core.working.Quantity.temperature;

import elvaro.core.game.Animal.Build;
import java.util.Arrays;
import java.util.List;

/**
 * A part an animal is broken down into. Shares of the carcass: engineering estimates (EST); they add up to 1 for each build.
 * What to see to at each joint: common practice, no source.
 */
public enum Part {
    NECK(Build.HOOFED, "Neck", "neck", 0.075, true, "Cut out the glands along the windpipe. The spine stays whole."),
    LEFT_SHOULDER(Build.HOOFED, "Left shoulder", "shoulder", 0.10, true, PartWords.SHOULDER),
    RIGHT_SHOULDER(Build.HOOFED, "Right shoulder", "shoulder", 0.10, true, PartWords.SHOULDER),
    LEFT_RIBS(Build.HOOFED, "Left ribs and flank", "ribs", 0.07, true, PartWords.RIBS),
    RIGHT_RIBS(Build.HOOFED, "Right ribs and flank", "ribs", 0.07, true, PartWords.RIBS),
    SADDLE(
            Build.HOOFED,
            "Saddle",
            "saddle",
            0.15,
            true,
            "Lift the loins off the spine, from the hip to the ribs; the spine stays whole."),
    TENDERLOINS(Build.HOOFED, "Tenderloins", "loin", 0.015, false, "They lie under the saddle; take them out first."),
    LEFT_HAUNCH(Build.HOOFED, "Left haunch", "haunch", 0.165, true, PartWords.HAUNCH),
    RIGHT_HAUNCH(Build.HOOFED, "Right haunch", "haunch", 0.165, true, PartWords.HAUNCH),
    FORE_SHANKS(Build.HOOFED, "Fore shanks", "shank", 0.04, true, PartWords.SHANKS),
    HIND_SHANKS(Build.HOOFED, "Hind shanks", "shank", 0.05, true, PartWords.SHANKS),
    LEFT_BREAST(Build.BIRD, "Left breast", "bird-breast", 0.19, false, PartWords.BREAST),
    RIGHT_BREAST(Build.BIRD, "Right breast", "bird-breast", 0.19, false, PartWords.BREAST),
    LEFT_LEG(Build.BIRD, "Left leg", "bird-leg", 0.13, true, PartWords.LEG),
    RIGHT_LEG(Build.BIRD, "Right leg", "bird-leg", 0.13, true, PartWords.LEG),
    FRAME(
            Build.BIRD,
            "Carcass and wings",
            "bird-frame",
            0.36,
            true,
            "For stock. Look once more for shot and a green stain."),
    LEFT_LOIN(Build.FISH, "Left loin", "fish-loin", 0.20, false, PartWords.LOIN),
    RIGHT_LOIN(Build.FISH, "Right loin", "fish-loin", 0.20, false, PartWords.LOIN),
    LEFT_BELLY(Build.FISH, "Left belly", "fish-belly", 0.11, false, PartWords.BELLY),
    RIGHT_BELLY(Build.FISH, "Right belly", "fish-belly", 0.11, false, PartWords.BELLY),
    SCRAPED(
            Build.FISH,
            "Scraped meat",
            "fish-scraped",
            0.06,
            false,
            "Scraped off the bones with a spoon: eaten soonest."),
    BACKBONE(Build.FISH, "Frame and skin", "fish-frame", 0.32, true, "For stock, today.");

    private final Build build;
    private final String label;
    private final String cut;
    private final double share;
    private final boolean boneIn;
    private final String see;

    Part(Build build, String label, String cut, double share, boolean boneIn, String see) {
        this.build = build;
        this.label = label;
        this.cut = cut;
        this.share = share;
        this.boneIn = boneIn;
        this.see = see;
    }

    /** The parts of an animal, in the order of its outline. */
    public static List<Part> of(Animal animal) {
        return Arrays.stream(values())
                .filter(part -> part.build == animal.build())
                .toList();
    }

    public Build build() {
        return build;
    }

    public String label() {
        return label;
    }

    /** Code among the cuts, for a part of this animal. */
    public String cut(Animal animal) {
        return build == Build.HOOFED ? animal.family() + "-" + cut : cut;
    }

    /** Share of the carcass. */
    public double share() {
        return share;
    }

    public boolean boneIn() {
        return boneIn;
    }

    /** What to see to at this joint, taken along the seams. */
    public String see() {
        return see;
    }

    /** The same, by a school. */
    public String see(School.Knife knife) {
        if (knife == School.Knife.SEAMS || !isSawn()) {
            return see;
        }
        return switch (this) {
            case SADDLE ->
                "Saw across between the vertebrae, only where the law and a clear test allow it; wipe off the dust.";
            case FORE_SHANKS, HIND_SHANKS -> "Off through the joint, then sawn across in slices; wipe off the dust.";
            default -> see + " Saw through the ribs, a chop to each; wipe off the dust.";
        };
    }

    /** Whether a saw leaves its bone in the packs. */
    boolean isSawn() {
        return switch (this) {
            case SADDLE, LEFT_RIBS, RIGHT_RIBS, FORE_SHANKS, HIND_SHANKS -> true;
            default -> false;
        };
    }

    /** Whether its bone is in it: a saddle lifted along the seams has none. */
    public boolean boneIn(School.Knife knife) {
        return boneIn && !(this == SADDLE && knife == School.Knife.SEAMS);
    }

    /** What it is of a carcass of so many grams; the bone of a saddle that was lifted off stays with the spine. */
    public double grams(double carcassGrams, School.Knife knife) {
        return share * carcassGrams * (boneIn && !boneIn(knife) ? 1 - School.BONE : 1);
    }

    private static final class PartWords {
        static final String SHOULDER =
                "No joint holds it: follow the seam. The gland in front of the blade goes out, in its fat. Change knives after"
                        + " bloodshot meat.";
        static final String HAUNCH =
                "The gland in the fat at the back, between the muscles, goes out. Follow the seams for roasts. Keep the"
                        + " pelvis and its soil away from meat.";
        static final String RIBS = "Trim the dried inside and what the gut touched. Look for shot.";
        static final String SHANKS = "Through the joint, not through the bone. Cross-cut for braising.";
        static final String BREAST = "Along the keel, off in one. Feel for shot; cut bloodshot meat out.";
        static final String LEG = "Through the hip. The oil gland at the tail never touches meat.";
        static final String LOIN =
                "Off the bone along the middle line; the dark muscle is trimmed away. At or below %s."
                        .formatted(temperature(4));
        static final String BELLY =
                "By its fatness, the fattest kept coldest. Worms lie here first: look against the light.";
    }
}
