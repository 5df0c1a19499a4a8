package elvaro.core.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.inspection.Circumstances;
import elvaro.core.inspection.LookVerdict;
import elvaro.core.inspection.Observation;
import elvaro.core.inspection.Rule;
import elvaro.core.inspection.Rule.Answer;
import elvaro.core.keeping.Excursions;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * What a careful person would have noticed, by the thermometer or by looking, and what ends it. Days: common practice, no
 * source.
 */
public enum Sign {
    WARM("the room was warm", 1, Deed.Kind.SAW_TO_THE_ROOM),
    TOO_DRY("the air was too dry", 4, Deed.Kind.SAW_TO_THE_ROOM),
    STILL("the air stood still", 4, Deed.Kind.SAW_TO_THE_ROOM),
    SCENT("it smelled of a neighbour", 7, Deed.Kind.SAW_TO_THE_ROOM),
    LOOSE("the membrane had lifted or was open", 5, Deed.Kind.RESEALED),
    WET("it stayed wet", 5, Deed.Kind.TURNED),
    OPEN_CUT("a cut on it lay open", 5, Deed.Kind.TRIMMED),
    /** It must be cut out, or all of it thrown away. */
    TURNED_BAD("something on it had turned", 3, Deed.Kind.TRIMMED);

    private static final double DRY_BELOW = 0.62;
    private static final double STILL_BELOW = 0.15;

    private final String told;
    private final int graceDays;
    private final Deed.Kind remedy;

    Sign(String told, int graceDays, Deed.Kind remedy) {
        this.told = told;
        this.graceDays = graceDays;
        this.remedy = remedy;
    }

    /** As it stands in a sentence that looks back. */
    public String told() {
        return told;
    }

    /** How long a careful person may take to come by and notice. */
    public int graceDays() {
        return graceDays;
    }

    /** What ends it. */
    public Deed.Kind remedy() {
        return remedy;
    }

    /** Whether nothing but taking the piece down helps: nobody mends the weather. */
    boolean isForTakingDown(RehearsalPlan plan) {
        return this == WARM && plan.place() == ChamberKind.SHED;
    }

    /** Whether it can be read off the room, without a look at the piece. */
    public boolean isOfTheRoom() {
        return remedy == Deed.Kind.SAW_TO_THE_ROOM;
    }

    /** All that could be noticed of a piece as it truly is. */
    public static Set<Sign> of(RehearsalPlan plan, PieceTruth truth) {
        Set<Sign> signs = EnumSet.noneOf(Sign.class);
        ofTheAir(plan, truth.air()).ifPresent(signs::add);
        if (truth.scent() > 0.5) {
            signs.add(SCENT);
        }
        Observation seen = new Sight(plan, truth).observation();
        Circumstances at = new Circumstances(plan.method(), truth.day());
        LookVerdict verdict = LookVerdict.of(seen, at);
        if (verdict.answer() == Answer.STOP) {
            signs.add(TURNED_BAD);
        }
        // A graver sign does not hide these.
        if (Rule.LEAK.isMet(seen, at)) {
            signs.add(LOOSE);
        }
        if (Rule.FOLDS.isMet(seen, at)) {
            signs.add(OPEN_CUT);
        }
        // Syrup never dries: turning it makes nothing better.
        if (verdict.because().contains(Rule.WET) && plan.coating() != Coating.SYRUP) {
            signs.add(WET);
        }
        return signs;
    }

    private static Optional<Sign> ofTheAir(RehearsalPlan plan, TrueAir air) {
        if (air.celsius() > Excursions.LIMIT_CELSIUS + (plan.place() == ChamberKind.REFRIGERATOR ? 2 : 0)) {
            return Optional.of(WARM);
        }
        boolean machine = plan.place() == ChamberKind.CABINET || plan.place() == ChamberKind.WALK_IN;
        if (machine && air.speed() < STILL_BELOW) {
            return Optional.of(STILL);
        }
        return machine && air.humidity() < DRY_BELOW ? Optional.of(TOO_DRY) : Optional.empty();
    }
}
