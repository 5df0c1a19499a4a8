package elvaro.core.treatment;

import static elvaro.core.working.Quantity.temperature;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.question.Question;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/**
 * What a treatment must not meet, with the reason. Common practice, no source, but for garlic in oil (FDA on reduced-oxygen
 * packaging, from memory). Local law and a licensed practitioner decide.
 */
public enum Clash {
    GARLIC_IN_OIL(
            ClashAnswer.STOP,
            "Raw garlic or herbs in oil, without air, can grow botulism, which nobody sees or smells. Leave the oil out, or"
                    + " the wrap.",
            at -> at.rawGarlicOrHerbs() && at.oil() && at.withoutAir()),
    WARM_MEAT_IN_SMOKE(
            ClashAnswer.STOP,
            "The meat is above %s. Cool it before the next burst of smoke, and make the bursts shorter."
                    .formatted(temperature(4)),
            at -> at.kind() == TreatmentKind.COLD_SMOKE && at.meatCelsius().orElse(0) > 4),
    SMOKE_UNMEASURED(
            ClashAnswer.ASK,
            "Feel or measure the meat before each burst: it stays cold, at %s or below.".formatted(temperature(4)),
            at -> at.kind() == TreatmentKind.COLD_SMOKE && at.meatCelsius().isEmpty()),
    CLOTH_IN_MEMBRANE(
            ClashAnswer.ASK,
            "A soaked cloth lifts the film off the meat: expect a poor seal. Hang it in open air, or use a rub.",
            at -> at.kind() == TreatmentKind.SOAKED_CLOTH && at.method() == Method.MEMBRANE),
    GARLIC_UNDER_WRAP(
            ClashAnswer.ASK,
            "Raw garlic and herbs under a wrap can rot. Use them dried, or hang it open.",
            at -> at.rawGarlicOrHerbs() && at.withoutAir() && !at.oil()),
    GARLIC_UNDER_COVER(
            ClashAnswer.ASK,
            "Raw garlic and herbs under a wet cloth or a paste can rot. Use them dried, or take them off after a few days and"
                    + " smell.",
            at -> at.rawGarlicOrHerbs() && at.covered() && !at.withoutAir() && !at.oil()),
    GARLIC_IN_OIL_UNDER_COVER(
            ClashAnswer.ASK,
            "Raw garlic and herbs in oil under a cloth or a paste get no air: they can rot, and botulism can grow, which nobody"
                    + " sees or smells. Leave the oil out, or use them dried.",
            at -> at.rawGarlicOrHerbs() && at.covered() && !at.withoutAir() && at.oil()),
    SPIRIT_IN_COMPANY(
            ClashAnswer.ASK,
            "A spirit scents everything else in the chamber for weeks. Give it a refrigerator of its own.",
            at -> at.spirit() && at.sharedChamber()),
    SMOKE_IN_COMPANY(
            ClashAnswer.ASK,
            "What hangs beside it takes up smoke. Smoke it elsewhere and let it air before it goes back, or give it a chamber of"
                    + " its own.",
            at -> at.sharedChamber()
                    && Scent.of(at.kind(), at.spirit())
                            .filter(Scent.SMOKE::equals)
                            .isPresent()),
    SUGAR_HIDES_MOULD(
            ClashAnswer.ASK,
            "A sticky face hides mould. Look and smell every three days, not every week.",
            at -> at.kind() == TreatmentKind.SUGAR_COAT || at.kind() == TreatmentKind.ACID_SUGAR_COAT),
    COAT_IN_VACUUM(
            ClashAnswer.ASK,
            "In vacuum nothing dries, and what is on it lies in its own juice. It says nothing about the coat in the air.",
            at -> at.method() == Method.VACUUM && at.kind().coating() != Coating.NONE);

    /** How hard it is meant. */
    public enum ClashAnswer {
        STOP,
        ASK
    }

    /**
     * What is to be done to which piece.
     *
     * @param rawGarlicOrHerbs whether fresh garlic or herbs are in it
     * @param spirit whether a strong spirit is in it
     * @param sharedChamber whether anything else is in the chamber
     * @param meatCelsius of the meat, where it was measured
     */
    public record TreatmentPlan(
            TreatmentKind kind,
            Method method,
            boolean rawGarlicOrHerbs,
            boolean oil,
            boolean spirit,
            boolean sharedChamber,
            OptionalDouble meatCelsius) {
        /** A spray is a spirit whether or not it is said. */
        public TreatmentPlan {
            spirit = spirit || kind == TreatmentKind.SPIRIT_SPRAY;
        }

        boolean covered() {
            return kind == TreatmentKind.SOAKED_CLOTH || kind == TreatmentKind.PASTE;
        }

        boolean withoutAir() {
            return method == Method.MEMBRANE
                    || method == Method.VACUUM
                    || kind == TreatmentKind.FAT_SEAL
                    || method == Method.FAT_SEAL;
        }
    }

    private final ClashAnswer answer;
    private final String reason;
    private final Predicate<TreatmentPlan> holds;

    Clash(ClashAnswer answer, String reason, Predicate<TreatmentPlan> holds) {
        this.answer = answer;
        this.reason = reason;
        this.holds = holds;
    }

    public ClashAnswer answer() {
        return answer;
    }

    public String reason() {
        return reason;
    }

    /** What a person is asked, where it asks. */
    public Question question() {
        return Question.confirm("clash-" + name().toLowerCase(Locale.ROOT).replace('_', '-'), "kind", reason);
    }

    /** All there are, those that stop it first. */
    public static List<Clash> find(TreatmentPlan plan) {
        return Arrays.stream(values()).filter(clash -> clash.holds.test(plan)).toList();
    }

    /** The same for a piece of which only its coat is known; none where it has none. */
    public static List<Clash> ofCoat(Coating coating, Method method) {
        return Arrays.stream(TreatmentKind.values())
                .filter(kind -> coating != Coating.NONE && kind.coating() == coating)
                .findFirst()
                .map(kind -> find(new TreatmentPlan(kind, method, false, false, false, false, OptionalDouble.empty())))
                .orElse(List.of());
    }
}
