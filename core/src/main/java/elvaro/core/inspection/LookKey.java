package elvaro.core.inspection;

import elvaro.core.inspection.Observation.Colour;
import elvaro.core.inspection.Observation.Extent;
import elvaro.core.inspection.Observation.Mould;
import elvaro.core.inspection.Observation.Smell;
import elvaro.core.inspection.Observation.Spot;
import elvaro.core.inspection.Observation.SurfaceFeel;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What each choice of a look is like, drawn and in words, for whoever asks "which of these is it?". The words do without
 * colours where they can. Common practice, no source.
 */
public final class LookKey {
    private static final Appearance CRUSTED =
            Appearance.FRESH.coloured(0.9, 0.55, 0, 0).feeling(0.05, 0.8, 0);

    private LookKey() {}

    /** What is asked of a piece. */
    public enum Asked {
        COLOUR,
        SURFACE,
        MOULD,
        EXTENT,
        SMELL,
        LIFTED,
        SEAL,
        SPOT
    }

    /**
     * One choice.
     *
     * @param asked which question it answers
     * @param choice what is chosen, as it is written down; of what lifted, %
     * @param told how it looks, feels or smells
     * @param appearance how it is drawn; absent for what cannot be seen
     */
    public record KeyEntry(
            Asked asked,
            String choice,
            String told,
            @Nullable Appearance appearance) {
        private KeyEntry(Asked asked, Enum<?> choice, String told, @Nullable Appearance appearance) {
            this(asked, choice.name(), told, appearance);
        }
    }

    /** Every choice of a look, in the order they are asked. */
    public static List<KeyEntry> entries() {
        return Stream.of(
                        Arrays.stream(Colour.values()).map(LookKey::of),
                        Arrays.stream(SurfaceFeel.values()).map(LookKey::of),
                        Arrays.stream(Mould.values()).map(LookKey::of),
                        Arrays.stream(Extent.values()).map(LookKey::of),
                        Arrays.stream(Spot.values()).map(LookKey::of),
                        Arrays.stream(Smell.values())
                                .map(smell -> new KeyEntry(Asked.SMELL, smell, smelled(smell), null)),
                        membrane())
                .flatMap(entries -> entries)
                .toList();
    }

    /** How a surface feels, in words. */
    public static String told(SurfaceFeel feel) {
        return of(feel).told();
    }

    /** How it smells, in words. */
    public static String told(Smell smell) {
        return smelled(smell);
    }

    /** In the steps a person tells apart. */
    private static Stream<KeyEntry> membrane() {
        return Stream.of(
                lifted(0, "The film clings like a second skin."),
                lifted(15, "Small bubbles; most of it clings."),
                lifted(35, "Broad pale patches where light gets under the film."),
                lifted(70, "It stands off like a loose shirt."),
                new KeyEntry(Asked.SEAL, "CLOSED", "Two or three welds, and no bubble behind them.", wrapped(0, false)),
                new KeyEntry(
                        Asked.SEAL,
                        "OPEN",
                        "A weld that gapes, or film that can be pulled apart.",
                        wrapped(0.4, true)));
    }

    private static KeyEntry lifted(int percent, String told) {
        return new KeyEntry(Asked.LIFTED, String.valueOf(percent), told, wrapped(percent / 100.0, false));
    }

    private static Appearance wrapped(double share, boolean sealOpen) {
        return Appearance.FRESH.coloured(0.6, 0.1, 0, 0).wrapped(share, sealOpen, false);
    }

    private static KeyEntry of(Colour colour) {
        return switch (colour) {
            case BRIGHT_RED ->
                new KeyEntry(Asked.COLOUR, colour, "As it was cut, in its first days.", Appearance.FRESH);
            case DARK_RED ->
                new KeyEntry(
                        Asked.COLOUR,
                        colour,
                        "Like wine: the outside is drying.",
                        Appearance.FRESH.coloured(0.75, 0.1, 0, 0).feeling(0.2, 0.2, 0));
            case BROWN ->
                new KeyEntry(
                        Asked.COLOUR,
                        colour,
                        "Like bark, and the fat like old ivory. A crust looks so.",
                        Appearance.FRESH.coloured(0.9, 0.9, 0, 0).feeling(0.05, 0.6, 0));
            case GREY ->
                new KeyEntry(
                        Asked.COLOUR,
                        colour,
                        "Pale and without life, as if boiled.",
                        Appearance.FRESH.coloured(0.3, 0.2, 0.85, 0).feeling(0.3, 0, 0));
            case GREEN ->
                new KeyEntry(
                        Asked.COLOUR,
                        colour,
                        "A sheen that changes as you tilt it, most of all on the damp side.",
                        Appearance.FRESH.coloured(0.4, 0.2, 0.3, 0.8).feeling(0.6, 0, 0));
        };
    }

    private static KeyEntry of(SurfaceFeel feel) {
        return switch (feel) {
            case LEATHERY ->
                new KeyEntry(Asked.SURFACE, feel, "Hard, like a belt; the finger leaves no mark.", CRUSTED);
            case DRY ->
                new KeyEntry(
                        Asked.SURFACE,
                        feel,
                        "Dry as paper; the finger comes away clean.",
                        Appearance.FRESH.coloured(0.7, 0.25, 0, 0).feeling(0.05, 0.3, 0));
            case TACKY ->
                new KeyEntry(
                        Asked.SURFACE,
                        feel,
                        "Pulls at the glove, and draws no thread.",
                        Appearance.FRESH.coloured(0.4, 0.05, 0, 0).feeling(0.6, 0, 0));
            case WET ->
                new KeyEntry(Asked.SURFACE, feel, "Wets the glove; no thread.", Appearance.FRESH.feeling(0.95, 0, 0));
            case SLIMY ->
                new KeyEntry(
                        Asked.SURFACE,
                        feel,
                        "Slides, and draws threads between the fingers.",
                        Appearance.FRESH.coloured(0.3, 0.1, 0.4, 0.25).feeling(1, 0, 0.9));
        };
    }

    private static KeyEntry of(Mould mould) {
        String told = switch (mould) {
            case WHITE_POWDER -> "Fine and dry, like flour; lies flat, in patches, and wipes off.";
            case GREEN -> "Rings with a powdery middle and a pale rim.";
            case BLUE -> "Rings as on a cheese, darker in the middle.";
            case BLACK -> "Small specks like pepper, that do not wipe off.";
            case PINK -> "A smooth film with soft edges, often damp.";
            case HAIRY -> "Stands up from the meat like fur.";
        };
        return new KeyEntry(Asked.MOULD, mould, told, CRUSTED.under(mould, mould == Mould.WHITE_POWDER ? 0.35 : 0.22));
    }

    private static KeyEntry of(Extent extent) {
        return switch (extent) {
            case NONE -> new KeyEntry(Asked.EXTENT, extent, "Nothing grows on it.", CRUSTED);
            case SPOTS ->
                new KeyEntry(
                        Asked.EXTENT,
                        extent,
                        "A few, each smaller than a thumbnail.",
                        CRUSTED.under(Mould.WHITE_POWDER, 0.05));
            case PATCHES ->
                new KeyEntry(
                        Asked.EXTENT, extent, "Together up to half of it.", CRUSTED.under(Mould.WHITE_POWDER, 0.35));
            case MOST ->
                new KeyEntry(Asked.EXTENT, extent, "More of it than not.", CRUSTED.under(Mould.WHITE_POWDER, 0.75));
        };
    }

    private static KeyEntry of(Spot spot) {
        return switch (spot) {
            case FOLD ->
                new KeyEntry(
                        Asked.SPOT,
                        spot,
                        "A flap or knife cut that air does not reach; damp inside.",
                        CRUSTED.with(0, true, false));
            case SOFT_ROT ->
                new KeyEntry(
                        Asked.SPOT,
                        spot,
                        "A dark place that gives under the finger, and stinks.",
                        CRUSTED.with(0.25, false, false));
            case GAS ->
                new KeyEntry(
                        Asked.SPOT,
                        spot,
                        "The bag stands off the meat like a cushion.",
                        Appearance.FRESH.coloured(0.4, 0, 0.2, 0).wrapped(0.7, false, true));
            case GLAND_OR_BLOODSHOT ->
                new KeyEntry(
                        Asked.SPOT,
                        spot,
                        "A grey lump in the fat, or meat like clotted blood about a wound.",
                        Appearance.FRESH.coloured(0.3, 0, 0, 0).with(0, false, true));
        };
    }

    private static String smelled(Smell smell) {
        return switch (smell) {
            case NOTHING -> "Of nothing at all, close to the surface.";
            case CLEAN -> "As fresh meat in the cold.";
            case NUTTY -> "Of hazelnut or toast.";
            case BREAD -> "Of dough that rises.";
            case PASTRY -> "Sweet, as from an oven.";
            case BUTTER -> "Of butter or popcorn.";
            case BLUE_CHEESE -> "As a ripe cheese does.";
            case CURED_SAUSAGE -> "As a hanging sausage does.";
            case ALCOHOL -> "Of spirit or ripe fruit.";
            case SMOKE -> "Of smoke.";
            case FAINTLY_ACID ->
                "A little of sour milk, most of all as a bag is opened; gone after a day in the cold, or not.";
            case SOUR -> "Of sour milk or vinegar, and it stays.";
            case AMMONIA -> "Stings in the nose, as cleaning spirit does.";
            case PUTRID -> "You pull your head back.";
        };
    }
}
