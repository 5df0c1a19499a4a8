package elvaro.core.game;

import elvaro.core.caution.Caution;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Game as it comes in, by kind and size. Usual weights and days: common practice, no source; weights are wide and only
 * raise a question.
 */
public enum Animal {
    ROE_DEER("Small deer, as roe", Build.HOOFED, "deer", 8_000, 25_000, 4, 10, Set.of(Caution.WASTING, Caution.SHOT)),
    FALLOW_DEER(
            "Middling deer, as fallow",
            Build.HOOFED,
            "deer",
            20_000,
            80_000,
            8,
            14,
            Set.of(Caution.WASTING, Caution.SHOT)),
    RED_DEER(
            "Large deer, as red deer",
            Build.HOOFED,
            "deer",
            50_000,
            180_000,
            8,
            14,
            Set.of(Caution.WASTING, Caution.SHOT)),
    ELK("Elk or moose", Build.HOOFED, "deer", 120_000, 400_000, 8, 14, Set.of(Caution.WASTING, Caution.SHOT)),
    WILD_SHEEP("Wild sheep or goat", Build.HOOFED, "sheep", 12_000, 90_000, 7, 12, Set.of(Caution.SHOT)),
    BOAR("Wild boar", Build.HOOFED, "boar", 15_000, 150_000, 3, 7, Set.of(Caution.TRICHINELLA, Caution.SHOT)),
    GOOSE("Wild goose", Build.BIRD, "goose", 1_200, 7_500, 7, 10, Set.of(Caution.WILDFOWL, Caution.SHOT)),
    DUCK("Wild duck", Build.BIRD, "duck", 450, 2_000, 7, 10, Set.of(Caution.WILDFOWL, Caution.SHOT)),
    PHEASANT("Pheasant-sized bird", Build.BIRD, "duck", 400, 1_800, 3, 7, Set.of(Caution.WILDFOWL, Caution.SHOT)),
    SEA_FISH(
            "Large sea fish",
            Build.FISH,
            "whole-fish",
            1_500,
            80_000,
            7,
            15,
            Set.of(Caution.HISTAMINE, Caution.PARASITES));

    /** What an animal is built like, and so how it is broken down. */
    public enum Build {
        HOOFED,
        BIRD,
        FISH
    }

    /** How large one is among its kind, where there was no scale. */
    public enum Size {
        SMALL(0.25),
        MIDDLING(0.5),
        LARGE(0.75);

        private final double share;

        Size(double share) {
            this.share = share;
        }

        /** As it stands in a sentence. */
        public String label() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static final int TO_THE_GRAMS = 100;

    private final String label;
    private final Build build;
    private final String family;
    private final int least;
    private final int most;
    private final int fewestDays;
    private final int mostDays;
    private final Set<Caution> cautions;

    Animal(
            String label,
            Build build,
            String family,
            int least,
            int most,
            int fewestDays,
            int mostDays,
            Set<Caution> cautions) {
        this.label = label;
        this.build = build;
        this.family = family;
        this.least = least;
        this.most = most;
        this.fewestDays = fewestDays;
        this.mostDays = mostDays;
        this.cautions = cautions;
    }

    public String label() {
        return label;
    }

    public Build build() {
        return build;
    }

    /** Code of the whole animal among the cuts. */
    public String cut() {
        return build == Build.HOOFED ? family + "-carcass" : family;
    }

    /** What a whole animal of this cut is built like; empty where the cut is a part. */
    public static Optional<Build> buildOf(String cut) {
        return Arrays.stream(values())
                .filter(animal -> animal.cut().equals(cut))
                .map(Animal::build)
                .findFirst();
    }

    /** Whether a cut is a whole animal that hangs by hocks or tail, with air on every side; a bird lies on a rack. */
    public static boolean isHungWhole(String cut) {
        return buildOf(cut).filter(build -> build != Build.BIRD).isPresent();
    }

    /** With what the cuts of such animals are named. */
    String family() {
        return family;
    }

    /** Whether a weight is one such animals have, g. */
    public boolean isUsual(int grams) {
        return grams >= least && grams <= most;
    }

    /**
     * What one of a size weighs, where there was no scale: a quarter, half or three quarters of the way from the lightest to the
     * heaviest by ratio (EST), to 100 g.
     */
    public int estimatedGrams(Size size, CarcassYield.Weighed weighed) {
        double asItCame = least * Math.pow((double) most / least, size.share);
        double grams = CarcassYield.of(this, (int) Math.round(asItCame), CarcassYield.Weighed.FIELD_DRESSED)
                .carcassGrams();
        double wanted = weighed == CarcassYield.Weighed.HANGING ? grams : asItCame;
        return (int) Math.round(wanted / TO_THE_GRAMS) * TO_THE_GRAMS;
    }

    public int leastGrams() {
        return least;
    }

    public int mostGrams() {
        return most;
    }

    /** Fewest days it is usually hung or iced. */
    public int fewestDays() {
        return fewestDays;
    }

    public int mostDays() {
        return mostDays;
    }

    /** Why these days. */
    public String daysBecause() {
        return switch (build) {
            case HOOFED ->
                this == BOAR
                        ? "Its fat turns rancid sooner than it grows tender."
                        : "Tender in a week to a fortnight in the cold; a small one dries out sooner, so it hangs shorter.";
            case BIRD ->
                "Drawn and racked, a week or so: skin dries, flavour deepens. Birds gain no tenderness to speak of.";
            case FISH -> "Whole, head off, drained: one to two weeks. It firms and deepens; fish gains no tenderness.";
        };
    }

    /** In the order of the list above, the gravest first. */
    public List<Caution> cautions() {
        return cautions.stream().sorted().toList();
    }

    /**
     * At which its core counts as cold, °C: 7 for large game, 4 for small (Regulation (EC) 853/2004, annex III, section IV,
     * from memory); 4 for fish, as the cautions of the trade have it.
     */
    public double coldCelsius() {
        return build == Build.HOOFED ? 7 : 4;
    }

    /** Whether it is held back from sharing until a test is known, where somebody says one is awaited. */
    public boolean mayBeTested() {
        return cautions.contains(Caution.WASTING) || cautions.contains(Caution.TRICHINELLA);
    }
}
