package elvaro.core.past;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Heads as people put them over their columns. */
class PastFieldTest {
    static Stream<Arguments> heads() {
        return Stream.of(
                Arguments.of(
                        List.of("ID", "Date", "Weight"),
                        Map.of(PastField.PIECE, 0, PastField.DAY, 1, PastField.WEIGHT, 2)),
                Arguments.of(
                        List.of("Weighed on", "kg", "Tag"),
                        Map.of(PastField.DAY, 0, PastField.WEIGHT, 1, PastField.PIECE, 2)),
                Arguments.of(
                        List.of("name", "start", "starting weight", "end", "final weight", "steaks", "trim", "waste"),
                        Map.of(
                                PastField.PIECE, 0,
                                PastField.HUNG_ON, 1,
                                PastField.GREEN, 2,
                                PastField.PULLED_ON, 3,
                                PastField.AGED, 4,
                                PastField.STEAK, 5,
                                PastField.USABLE_TRIM, 6,
                                PastField.DISCARD, 7)),
                Arguments.of(
                        List.of("Farm", "Marbling", "Price", "How", "Primal", "Bone (g)", "Fat (g)"),
                        Map.of(
                                PastField.SUPPLIER, 0,
                                PastField.GRADE, 1,
                                PastField.PRICE, 2,
                                PastField.METHOD, 3,
                                PastField.CUT, 4,
                                PastField.BONE, 5,
                                PastField.FAT, 6)),
                Arguments.of(List.of("", "remarks", "colour"), Map.of()));
    }

    @ParameterizedTest
    @MethodSource("heads")
    void a_column_is_guessed_by_its_head(List<String> heads, Map<PastField, Integer> guess) {
        assertThat(PastField.guess(heads)).isEqualTo(guess.isEmpty() ? guess : new EnumMap<>(guess));
    }

    @Test
    void no_column_is_guessed_to_be_two_things() {
        Map<PastField, Integer> guess = PastField.guess(List.of("weight", "weight", "weight", "date", "date"));
        assertThat(guess.values()).doesNotHaveDuplicates();
    }
}
