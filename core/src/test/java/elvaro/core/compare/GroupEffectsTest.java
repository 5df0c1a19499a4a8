package elvaro.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.compare.GroupEffects.Group;
import elvaro.core.compare.GroupEffects.Row;
import elvaro.core.compare.LinearModel.ModelTerm;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class GroupEffectsTest {
    static LongStream seeds() {
        return LongStream.range(1, 41);
    }

    /** Shrink of 0.4 % a day; the membrane saves 2 points; its pieces hung twice as long and are larger. */
    private static List<Row> shop(long seed, int pieces) {
        Random random = new Random(seed);
        List<Row> rows = new ArrayList<>();
        for (int piece = 0; piece < pieces; piece++) {
            boolean membrane = piece % 3 == 0;
            double days = (membrane ? 40 : 20) + random.nextInt(15);
            double grams = (membrane ? 8000 : 4000) * (0.8 + 0.4 * random.nextDouble());
            double value = 0.02 + 0.004 * days - (membrane ? 0.02 : 0) - 0.03 * Math.log(grams / 5000);
            rows.add(new Row(membrane ? "membrane" : "open air", days, grams, value + 0.004 * random.nextGaussian()));
        }
        return rows;
    }

    private static Group named(GroupEffects effects, String name) {
        return effects.groups().stream()
                .filter(group -> group.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void an_effect_is_told_apart_from_the_days_and_the_size_that_go_with_it() {
        GroupEffects effects = GroupEffects.of(shop(1, 60));
        assertThat(effects.reference()).isEqualTo("open air");
        Group membrane = named(effects, "membrane");
        assertThat(membrane.mean())
                .as("as found it looks worse")
                .isGreaterThan(named(effects, "open air").mean());
        assertThat(membrane.effect().orElseThrow().value()).isCloseTo(-0.02, within(0.006));
        assertThat(membrane.effect().orElseThrow().shown()).isTrue();
        assertThat(named(effects, "open air").effect()).isEmpty();
        assertThat(effects.caveats()).singleElement().asString().contains("A trial would tell");
    }

    /** 95 % of such intervals hold what is true: of 400 samples 380, give or take three standard errors of 4.4. */
    @Test
    void an_interval_holds_what_is_true_as_often_as_it_says() {
        long held = LongStream.range(1, 401)
                .filter(seed -> {
                    var band = named(GroupEffects.of(shop(seed, 24)), "membrane")
                            .effect()
                            .orElseThrow()
                            .band();
                    return band.low() <= -0.02 && -0.02 <= band.high();
                })
                .count();
        assertThat(held).isBetween(366L, 394L);
    }

    @Test
    void small_numbers_are_said_and_nothing_is_adjusted_where_too_few_are_left() {
        List<Row> few =
                List.of(new Row("a", 20, 4000, 0.10), new Row("a", 21, 4100, 0.11), new Row("b", 30, 4000, 0.14));
        GroupEffects effects = GroupEffects.of(few);
        assertThat(effects.model()).isEmpty();
        assertThat(effects.caveats().get(0)).isEqualTo("Fewer than three pieces, an anecdote: a (2), b (1).");
        assertThat(effects.caveats().get(1)).contains("Too few pieces to adjust");
        List<Row> oneOfAKind = new ArrayList<>(shop(2, 40));
        oneOfAKind.add(new Row("vacuum", 28, 5000, 0.001));
        assertThat(named(GroupEffects.of(oneOfAKind), "vacuum")
                        .effect()
                        .orElseThrow()
                        .band()
                        .high())
                .isNegative();
        assertThat(named(GroupEffects.of(oneOfAKind), "vacuum")
                        .effect()
                        .orElseThrow()
                        .shown())
                .as("one piece shows nothing, however far off it is")
                .isFalse();
        assertThat(GroupEffects.of(shop(3, 9)).caveats())
                .anyMatch(caveat -> caveat.contains("Only 5 pieces are left to judge by"));
        assertThatThrownBy(() -> GroupEffects.of(List.of())).hasMessageContaining("No piece");
    }

    @Test
    void what_goes_hand_in_hand_cannot_be_told_apart_and_that_is_said() {
        List<Row> rows = new ArrayList<>();
        Random random = new Random(5);
        for (int piece = 0; piece < 12; piece++) {
            rows.add(new Row(piece < 6 ? "young" : "old", piece < 6 ? 20 : 40, 5000, random.nextDouble()));
        }
        GroupEffects effects = GroupEffects.of(rows);
        assertThat(effects.model().orElseThrow().dropped()).containsExactly("days", "ln weight");
        assertThat(effects.caveats())
                .anyMatch(caveat -> caveat.equals("Cannot be told apart from the rest: days, ln weight."));
        assertThatThrownBy(() -> LinearModel.of(new double[] {1, 2}, List.of(new ModelTerm("x", new double[] {1, 2}))))
                .hasMessageContaining("more pieces than terms");
    }

    /** Whoever is beaten, is so by somebody on the front; checked against every pair. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_best_trade_offs_are_those_no_other_beats(long seed) {
        Random random = new Random(seed);
        List<TradeOff.Candidate> candidates = new ArrayList<>();
        for (int piece = 0; piece < 1 + random.nextInt(40); piece++) {
            candidates.add(
                    new TradeOff.Candidate("p" + piece, random.nextInt(8) / 8.0, 3000 + 100 * random.nextInt(12)));
        }
        List<TradeOff.Placed> placed = TradeOff.of(candidates);
        assertThat(placed).extracting(TradeOff.Placed::candidate).isEqualTo(candidates);
        for (TradeOff.Placed each : placed) {
            boolean beaten = candidates.stream().anyMatch(other -> other.beats(each.candidate()));
            assertThat(each.beatenBy().isPresent()).isEqualTo(beaten);
            each.beatenBy().ifPresent(better -> {
                assertThat(better.beats(each.candidate())).isTrue();
                assertThat(candidates).noneMatch(other -> other.beats(better));
            });
        }
    }

    /** By the law of the reference, section 3: R0 = 478.1 Pa d m2/kg, r = 100 and so on come to t = a w + b w2. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_curve_finds_the_law_its_pieces_dried_by(long seed) {
        Random random = new Random(seed);
        double a = 80 + random.nextInt(200);
        double b = 200 + random.nextInt(2000);
        List<ShrinkCurve.Point> points = new ArrayList<>();
        for (int piece = 0; piece < 30; piece++) {
            double days = 5 + random.nextInt(80);
            points.add(new ShrinkCurve.Point(days, new ShrinkCurve(a, b, 0, 0, 0, 0).at(days)));
        }
        ShrinkCurve exact = ShrinkCurve.of(points).orElseThrow();
        assertThat(exact.a()).isCloseTo(a, within(1e-3 * a));
        assertThat(exact.b()).isCloseTo(b, within(1e-3 * b));
        List<ShrinkCurve.Point> noisy = points.stream()
                .map(point -> new ShrinkCurve.Point(point.days(), point.lost() + 0.004 * random.nextGaussian()))
                .toList();
        ShrinkCurve found = ShrinkCurve.of(noisy).orElseThrow();
        assertThat(found.at(30)).isCloseTo(exact.at(30), within(0.006));
        assertThat(found.sd()).isBetween(0.002, 0.007);
        assertThat(found.at(60)).isGreaterThan(found.at(30));
    }

    @Test
    void a_curve_needs_four_pieces_and_more_than_one_day() {
        assertThat(ShrinkCurve.of(List.of(new ShrinkCurve.Point(10, 0.1)))).isEmpty();
        ShrinkCurve.Point same = new ShrinkCurve.Point(10, 0.1);
        assertThat(ShrinkCurve.of(List.of(same, same, same, same))).isEmpty();
        ShrinkCurve.Point none = new ShrinkCurve.Point(12, 0);
        assertThat(ShrinkCurve.of(List.of(same, same, same, none))).isEmpty();
    }
}
