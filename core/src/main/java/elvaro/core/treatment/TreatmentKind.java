package elvaro.core.treatment;

import static elvaro.core.treatment.Dose.Basis.FIVE_POUNDS;
import static elvaro.core.treatment.Dose.Basis.KILOGRAM;
import static elvaro.core.treatment.Dose.Basis.PERCENT;
import static elvaro.core.treatment.Dose.Basis.SQUARE_METRE;
import static elvaro.core.treatment.DoseUnit.GRAM;
import static elvaro.core.treatment.DoseUnit.MILLILITRE;
import static elvaro.core.treatment.DoseUnit.TEASPOON;
import static elvaro.core.treatment.TreatmentStep.after;
import static elvaro.core.treatment.TreatmentStep.before;
import static elvaro.core.treatment.TreatmentStep.hanging;
import static elvaro.core.treatment.TreatmentStep.table;

import elvaro.core.drying.Coating;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Every kind of treatment there is. Steps, days and what to look for: common practice, no source. First doses are estimates
 * to start from, but for liquid smoke, which has a label.
 */
public enum TreatmentKind {
    LIQUID_SOAK(
            "Liquid soak",
            "An acid or pepper sauce, wine or stout; then drained.",
            Coating.NONE,
            new Dose(250, MILLILITRE, KILOGRAM),
            null,
            Course.of(
                    new Course.Count("days in the liquid", 7, 1, 30),
                    days -> List.of(
                            before(0, "Lay it in the liquid, covered and cold."),
                            before(days / 2, "Turn it in the liquid."),
                            before(days, "Drain it; nobody tastes or reuses the liquid."),
                            before(days, "Rack it, dry its faces and weigh it: its green weight is what is hung."))),
            "A grey, soft rim where the acid went in: it may want a deeper trim.",
            "Half as many days, or thin the liquid."),
    SOAKED_CLOTH(
            "Soaked cloth",
            "A cloth with wine, herbs and garlic, or with a spirit, wrapped round it.",
            Coating.CLOTH,
            new Dose(900, MILLILITRE, SQUARE_METRE),
            null,
            Course.of(
                    new Course.Count("days under the cloth", 14, 2, 60),
                    days -> List.of(
                            before(
                                    0,
                                    "Wring the cloth till it no longer drips; weigh the piece before it is on and after."),
                            hanging(
                                    Math.min(3, days - 1),
                                    "Feel the cloth: one that stays wet keeps air away. Wet it again only if that is the trial."),
                            hanging(days, "Take the cloth off, weigh it and the piece."))),
            "Weave marks, damp folds and mould under the cloth.",
            "A thinner cloth, or shorter."),
    PASTE(
            "Paste or rub",
            "Porcini, coffee or herbs, dry or bound.",
            Coating.PASTE,
            new Dose(300, GRAM, SQUARE_METRE),
            null,
            Course.fixed(
                    before(0, "Weigh the piece, rub all faces evenly, weigh it again: the difference is the coat."),
                    hanging(7, "Look where it cracked or fell; note it, put nothing on again.")),
            "Bitter or burnt-smelling crust; grit that stays after trimming.",
            "Half the dose, or leave it out of the trim that is ground."),
    SUGAR_COAT(
            "Sugar or syrup coat",
            "Honey, syrup or sugar on every face.",
            Coating.SYRUP,
            new Dose(250, GRAM, SQUARE_METRE),
            null,
            Course.fixed(
                    before(
                            0,
                            "Weigh the piece, brush it on warm and thin, weigh it again: the difference is the coat."),
                    hanging(1, "Set a tray under it: it drips."),
                    hanging(7, "Look closely: a sticky face hides mould.")),
            "A wet, sticky face and a pink inside: it dried slower than its control.",
            "Half the dose, or drier air."),
    ACID_SUGAR_COAT(
            "Acid and sugar coat",
            "Fruit or citric acid and sugar, dry or wetted with cider or vinegar.",
            Coating.SYRUP,
            new Dose(120, GRAM, SQUARE_METRE),
            null,
            Course.fixed(
                    before(0, "Weigh the piece, coat it thin and even, weigh it again: the difference is the coat."),
                    hanging(2, "Wipe off what ran; set a tray under it.")),
            "A wet, sticky face and a sour crust: it dried slower than its control.",
            "Half the dose, or drier air."),
    POWDERED_SMOKE(
            "Powdered smoke",
            "Smoke on a carrier as maltodextrin, which draws water; dusted on.",
            Coating.POWDER,
            new Dose(2, GRAM, KILOGRAM),
            null,
            Course.fixed(
                    before(0, "Weigh the powder out, mix it into a little salt, dust all faces."),
                    hanging(2, "Wipe off what it drew.")),
            "Strong shrink, a very strong taste, a bitter, ashy crust.",
            "Half the dose."),
    LIQUID_SMOKE(
            "Liquid smoke",
            "Brushed on; the label says how much.",
            Coating.NONE,
            new Dose(1, TEASPOON, FIVE_POUNDS),
            new Dose(1, TEASPOON, FIVE_POUNDS),
            Course.fixed(
                    before(0, "Measure it out and brush it on evenly."),
                    before(0, "Let it dry for an hour in the cold.")),
            "A smoke that covers the meat.",
            "Half the dose; faint after long ageing, the label dose again."),
    COLD_SMOKE(
            "Cold smoke",
            "Bursts of ten minutes, back to the cold between.",
            Coating.NONE,
            null,
            null,
            Course.weekly(
                    new Course.Count("sessions", 1, 1, 30),
                    "Bursts of 10 minutes, back to the cold between. Before each, feel or measure that the meat is cold."),
            "One hour in all is faint after 70 days.",
            "Two to four hours in all."),
    FAT_SEAL(
            "Fat seal",
            "Rendered fat over all of it.",
            Coating.FAT_SEAL,
            new Dose(4_000, GRAM, SQUARE_METRE),
            null,
            Course.fixed(
                    before(0, "Weigh the piece bare: its green weight."),
                    before(0, "Seal it without a pocket of air, weigh it again: the difference is the seal."),
                    after(0, "Take the seal off and weigh both before anything is trimmed.")),
            "Rot in any closed pocket: it holds oxygen and no air moves there.",
            "Fill every fold, or leave it open."),
    SPIRIT_SPRAY(
            "Spirit spray",
            "A strong spirit misted on.",
            Coating.NONE,
            new Dose(40, MILLILITRE, SQUARE_METRE),
            null,
            Course.weekly(new Course.Count("sprays", 3, 1, 30), "Mist all faces; away from any flame."),
            "Scent in its neighbours.",
            "Once only, or a refrigerator of its own."),
    MARINADE(
            "Marinade after ageing",
            "Fruit juice for a day; for waterfowl.",
            Coating.NONE,
            new Dose(300, MILLILITRE, KILOGRAM),
            null,
            Course.of(
                    new Course.Count("days in the juice", 1, 1, 5),
                    days -> List.of(
                            after(0, "Trim it, lay it in the juice, covered and cold."),
                            after(days, "Take it out, dry it, and throw the juice away."))),
            "A mealy face where it lay too long.",
            "Half as long."),
    TABLE_BUTTER(
            "Flavour butter at the table",
            "Nothing is done to the ageing: the arm to beat.",
            Coating.NONE,
            new Dose(8, GRAM, PERCENT),
            null,
            Course.fixed(table("Weigh it out for each steak; plain steaks get plain butter, as much.")),
            "Whether a month of coating gave more than a spoon of butter.",
            "The winner with the loser's dose.");

    private final String label;
    private final String what;
    private final Coating coating;
    private final @Nullable Dose first;
    private final @Nullable Dose onLabel;
    private final Course course;
    private final String lookFor;
    private final String nextTime;

    TreatmentKind(
            String label,
            String what,
            Coating coating,
            @Nullable Dose first,
            @Nullable Dose onLabel,
            Course course,
            String lookFor,
            String nextTime) {
        this.label = label;
        this.what = what;
        this.coating = coating;
        this.first = first;
        this.onLabel = onLabel;
        this.course = course;
        this.lookFor = lookFor;
        this.nextTime = nextTime;
    }

    public String label() {
        return label;
    }

    /** What it is, in a sentence. */
    public String what() {
        return what;
    }

    /** What it does to the drying. */
    public Coating coating() {
        return coating;
    }

    /** A dose to start from; none for what is dosed by time. */
    public Optional<Dose> first() {
        return Optional.ofNullable(first);
    }

    /** What the label says, where things of this kind have one. */
    public Optional<Dose> onLabel() {
        return Optional.ofNullable(onLabel);
    }

    /** Whether what counts of it is minutes, given in bursts, and the meat must be cold before each. */
    public boolean isSmokedInBursts() {
        return this == COLD_SMOKE;
    }

    /** Its steps, and what of them may be more or less. */
    public Course course() {
        return course;
    }

    /** What to look for when it is pulled. */
    public String lookFor() {
        return lookFor;
    }

    /** What to change next time. */
    public String nextTime() {
        return nextTime;
    }
}
