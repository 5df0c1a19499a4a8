package elvaro.server.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.rehearsal.Mishap;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.treatment.Clash;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is to be rehearsed: a lesson, or a plan of one's own.
 *
 * @param lesson absent for free play
 * @param plan absent for a lesson
 * @param answers to questions a plan of one's own raised; a lesson is meant as it is
 */
record RehearsalForm(
        @Nullable RehearsalLesson lesson,
        @Nullable @Valid FreePlan plan,
        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /** A piece of one's own choosing; what befalls it is left to chance. */
    record FreePlan(
            @NotBlank(message = "Choose the cut.") @Size(max = 40)
            String cutCode,

            @NotNull(message = "Say what it weighs.")
            @Min(value = 200, message = "The weight must be at least ⟦limit 200⟧.")
            @Max(value = 20_000, message = "The weight must be at most ⟦limit 20000⟧.")
            Integer grams,

            @NotNull Boolean boneIn,
            @NotNull Method method,
            @NotNull Coating coating,
            @NotNull(message = "Say where it hangs.") ChamberKind place,

            @NotNull @Min(value = 3, message = "At least three days.") @Max(value = 170, message = "At most 170 days.")
            Integer days) {}

    private static final Map<String, String> MEANT = Stream.concat(
                    Arrays.stream(Clash.values()).map(clash -> clash.question().id()),
                    Stream.of("experiment", "method-chamber"))
            .collect(Collectors.toMap(id -> id, id -> "It is a lesson."));

    /** What is answered to whatever the piece raises as it is hung. */
    Map<String, String> settled() {
        return lesson == null ? answers : MEANT;
    }

    /** One thing in four goes wrong, of those that can. */
    private static final double GOES_WRONG = 0.25;

    RehearsalPlan planned(long seed) {
        if (lesson != null) {
            return lesson.plan(seed);
        }
        if (plan == null) {
            throw Refusal.wrong("invalid", "lesson", "Choose a lesson, or say what to rehearse.");
        }
        Cut cut = CutCatalogue.find(plan.cutCode())
                .orElseThrow(() -> Refusal.wrong("invalid", "cutCode", "There is no such cut."));
        Set<Mishap> befall = EnumSet.noneOf(Mishap.class);
        Random chance = new Random(seed);
        chance.nextDouble(); // neighbouring seeds begin alike
        for (Mishap mishap : Mishap.values()) {
            if (chance.nextDouble() < GOES_WRONG && isPossible(mishap)) {
                befall.add(mishap);
            }
        }
        return new RehearsalPlan(
                cut,
                plan.grams(),
                plan.boneIn(),
                0,
                plan.method(),
                plan.coating(),
                plan.place(),
                plan.days(),
                0,
                befall,
                seed);
    }

    private boolean isPossible(Mishap mishap) {
        boolean machine = plan.place() == ChamberKind.CABINET || plan.place() == ChamberKind.WALK_IN;
        return switch (mishap) {
            case COMPRESSOR_FAILS, FAN_OFF, RUNS_DRY -> machine;
            case DOOR_AJAR -> plan.place() != ChamberKind.ICE_CHEST;
            case HOT_SPELL -> plan.place() == ChamberKind.SHED || plan.place() == ChamberKind.REFRIGERATOR;
            case LOAD_ADDED -> machine || plan.place() == ChamberKind.SHED;
            case SEAL_FAILS, CONTACT_LIFTS -> plan.method() == Method.MEMBRANE;
            case NEIGHBOUR_SCENTS, DIRTY_ROOM, FOLD_LEFT -> plan.method() == Method.OPEN_AIR;
            case RAW_GARLIC -> plan.coating() == Coating.CLOTH;
        };
    }
}
