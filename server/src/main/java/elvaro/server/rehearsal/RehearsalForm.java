package elvaro.server.rehearsal;

import static elvaro.core.working.Quantity.money;
import static elvaro.core.working.Quantity.price;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.rehearsal.Mishap;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.rehearsal.Review;
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
import java.util.Map;
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

            @Nullable
            @Min(value = 0, message = "Fat cover is ⟦length 0⟧ or more.")
            @Max(value = 80, message = "Fat cover above ⟦length 80⟧ is not a cover.")
            Integer fatCoverMm,

            @NotNull Method method,
            @NotNull Coating coating,
            @NotNull(message = "Say where it hangs.") ChamberKind place,

            @NotNull @Min(value = 3, message = "At least three days.") @Max(value = 170, message = "At most 170 days.")
            Integer days) {
        /** As it would be if nothing went wrong. */
        RehearsalPlan plan(long seed) {
            return new RehearsalPlan(
                    CutCatalogue.find(cutCode)
                            .orElseThrow(() -> Refusal.wrong("invalid", "cutCode", "There is no such cut.")),
                    grams,
                    boneIn,
                    fatCoverMm == null ? 0 : fatCoverMm,
                    method,
                    coating,
                    place,
                    days,
                    0,
                    Set.of(),
                    seed);
        }
    }

    private static final Map<String, String> MEANT = Stream.concat(
                    Arrays.stream(Clash.values()).map(clash -> clash.question().id()),
                    Stream.of("experiment", "method-chamber"))
            .collect(Collectors.toMap(id -> id, id -> "It is a lesson."));

    /** What is answered to whatever the piece raises as it is hung. */
    Map<String, String> settled() {
        return lesson == null ? answers : MEANT;
    }

    /** What befalls a piece of one's own is left to chance. */
    RehearsalPlan planned(long seed) {
        if (lesson != null) {
            return lesson.plan(seed);
        }
        if (plan == null) {
            throw Refusal.wrong("invalid", "lesson", "Choose a lesson, or say what to rehearse.");
        }
        RehearsalPlan planned = plan.plan(seed);
        if (planned.greenGrams() / 1000.0 * Review.GREEN_MINOR_PER_KG > Review.PURSE_MINOR) {
            throw Refusal.wrong("too-dear", "plan.grams", "That costs more than you have: %s.".formatted(purse()));
        }
        return planned.befallen(Mishap.drawn(planned, seed), seed);
    }

    /** What there is to spend, in words. */
    static String purse() {
        return "%s to buy it with, at %s".formatted(money(Review.PURSE_MINOR), price(Review.GREEN_MINOR_PER_KG));
    }
}
