package elvaro.server.demo;

import static elvaro.core.treatment.TreatmentKind.COLD_SMOKE;
import static elvaro.core.treatment.TreatmentKind.FAT_SEAL;
import static elvaro.core.treatment.TreatmentKind.PASTE;
import static elvaro.core.treatment.TreatmentKind.SOAKED_CLOTH;
import static elvaro.core.treatment.TreatmentKind.SUGAR_COAT;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceHistory;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Ids;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentHistory;
import elvaro.server.trial.TrialHistory;
import elvaro.server.trial.TrialHistory.PastArm;
import elvaro.server.trial.TrialHistory.PastTrial;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The questions the invented workshop asked of the pieces of {@link Scenario}, and what it put on them. */
@Component
class DemoTrials {
    private static final UUID SPACE = new UUID(0x7472_6961_6c73L, 1);

    /** Pieces by their tags; what was put on them, if anything. */
    private record DemoArm(
            String name,
            boolean control,
            List<String> tags,
            @Nullable Given given) {}

    private record Asked(
            String question,
            Factor factor,
            TrialMeasure measure,
            @Nullable String after,
            String learnt,
            List<DemoArm> arms) {}

    private static final String HONEY = "Does a buckwheat-honey coat change shrink or taste over 38 days?";

    private static final List<Asked> ASKED = List.of(
            new Asked(
                    HONEY,
                    Factor.TREATMENT,
                    TrialMeasure.SHRINK,
                    null,
                    "It keeps the water in, and the outside is too sweet. Half of it next time.",
                    List.of(
                            new DemoArm("Plain", true, List.of("2A", "2D", "2E"), null),
                            new DemoArm(
                                    "Honey",
                                    false,
                                    List.of("2B", "2C", "2F"),
                                    perKilogram(SUGAR_COAT, "buckwheat honey", 45)))),
            new Asked(
                    "Porcini rub against plain, 26 days",
                    Factor.TREATMENT,
                    TrialMeasure.LIKING,
                    null,
                    "",
                    List.of(
                            new DemoArm("Plain", true, List.of("3B", "3C"), null),
                            new DemoArm(
                                    "Porcini",
                                    false,
                                    List.of("3A", "3D"),
                                    perKilogram(PASTE, "porcini powder and salt", 20)))),
            new Asked(
                    "Stout-soaked cloth, open air, 33 days",
                    Factor.TREATMENT,
                    TrialMeasure.USABLE_YIELD,
                    null,
                    "The weave printed itself into the crust. Thinner cloth.",
                    List.of(
                            new DemoArm("Plain", true, List.of("5A"), null),
                            new DemoArm(
                                    "Stout cloth",
                                    false,
                                    List.of("5B"),
                                    counted(SOAKED_CLOTH, "stout, wrung out", 33)))),
            new Asked(
                    "Beech smoke on a mutton saddle: two sessions against five",
                    Factor.TREATMENT,
                    TrialMeasure.SHRINK,
                    null,
                    "",
                    List.of(
                            new DemoArm("Two sessions", true, List.of("6A", "6D"), counted(COLD_SMOKE, "beech", 2)),
                            new DemoArm("Five sessions", false, List.of("6B", "6C"), counted(COLD_SMOKE, "beech", 5)))),
            new Asked(
                    "Goose-fat seal on a mutton saddle, 24 days",
                    Factor.TREATMENT,
                    TrialMeasure.USABLE_YIELD,
                    null,
                    "Water saved, meat lost: rot in the closed pocket by the bone.",
                    List.of(
                            new DemoArm("Bare", true, List.of("7A"), null),
                            new DemoArm(
                                    "Sealed",
                                    false,
                                    List.of("7B"),
                                    perKilogram(FAT_SEAL, "goose fat, three coats", 180)))),
            new Asked(
                    "North Room against Stone Locker, same cut, 40 days",
                    Factor.CHAMBER,
                    TrialMeasure.STEAK_YIELD,
                    null,
                    "",
                    List.of(
                            new DemoArm("North Room", true, List.of("8A"), null),
                            new DemoArm("Stone Locker", false, List.of("8B"), null))),
            new Asked(
                    "Old cow against young steer, 40 days",
                    Factor.GRADE,
                    TrialMeasure.LIKING,
                    null,
                    "",
                    List.of(
                            new DemoArm("Young steer", true, List.of("10A"), null),
                            new DemoArm("Old cow", false, List.of("9A"), null))),
            new Asked(
                    "Kelp-salt rub on a wild goose, 8 days",
                    Factor.TREATMENT,
                    TrialMeasure.LIKING,
                    null,
                    "",
                    List.of(
                            new DemoArm("Plain", true, List.of("11A"), null),
                            new DemoArm("Kelp salt", false, List.of("12A"), perKilogram(PASTE, "kelp salt", 15)))),
            new Asked(
                    "Half the honey: does the water still stay in?",
                    Factor.TREATMENT,
                    TrialMeasure.SHRINK,
                    HONEY,
                    "",
                    List.of(
                            new DemoArm("Plain", true, List.of("25A"), null),
                            new DemoArm(
                                    "Honey", false, List.of("25B"), perKilogram(SUGAR_COAT, "buckwheat honey", 22.5)))),
            new Asked(
                    "Beech smoke on a mutton saddle: four sessions against none",
                    Factor.TREATMENT,
                    TrialMeasure.LIKING,
                    "Beech smoke on a mutton saddle: two sessions against five",
                    "",
                    List.of(
                            new DemoArm("Plain", true, List.of("28A"), null),
                            new DemoArm("Smoked", false, List.of("28B"), counted(COLD_SMOKE, "beech", 4)))),
            new Asked(
                    "A cloth with red wine on a chuck roll: is it worth the bother?",
                    Factor.TREATMENT,
                    TrialMeasure.LIKING,
                    null,
                    "",
                    List.of(
                            new DemoArm("Plain", true, List.of("35A"), null),
                            new DemoArm(
                                    "Wine cloth",
                                    false,
                                    List.of("35B"),
                                    counted(SOAKED_CLOTH, "red wine and dried thyme", 14)))),
            new Asked(
                    "A haunch hung against one on ice, 10 days",
                    Factor.HANG_OR_ICE,
                    TrialMeasure.USABLE_YIELD,
                    null,
                    "",
                    List.of(
                            new DemoArm("Hung", true, List.of("32A"), null),
                            new DemoArm("On ice", false, List.of("32B"), null))));

    private final PieceHistory pieces;
    private final TreatmentHistory treatments;
    private final TrialHistory trials;
    private final WorkshopService workshops;

    DemoTrials(PieceHistory pieces, TreatmentHistory treatments, TrialHistory trials, WorkshopService workshops) {
        this.pieces = pieces;
        this.treatments = treatments;
        this.trials = trials;
        this.workshops = workshops;
    }

    private static Given perKilogram(TreatmentKind kind, String exactly, double grams) {
        Dose dose = new Dose(grams, DoseUnit.GRAM, Dose.Basis.KILOGRAM);
        return new Given(kind, null, exactly, dose, null, false, false, false);
    }

    private static Given counted(TreatmentKind kind, String exactly, int number) {
        return new Given(kind, null, exactly, null, number, false, false, false);
    }

    /** @param people who may have done it */
    void fill(List<UUID> people) {
        Map<String, Piece> byTag = pieces.byTag();
        for (Asked asked : ASKED) {
            List<PastArm> arms = new ArrayList<>();
            LocalDate first = workshops.today();
            for (DemoArm arm : asked.arms()) {
                Map<UUID, String> blocks = new LinkedHashMap<>();
                for (String tag : arm.tags()) {
                    Piece piece = byTag.get(tag);
                    String block = piece.lot().number() + "/" + (blocks.size() + 1);
                    blocks.put(piece.id(), block);
                    LocalDate hungOn = piece.hungOn().orElseThrow();
                    first = hungOn.isBefore(first) ? hungOn : first;
                    if (arm.given() != null) {
                        give(piece, arm.given(), people.get(blocks.size() % people.size()));
                    }
                }
                arms.add(new PastArm(arm(asked.question(), arm.name()), arm.name(), arm.control(), blocks));
            }
            Long seed = asked.arms().get(0).tags().size() > 1
                    ? (long) asked.question().hashCode()
                    : null;
            trials.add(new PastTrial(
                    named(asked.question()),
                    asked.question(),
                    asked.factor(),
                    asked.measure(),
                    seed,
                    asked.after() == null ? null : named(asked.after()),
                    asked.learnt(),
                    first,
                    arms));
        }
    }

    static UUID trial(String question) {
        return named(question);
    }

    static UUID arm(String question, String name) {
        return named(question + name);
    }

    private static UUID named(String what) {
        return Ids.after(SPACE, what);
    }

    private void give(Piece piece, Given given, UUID by) {
        HouseClock house = workshops.mine().clock();
        treatments.add(piece, given, piece.hungAt(house).orElseThrow(), by, workshops.today(), house);
    }
}
