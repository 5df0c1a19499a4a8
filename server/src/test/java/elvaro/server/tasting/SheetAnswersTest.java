package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.Servings;
import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Servings.Serving;
import elvaro.core.tasting.Sheet;
import elvaro.core.tasting.TastingKind;
import elvaro.server.shared.Refusal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** Codes become samples again, and only the plan knows how. */
class SheetAnswersTest {
    private static final List<Attribute> LIKING = List.of(Attribute.USUAL.get(0));

    private static SheetForm form(Integer picked, Map<Integer, Integer> ranks, Map<Integer, Integer> liking) {
        return new SheetForm(0, picked, ranks, liking.isEmpty() ? Map.of() : Map.of("liking", liking), Map.of(), false);
    }

    private static Map<Integer, Integer> byCode(Plate plate) {
        return plate.servings().stream().collect(Collectors.toMap(Serving::code, Serving::sample));
    }

    @RepeatedTest(20)
    void what_was_said_of_a_code_is_said_of_its_sample(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        int samples = 3 + random.nextInt(4);
        Servings servings = Servings.plan(TastingKind.RANKING, samples, 6, 1, random.nextLong());
        for (Plate plate : servings.plates()) {
            Map<Integer, Integer> ranks = new HashMap<>();
            Map<Integer, Integer> scores = new HashMap<>();
            byCode(plate).forEach((code, sample) -> {
                ranks.put(code, sample + 1);
                scores.put(code, sample % 7 + 1);
            });
            Sheet sheet = form(null, ranks, scores)
                    .answering(TastingKind.RANKING, LIKING, plate)
                    .decoded(TastingKind.RANKING, plate);
            for (int sample = 0; sample < samples; sample++) {
                assertThat(sheet.ranks()).containsEntry(sample, sample + 1);
                assertThat(sheet.scores().get("liking")).containsEntry(sample, sample % 7 + 1);
            }
        }
    }

    @RepeatedTest(20)
    void the_odd_one_is_found_by_its_own_code_only(RepetitionInfo turn) {
        Servings servings = Servings.plan(TastingKind.TRIANGLE, 2, 6, 2, turn.getCurrentRepetition());
        for (Plate plate : servings.plates()) {
            Map<Integer, Long> times =
                    plate.servings().stream().collect(Collectors.groupingBy(Serving::sample, Collectors.counting()));
            byCode(plate).forEach((code, sample) -> {
                Sheet sheet = form(code, Map.of(), Map.of())
                        .answering(TastingKind.TRIANGLE, List.of(), plate)
                        .decoded(TastingKind.TRIANGLE, plate);
                assertThat(sheet.foundOdd()).hasValue(times.get(sample) == 1 ? 1 : 0);
                assertThat(sheet.picked())
                        .as("which sample it was is nobody's preference")
                        .isEmpty();
            });
        }
    }

    @Test
    void neither_is_an_answer_of_two_and_none_of_three() {
        Plate two = Servings.plan(TastingKind.PAIRED, 2, 1, 1, 1).of(0, 0);
        assertThat(form(null, Map.of(), Map.of())
                        .answering(TastingKind.PAIRED, List.of(), two)
                        .decoded(TastingKind.PAIRED, two)
                        .picked())
                .isEmpty();
        Plate three = Servings.plan(TastingKind.TRIANGLE, 2, 1, 1, 1).of(0, 0);
        assertThatThrownBy(() -> form(null, Map.of(), Map.of()).answering(TastingKind.TRIANGLE, List.of(), three))
                .isInstanceOf(Refusal.class)
                .hasMessage("Choose the odd one. If you cannot tell, guess.");
    }

    @Test
    void ranks_that_leave_out_the_best_or_a_code_are_refused() {
        Plate plate = Servings.plan(TastingKind.RANKING, 3, 1, 1, 1).of(0, 0);
        List<Integer> codes = plate.servings().stream().map(Serving::code).toList();
        for (Map<Integer, Integer> ranks : List.of(
                Map.of(codes.get(0), 1, codes.get(1), 2),
                Map.of(codes.get(0), 2, codes.get(1), 2, codes.get(2), 3),
                Map.of(codes.get(0), 0, codes.get(1), 1, codes.get(2), 2),
                Map.of(codes.get(0), 1, codes.get(1), 2, codes.get(2), 4))) {
            assertThatThrownBy(() -> form(null, ranks, Map.of()).answering(TastingKind.RANKING, List.of(), plate))
                    .as(ranks.toString())
                    .isInstanceOf(Refusal.class);
        }
    }
}
