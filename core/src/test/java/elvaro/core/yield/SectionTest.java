package elvaro.core.yield;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SectionTest {

    static LongStream seeds() {
        return LongStream.range(1, 301);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_parts_of_the_picture_fill_the_weight_now_and_none_is_negative(long seed) {
        Random random = new Random(seed);
        List<Cut> cuts = CutCatalogue.all();
        Cut cut = cuts.get(random.nextInt(cuts.size()));
        int green = 50 + random.nextInt(20_000);
        Ledger ledger = new Ledger(green, 0, random.nextInt(green + 1), Piles.NONE);
        Method method = Method.values()[random.nextInt(Method.values().length)];
        Section section = Section.expected(cut, random.nextBoolean(), random.nextInt(40), method, ledger);
        assertThat(List.of(section.fat(), section.bone(), section.crust(), section.steak()))
                .allMatch(share -> share >= 0);
        assertThat(section.fat() + section.bone() + section.crust() + section.steak())
                .isCloseTo(section.now(), within(1e-9));
    }

    /** Reference section 5: trim 13, 16, 21 % at 14, 21, 35 d of 6.78, 9.58, 14.49 % shrink, 8 kg on about 0.23 m². */
    @ParameterizedTest(name = "{0} % shrink: {1} % crust")
    @CsvSource({"6.78, 13", "9.58, 16", "14.49, 21"})
    void the_crust_of_a_bare_piece_grows_as_the_reference_says(double shrinkPercent, double trimPercent) {
        Ledger ledger = new Ledger(8000, 0, (int) Math.round(8000 * (1 - shrinkPercent / 100)), Piles.NONE);
        Section section = Section.expected(CutCatalogue.get("strip"), false, 0, Method.OPEN_AIR, ledger);
        assertThat(section.crust() * 100).isCloseTo(trimPercent, within(1.5));
    }
}
