package elvaro.core.weighing;

import java.util.Arrays;
import java.util.Locale;

/** What scales weigh in. International avoirdupois pound of 1959. */
public enum MassUnit {
    KG(1000),
    G(1),
    LB(453.59237),
    OZ(453.59237 / 16);

    private final double grams;

    MassUnit(double grams) {
        this.grams = grams;
    }

    public double grams(double value) {
        return value * grams;
    }

    /** @throws IllegalArgumentException with a sentence */
    public static MassUnit of(String word) {
        String known = word.strip().toUpperCase(Locale.ROOT).replaceAll("S$", "");
        return Arrays.stream(values())
                .filter(unit -> unit.name().equals(known))
                .findFirst()
                .orElseThrow(() ->
                        new IllegalArgumentException("A weight is in kg, g, lb or oz, not “%s”.".formatted(word)));
    }
}
