package elvaro.core.tasting;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * What a panel can show, before anybody tastes.
 *
 * @param canShow whether any outcome would be more than chance
 * @param sentences plain words
 */
public record PanelPower(boolean canShow, List<String> sentences) {
    /** Worth knowing: three of four people like the one more, or two in five notice (EST). */
    private static final double SHARE = 0.75;

    private static final double NOTICING = 0.4;
    private static final double LEVEL = Preference.LEVEL;

    /** Pairs of samples share the level among them (Bonferroni, the first step of Holm). */
    public static PanelPower of(TastingKind kind, int samples, int tasters, int rounds) {
        return switch (kind) {
            case TRIANGLE -> triangle(tasters * rounds);
            case PAIRED -> preference(tasters, rounds);
            case RANKING, SCORES -> several(kind, samples, tasters);
        };
    }

    private static PanelPower triangle(int tries) {
        OptionalInt needed = Triangle.needed(tries, LEVEL);
        List<String> said = new ArrayList<>();
        said.add(
                needed.isEmpty()
                        ? "With %s even all of them right is no proof: guessing does it often enough. 3 of 3 is."
                                .formatted(counted(tries, "try", "tries"))
                        : "With %s, %d right are more than guessing (5 %%)."
                                .formatted(counted(tries, "try", "tries"), needed.getAsInt()));
        said.add("To find it four times in five if two people in five notice the difference takes %d tries."
                .formatted(TastersNeeded.forTriangle(NOTICING, LEVEL)));
        said.add("A repeat by the same taster counts as a try of its own here.");
        return new PanelPower(needed.isPresent(), List.copyOf(said));
    }

    private static PanelPower preference(int tasters, int rounds) {
        OptionalInt needed = Preference.needed(tasters, LEVEL);
        List<String> said = new ArrayList<>();
        said.add(
                needed.isEmpty()
                        ? "With %s even %d of %d is no proof; 6 of 6 is."
                                .formatted(counted(tasters, "taster", "tasters"), tasters, tasters)
                        : "With %s, %d must agree to be more than chance (5 %%)."
                                .formatted(counted(tasters, "taster", "tasters"), needed.getAsInt()));
        said.add("To show it four times in five if three people in four like the one more takes %d tasters."
                .formatted(TastersNeeded.forPreference(SHARE, LEVEL)));
        said.add(
                rounds > 1
                        ? "A taster's rounds count as one voice; they tell whether the taster says the same twice."
                        : "A second round adds no voice, but tells who says the same twice.");
        return new PanelPower(needed.isPresent(), List.copyOf(said));
    }

    private static PanelPower several(TastingKind kind, int samples, int tasters) {
        int pairs = samples * (samples - 1) / 2;
        boolean together = kind == TastingKind.RANKING || samples > 2;
        boolean canShow = together
                ? Friedman.leastP(samples, tasters) < LEVEL
                : Preference.needed(tasters, LEVEL).isPresent();
        List<String> said = new ArrayList<>();
        if (together) {
            said.add(
                    canShow
                            ? "If %s put all %d in the same order, that is more than chance (5 %%)."
                                    .formatted(allOf(tasters), samples)
                            : "Even if %s put all %d in the same order, that may be chance; %d are enough."
                                    .formatted(allOf(tasters), samples, fewestAlike(samples)));
            OptionalInt apart = Preference.needed(tasters, LEVEL / pairs);
            said.add(
                    apart.isPresent()
                            ? "To tell one pair of the %d apart, %d of %d must put them in the same order."
                                    .formatted(pairs, apart.getAsInt(), tasters)
                            : "%s cannot tell one pair of the %d apart."
                                    .formatted(capital(counted(tasters, "taster", "tasters")), pairs));
            said.add("To tell a pair apart four times in five if three people in four agree takes %d tasters."
                    .formatted(TastersNeeded.forPreference(SHARE, LEVEL / pairs)));
        } else {
            said.add(
                    canShow
                            ? "With %s a shift of the scores can be shown, if nearly all lean the same way."
                                    .formatted(counted(tasters, "taster", "tasters"))
                            : "With %s no shift of the scores can be shown; with 6 it can."
                                    .formatted(counted(tasters, "taster", "tasters")));
            said.add("To show a shift as large as tasters differ by themselves, four times in five, takes %d tasters."
                    .formatted(TastersNeeded.forShift(1, LEVEL)));
        }
        return new PanelPower(canShow, List.copyOf(said));
    }

    private static String allOf(int tasters) {
        return switch (tasters) {
            case 1 -> "the one taster";
            case 2 -> "both tasters";
            default -> "all %d tasters".formatted(tasters);
        };
    }

    /** How many tasters of one mind are more than chance. */
    private static int fewestAlike(int samples) {
        return IntStream.iterate(2, tasters -> tasters + 1)
                .filter(tasters -> Friedman.leastP(samples, tasters) < LEVEL)
                .findFirst()
                .orElseThrow();
    }

    private static String counted(int count, String one, String several) {
        return count + " " + (count == 1 ? one : several);
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1);
    }
}
