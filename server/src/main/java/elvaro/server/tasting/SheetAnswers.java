package elvaro.server.tasting;

import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Servings.Serving;
import elvaro.core.tasting.Sheet;
import elvaro.core.tasting.TastingKind;
import jakarta.persistence.AttributeConverter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * A sheet by codes. What each code was is known from the plan only.
 *
 * @param picked the code liked more, or of the odd one; absent for neither
 * @param ranks by code, 1 for the best
 * @param scores by attribute's key and code
 */
record SheetAnswers(@Nullable Integer picked, Map<Integer, Integer> ranks, Map<String, Map<Integer, Integer>> scores) {

    /** One column of JSON: it is written once and read as a whole. */
    static class AnswerColumn implements AttributeConverter<SheetAnswers, String> {
        private static final JsonMapper JSON = new JsonMapper();

        @Override
        public String convertToDatabaseColumn(SheetAnswers answers) {
            return JSON.writeValueAsString(answers);
        }

        @Override
        public SheetAnswers convertToEntityAttribute(String column) {
            return JSON.readValue(column, SheetAnswers.class);
        }
    }

    /** With the samples in place of their codes. */
    Sheet decoded(TastingKind kind, Plate plate) {
        Map<Integer, Integer> byCode = new HashMap<>();
        plate.servings().forEach(serving -> byCode.put(serving.code(), serving.sample()));
        boolean triangle = kind == TastingKind.TRIANGLE;
        Map<String, Map<Integer, Integer>> bySample = new HashMap<>();
        scores.forEach((attribute, values) -> bySample.put(attribute, decoded(values, byCode)));
        return new Sheet(
                plate.taster(),
                plate.round(),
                triangle || picked == null ? OptionalInt.empty() : OptionalInt.of(byCode.get(picked)),
                triangle
                        ? OptionalInt.of(picked != null && odd(plate.servings()) == picked ? 1 : 0)
                        : OptionalInt.empty(),
                decoded(ranks, byCode),
                bySample);
    }

    private static Map<Integer, Integer> decoded(Map<Integer, Integer> values, Map<Integer, Integer> byCode) {
        Map<Integer, Integer> bySample = new HashMap<>();
        values.forEach((code, value) -> bySample.put(byCode.get(code), value));
        return bySample;
    }

    /** The code of the sample that stands there once. */
    private static int odd(List<Serving> servings) {
        return servings.stream()
                .filter(serving -> servings.stream()
                                .filter(other -> other.sample() == serving.sample())
                                .count()
                        == 1)
                .findFirst()
                .orElseThrow()
                .code();
    }
}
