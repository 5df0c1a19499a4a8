package elvaro.core.prepare;

import elvaro.core.cut.Cut;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.game.Animal;
import elvaro.core.game.Animal.Build;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One step of the preparation. Common practice, no source.
 *
 * @param key stable, by which it is ticked
 * @param words what to do
 * @param why in a sentence
 */
public record PreparationStep(String key, String words, String why) {

    /** All steps for a piece of a cut, in their order. */
    public static List<PreparationStep> of(Cut cut, Hanging hanging) {
        List<PreparationStep> steps = new ArrayList<>();
        Optional<Build> whole = Animal.buildOf(cut.code());
        whole.ifPresentOrElse(build -> steps.addAll(AnimalSteps.of(build)), () -> steps.addAll(unpacked(cut, hanging)));
        if (hanging.coating() != Coating.NONE
                && hanging.coating() != Coating.HIDE
                && hanging.method() != Method.FAT_SEAL) {
            steps.add(new PreparationStep(
                    "coat",
                    "Weigh %s on, evenly, and enter its weight."
                            .formatted(hanging.coating().label()),
                    "Its weight is taken off every weighing; else the shrink comes out wrong."));
        }
        steps.addAll(
                hanging.method() == Method.OPEN_AIR && whole.isPresent()
                        ? List.of(AnimalSteps.hung(whole.get()))
                        : hung(hanging.method()));
        steps.add(new PreparationStep(
                "weigh", "Weigh it as it hangs: this is the green weight.", "Everything later is a share of it."));
        return steps;
    }

    /** What comes in a pack. */
    private static List<PreparationStep> unpacked(Cut cut, Hanging hanging) {
        List<PreparationStep> steps = new ArrayList<>(List.of(
                new PreparationStep(
                        "wash-pack",
                        "Wash the outside of the pack and dry it; then wash your hands.",
                        "What clings to the pack would be on the meat for weeks."),
                new PreparationStep(
                        "clean-board",
                        "Clean board, knife and hooks; put on fresh gloves.",
                        "Whatever touches the surface now stays under the crust.")));
        if (cut.species().isGame()) {
            steps.add(new PreparationStep(
                    "game",
                    "Look for glands, bloodshot meat, shot and lead; cut them out, then change the knife.",
                    "They spoil first. Ask about disease testing in your area before you cut near the spine."));
        }
        if (hanging.method() != Method.VACUUM) {
            steps.add(new PreparationStep(
                    "folds",
                    "Trim deep folds, loose patches and knife cuts on an exposed side.",
                    "A pocket holds moisture without moving air, and rots."));
        }
        steps.addAll(surface(hanging));
        return steps;
    }

    private static List<PreparationStep> surface(Hanging hanging) {
        return switch (hanging.method()) {
            case MEMBRANE -> membrane(hanging.boneIn());
            case VACUUM ->
                List.of(new PreparationStep(
                        "check-bag",
                        "Look at bag and seal; leave it closed.",
                        "It grows tender here, it does not dry."));
            default ->
                List.of(new PreparationStep(
                        "pat-dry",
                        "Pat it dry on every side.",
                        "A wet face feeds mould and keeps the crust from forming."));
        };
    }

    private static List<PreparationStep> membrane(boolean boneIn) {
        List<PreparationStep> steps = new ArrayList<>();
        steps.add(new PreparationStep(
                "keep-wet", "Leave the surface wet.", "The film bonds to wet meat; on a dry face it lifts."));
        if (boneIn) {
            steps.add(new PreparationStep(
                    "cover-bone",
                    "Cover sharp bone with a strip of cloth or film.",
                    "A bone end pierces the membrane."));
        }
        steps.add(new PreparationStep(
                "into-bag",
                "Slide the washed pack into the membrane, cut the pack open inside it and draw it off: no hand touches the meat.",
                "What no hand touched has nothing on it to grow."));
        steps.add(new PreparationStep(
                "draw-air",
                "Close three quarters of the mouth and draw the air out through the rest. Without a sealer: lower it into cold"
                        + " water up to the rim, so that the water pushes the air out, twist the mouth tight and tie it twice.",
                "At least three quarters of the film must touch meat."));
        steps.add(new PreparationStep(
                "seal",
                "Seal two or three times, a finger apart; trim the surplus film.",
                "One seam alone opens. A membrane is for one use."));
        return steps;
    }

    private static List<PreparationStep> hung(Method method) {
        return switch (method) {
            case OPEN_AIR ->
                List.of(new PreparationStep(
                        "tie",
                        "Hang it clear by a loop round one end under the cap; or tie it criss-cross to a rack, over every other hook.",
                        "Air must reach every face; nothing touches, nothing is stacked."));
            case MEMBRANE ->
                List.of(new PreparationStep(
                        "rack", "Lay it on a rack with a finger of air under it.", "The side it lies on dries too."));
            case SALT_TRAY ->
                List.of(new PreparationStep(
                        "salt",
                        "Spread the salt in the tray, the rack above it, the piece on the rack.",
                        "It keeps the air near 75 % humidity. The meat does not touch the salt."));
            case FAT_SEAL ->
                List.of(
                        new PreparationStep(
                                "seal-on",
                                "Brush the melted fat on in thin coats, let each set, and weigh what is on.",
                                "A closed pocket holds oxygen without moving air: it rots. Leave none."),
                        new PreparationStep("hang-seal", "Hang it clear or rack it.", "Rubbing breaks the seal."));
            case VACUUM -> List.of();
            case ON_ICE ->
                List.of(new PreparationStep(
                        "ice", "Ice under, between and over; the drain open.", "No meat lies in melt water."));
        };
    }
}
