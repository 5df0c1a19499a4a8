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

    /**
     * One choice.
     *
     * @param choice what is chosen
     * @param told how it looks, feels or smells
     * @param appearance how it is drawn; absent for what cannot be seen
     */
    public record Entry(
            Enum<?> choice, String told, @Nullable Appearance appearance) {}

    /** Every choice of a look, in the order they are asked. */
    public static List<Entry> entries() {
        return Stream.of(
                        Arrays.stream(Colour.values()).map(LookKey::of),
                        Arrays.stream(SurfaceFeel.values()).map(LookKey::of),
                        Arrays.stream(Mould.values()).map(LookKey::of),
                        Arrays.stream(Extent.values()).map(LookKey::of),
                        Arrays.stream(Spot.values()).map(LookKey::of),
                        Arrays.stream(Smell.values()).map(smell -> new Entry(smell, smelled(smell), null)))
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

    /** How a membrane looks that has lifted over so much of the meat, or is open. */
    public static Appearance lifted(double share, boolean sealOpen) {
        return Appearance.FRESH.coloured(0.6, 0.1, 0, 0).wrapped(share, sealOpen, false);
    }

    private static Entry of(Colour colour) {
        return switch (colour) {
            case BRIGHT_RED -> new Entry(colour, "As it was cut, in its first days.", Appearance.FRESH);
            case DARK_RED ->
                new Entry(
                        colour,
                        "Like wine: the outside is drying.",
                        Appearance.FRESH.coloured(0.75, 0.1, 0, 0).feeling(0.2, 0.2, 0));
            case BROWN ->
                new Entry(
                        colour,
                        "Like bark, and the fat like old ivory. A crust looks so.",
                        Appearance.FRESH.coloured(0.9, 0.9, 0, 0).feeling(0.05, 0.6, 0));
            case GREY ->
                new Entry(
                        colour,
                        "Pale and without life, as if boiled.",
                        Appearance.FRESH.coloured(0.3, 0.2, 0.85, 0).feeling(0.3, 0, 0));
            case GREEN ->
                new Entry(
                        colour,
                        "A sheen that changes as you tilt it, most of all on the damp side.",
                        Appearance.FRESH.coloured(0.4, 0.2, 0.3, 0.8).feeling(0.6, 0, 0));
        };
    }

    private static Entry of(SurfaceFeel feel) {
        return switch (feel) {
            case LEATHERY -> new Entry(feel, "Hard, like a belt; the finger leaves no mark.", CRUSTED);
            case DRY ->
                new Entry(
                        feel,
                        "Dry as paper; the finger comes away clean.",
                        Appearance.FRESH.coloured(0.7, 0.25, 0, 0).feeling(0.05, 0.3, 0));
            case TACKY ->
                new Entry(
                        feel,
                        "Pulls at the glove, and draws no thread.",
                        Appearance.FRESH.coloured(0.4, 0.05, 0, 0).feeling(0.6, 0, 0));
            case WET -> new Entry(feel, "Wets the glove; no thread.", Appearance.FRESH.feeling(0.95, 0, 0));
            case SLIMY ->
                new Entry(
                        feel,
                        "Slides, and draws threads between the fingers.",
                        Appearance.FRESH.coloured(0.3, 0.1, 0.4, 0.25).feeling(1, 0, 0.9));
        };
    }

    private static Entry of(Mould mould) {
        String told = switch (mould) {
            case WHITE_POWDER -> "Fine and dry, like flour; lies flat, in patches, and wipes off.";
            case GREEN -> "Rings with a powdery middle and a pale rim.";
            case BLUE -> "Rings as on a cheese, darker in the middle.";
            case BLACK -> "Small specks like pepper, that do not wipe off.";
            case PINK -> "A smooth film with soft edges, often damp.";
            case HAIRY -> "Stands up from the meat like fur.";
        };
        return new Entry(mould, told, CRUSTED.under(mould, mould == Mould.WHITE_POWDER ? 0.35 : 0.22));
    }

    private static Entry of(Extent extent) {
        return switch (extent) {
            case NONE -> new Entry(extent, "Nothing grows on it.", CRUSTED);
            case SPOTS ->
                new Entry(extent, "A few, each smaller than a thumbnail.", CRUSTED.under(Mould.WHITE_POWDER, 0.05));
            case PATCHES -> new Entry(extent, "Together up to half of it.", CRUSTED.under(Mould.WHITE_POWDER, 0.35));
            case MOST -> new Entry(extent, "More of it than not.", CRUSTED.under(Mould.WHITE_POWDER, 0.75));
        };
    }

    private static Entry of(Spot spot) {
        return switch (spot) {
            case FOLD ->
                new Entry(
                        spot,
                        "A flap or knife cut that air does not reach; damp inside.",
                        CRUSTED.with(0, true, false));
            case SOFT_ROT ->
                new Entry(
                        spot,
                        "A dark place that gives under the finger, and stinks.",
                        CRUSTED.with(0.25, false, false));
            case GAS ->
                new Entry(
                        spot,
                        "The bag stands off the meat like a cushion.",
                        Appearance.FRESH.coloured(0.4, 0, 0.2, 0).wrapped(0.7, false, true));
            case GLAND_OR_BLOODSHOT ->
                new Entry(
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
