package elvaro.core.blend;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

class BlendTest {
    private static final Offset<Double> CLOSE = within(1e-6);

    private static Stock stock(String name, int grams, double price, double lean) {
        return new Stock(name, grams, price, lean, 0, false);
    }

    private static Wanted lean(int grams, double share) {
        return new Wanted(grams, share, 1, 1);
    }

    /**
     * Pearson's square as butchers' handbooks work it (from memory): a hundred parts of 20 % fat from trim of 10 % and of
     * 50 % fat are 75 of the one and 25 of the other.
     */
    @Test
    void the_square_of_the_handbooks_comes_out() {
        Blend blend = Blend.of(List.of(stock("lean", 9000, 900, 0.9), stock("fat", 9000, 300, 0.5)), lean(1000, 0.8));
        assertThat(blend.grams().get(0)).isCloseTo(750, CLOSE);
        assertThat(blend.grams().get(1)).isCloseTo(250, CLOSE);
        assertThat(blend.costMinor()).isCloseTo(0.75 * 900 + 0.25 * 300, CLOSE);
        assertThat(blend.binds()).isEmpty();
    }

    /** Parts of the leaner = (wanted − fatter)/(leaner − fatter), whatever they cost. */
    @RepeatedTest(30)
    void of_two_stocks_it_is_pearsons_square(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        double leaner = 0.75 + random.nextDouble() * 0.2;
        double fatter = 0.3 + random.nextDouble() * 0.3;
        double wanted = fatter + (leaner - fatter) * random.nextDouble();
        Blend blend = Blend.of(
                List.of(
                        stock("leaner", 50_000, random.nextInt(1000), leaner),
                        stock("fatter", 50_000, random.nextInt(1000), fatter)),
                lean(10_000, wanted));
        assertThat(blend.grams().get(0)).isCloseTo(10_000 * (wanted - fatter) / (leaner - fatter), within(1e-3));
        assertThat(blend.grams().get(0) + blend.grams().get(1)).isCloseTo(10_000, within(1e-3));
    }

    /** {@code blend.R}, beside the table, asks lpSolve. */
    @ParameterizedTest(name = "set {0}")
    @CsvFileSource(resources = "/reference/blend.csv", numLinesToSkip = 1)
    void it_costs_what_another_solver_finds(
            int set, String stocks, int batch, double wanted, double mostCrust, double mostAged, Double cost) {
        List<Stock> all = Arrays.stream(stocks.split(" "))
                .map(each -> each.split(":"))
                .map(cell -> new Stock(
                        "stock",
                        Integer.parseInt(cell[0]),
                        Double.parseDouble(cell[1]),
                        Double.parseDouble(cell[2]),
                        Double.parseDouble(cell[3]),
                        cell[4].equals("1")))
                .toList();
        Blend blend = Blend.of(all, new Wanted(batch, wanted, mostCrust, mostAged));
        assertThat(blend.canBeMixed()).isEqualTo(cost != null);
        if (cost == null) {
            assertThat(blend.binds()).singleElement().asString().isNotBlank();
            return;
        }
        assertThat(blend.costMinor()).isCloseTo(cost, within(0.01));
        assertThat(blend.grams().stream().mapToDouble(Double::doubleValue).sum())
                .isCloseTo(batch, within(1e-3));
        assertThat(IntStream.range(0, all.size()))
                .allMatch(each -> blend.grams().get(each) <= all.get(each).grams() + 1e-3);
        assertThat(sum(all, blend, Stock::lean)).isCloseTo(wanted * batch, within(1e-2));
        assertThat(sum(all, blend, Stock::crust)).isLessThanOrEqualTo(mostCrust * batch + 1e-3);
    }

    private static double sum(List<Stock> stocks, Blend blend, java.util.function.ToDoubleFunction<Stock> value) {
        return IntStream.range(0, stocks.size())
                .mapToDouble(each -> blend.grams().get(each) * value.applyAsDouble(stocks.get(each)))
                .sum();
    }

    /** More to choose from, or a wider limit, never makes it dearer. */
    @RepeatedTest(30)
    void more_room_is_never_dearer(RepetitionInfo turn) {
        Random random = new Random(100 + turn.getCurrentRepetition());
        List<Stock> stocks = IntStream.range(0, 4)
                .mapToObj(each -> new Stock(
                        "stock " + each,
                        3000 + random.nextInt(3000),
                        300 + random.nextInt(1000),
                        0.45 + each * 0.15,
                        each == 1 ? 1 : 0,
                        each < 2))
                .toList();
        Blend narrow = Blend.of(stocks, new Wanted(4000, 0.75, 0.05, 0.15));
        Blend wide = Blend.of(stocks, new Wanted(4000, 0.75, 0.2, 0.5));
        List<Stock> more = new ArrayList<>(stocks);
        more.add(stock("cheaper", 2000, 100, 0.75));
        assertThat(narrow.canBeMixed()).isTrue();
        assertThat(wide.costMinor()).isLessThanOrEqualTo(narrow.costMinor() + 1e-6);
        assertThat(Blend.of(more, new Wanted(4000, 0.75, 0.05, 0.15)).costMinor())
                .isLessThanOrEqualTo(narrow.costMinor() + 1e-6);
    }

    @Test
    void what_keeps_it_from_being_cheaper_is_said() {
        Stock crust = new Stock("crust", 2000, 0, 0.7, 1, true);
        Blend blend = Blend.of(
                List.of(
                        crust,
                        stock("fresh lean", 300, 1000, 0.9),
                        stock("fresh", 5000, 1200, 0.9),
                        stock("fat", 900, 200, 0.3)),
                new Wanted(2000, 0.8, Wanted.USUAL_CRUST, 1));
        assertThat(blend.grams().get(0)).isCloseTo(100, CLOSE);
        assertThat(blend.binds())
                .map(PLAIN::sentence)
                .containsExactly("No more crust than 5.0 %.", "All of fresh lean is in it.");
    }

    @Test
    void what_cannot_be_mixed_names_the_limit_in_the_way() {
        List<Stock> fat = List.of(stock("shank", 5000, 500, 0.9), stock("plate", 5000, 400, 0.6));
        assertThat(why(fat, lean(12_000, 0.8))).isEqualTo("There is only 10000 g for a batch of 12000 g.");
        assertThat(why(fat, lean(1000, 0.95)))
                .isEqualTo("Nothing here is leaner than 90 % lean; 95 % cannot be reached.");
        assertThat(why(fat, lean(1000, 0.5)))
                .isEqualTo("Nothing here is fatter than 60 % lean; 50 % cannot be reached.");
        assertThat(why(fat, lean(9000, 0.85)))
                .isEqualTo("There is too little of the lean stocks for 85 % lean in a batch of 9000 g.");
        assertThat(why(fat, lean(9000, 0.65)))
                .isEqualTo("There is too little of the fat stocks for 65 % lean in a batch of 9000 g.");
        List<Stock> crusts = List.of(new Stock("crust", 5000, 0, 0.7, 1, true), stock("lean", 5000, 900, 0.9));
        assertThat(why(crusts, new Wanted(1000, 0.8, 0.05, 1))).isEqualTo("It would take more crust than 5.0 %.");
        List<Stock> aged = List.of(new Stock("aged fat", 5000, 0, 0.1, 0, true), stock("lean", 5000, 900, 0.9));
        assertThat(why(aged, new Wanted(1000, 0.8, 1, 0.02))).isEqualTo("It would take more aged fat than 2.0 %.");
        List<Stock> both = List.of(new Stock("aged crust", 5000, 0, 0.5, 1, true), stock("lean", 5000, 900, 0.9));
        assertThat(why(both, new Wanted(1000, 0.8, 0.01, 0.01))).startsWith("Several limits are in the way");
    }

    private static String why(List<Stock> stocks, Wanted wanted) {
        Blend blend = Blend.of(stocks, wanted);
        assertThat(blend.canBeMixed()).isFalse();
        return PLAIN.sentence(blend.binds().get(0));
    }

    @Test
    void shares_and_weights_that_cannot_be_are_refused() {
        assertThatThrownBy(() -> stock("x", -1, 0, 0.5)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> stock("x", 1, 0, 1.5)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> lean(0, 0.5)).isInstanceOf(IllegalArgumentException.class);
    }

    /** By hand: 1400 g with 25 % crust, 80 % lean, its fat aged. 5 % crust wants 7000 g; 80 % lean of 92 and 15 % fresh. */
    @Test
    void trim_says_how_much_fresh_meat_it_wants_for_a_batch() {
        Wants wants = Wants.of(
                        List.of(new Stock("trim", 1400, 0, 0.80, 0.25, true)), new Wanted(2000, 0.80, 0.05, 0.20))
                .orElseThrow();
        assertThat(wants.grams()).isBetween(7000, 7020);
        assertThat(wants.lean()).as("65 parts of lean to 12 of fat").isCloseTo(5600 * 65 / 77, within(10));
        assertThat(elvaro.core.working.Units.PLAIN.sentence(wants.sentence()))
                .isEqualTo("1400 g of trim and fat wants %d g of fresh lean and %d g of fresh fat: a batch of %d g."
                        .formatted(wants.lean(), wants.fat(), wants.grams()));
        assertThat(Wants.of(List.of(new Stock("fresh", 1000, 0, 0.80, 0, false)), new Wanted(1000, 0.80, 0.05, 0.2)))
                .hasValueSatisfying(as -> assertThat(as.grams()).isEqualTo(1000));
        assertThat(Wants.of(List.of(new Stock("trim", 1000, 0, 0.80, 0.2, true)), new Wanted(1000, 0.95, 0.05, 0.2)))
                .as("nothing fresh is leaner than that")
                .isEmpty();
    }
}
