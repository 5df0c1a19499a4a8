package elvaro.core.prepare;

import elvaro.core.game.Animal.Build;
import java.util.List;

/** What is done to a whole animal before it hangs or is laid on ice, by its build. Common practice, no source. */
final class AnimalSteps {
    private AnimalSteps() {}

    static List<PreparationStep> of(Build build) {
        return switch (build) {
            case HOOFED ->
                List.of(
                        new PreparationStep(
                                "draw",
                                "Draw it, prop the belly open, and wipe it dry: no water inside.",
                                "What the gut touched spoils first, and warmth must get out."),
                        new PreparationStep(
                                "game",
                                "Cut out bloodshot meat, glands and what the gut touched; change knives after.",
                                "They spoil first. Ask about disease testing in your area before you cut near the spine."),
                        new PreparationStep(
                                "core",
                                "Measure the core in the thick of the haunch until it is cold.",
                                "Cold outside says nothing of the bone."));
            case BIRD ->
                List.of(
                        new PreparationStep(
                                "pluck",
                                "Pluck it; feel for shot. A torn skin is skinned instead.",
                                "Whole skin keeps it from drying out and turns crisp."),
                        new PreparationStep(
                                "wings-legs",
                                "Take the wings off at the first joint and the lower legs at theirs.",
                                "They hold no meat, dry first, and bring dirt."),
                        new PreparationStep(
                                "singe",
                                "Singe off what down is left; away from anything that burns.",
                                "Singed down no longer holds damp."),
                        new PreparationStep(
                                "split",
                                "Split it along the back and draw it; nothing of the gut may touch the meat.",
                                "Opened flat it dries inside as well."),
                        new PreparationStep(
                                "rinse",
                                "Rinse it in cold drinking water and dry it inside and out.",
                                "A wet cavity is where it spoils first; clean sink and board after."));
            case FISH ->
                List.of(
                        new PreparationStep(
                                "bleed",
                                "Bleed and gut it, take head and gills off and weigh them, scrape out the blood along the"
                                        + " backbone.",
                                "Blood and gut turn first."),
                        new PreparationStep(
                                "scales",
                                "Take a strip of scales off along the back and the belly, and weigh it: there it dries and is"
                                        + " cut later.",
                                "The rest of the skin keeps the meat."),
                        new PreparationStep(
                                "wipe",
                                "Wipe it dry inside and out, and wipe off what blood drains in the first days.",
                                "Where it stands wet it smells first."));
        };
    }

    /** How it hangs or lies in the air. */
    static PreparationStep hung(Build build) {
        return switch (build) {
            case HOOFED ->
                new PreparationStep(
                        "hocks",
                        "Hang it by the hocks, spread, with air on every side.",
                        "Air must reach every face; there is nothing to turn then.");
            case BIRD ->
                new PreparationStep(
                        "rack",
                        "Rack it breast up, a finger of air between two; cloth under it takes up what drips.",
                        "The breast is what you want dry and even.");
            case FISH ->
                new PreparationStep(
                        "tail",
                        "Hang it whole by the tail, belly propped open, and let it drain for a day.",
                        "Air must reach every face; there is nothing to turn then.");
        };
    }
}
