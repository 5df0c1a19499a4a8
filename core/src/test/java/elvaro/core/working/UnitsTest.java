package elvaro.core.working;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.working.Units.Mass;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class UnitsTest {
    private static final Map<String, Mass> MASSES =
            Map.of("KG", Mass.KILOGRAM, "G", Mass.GRAM, "LB", Mass.POUND, "LB_OZ", Mass.POUND_AND_OUNCE);

    private static Units reader(String words) {
        List<String> said = List.of(words.strip().split(" "));
        return new Units(
                MASSES.get(said.get(0)),
                said.get(1).equals("F"),
                said.get(2).equals("INCH"),
                Currency.getInstance(said.get(3)),
                Locale.forLanguageTag(said.get(4)));
    }

    static Stream<List<String>> cases() throws IOException {
        try (var in = Objects.requireNonNull(UnitsTest.class.getResourceAsStream("/reference/sentences.txt"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                            .lines()
                            .filter(line -> !line.startsWith("#"))
                            .map(line -> List.of(line.split(" \\| ")))
                            .toList()
                            .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("cases")
    void paper_writes_a_sentence_as_the_table_of_cases_has_it(List<String> each) {
        assertThat(reader(each.get(0)).sentence(each.get(1))).isEqualTo(each.get(2));
    }

    @Test
    void what_is_made_as_a_quantity_is_read_as_it() {
        assertThat(Units.PLAIN.sentence(String.join(
                        ", ",
                        Quantity.mass(8400),
                        Quantity.mass(2, 3),
                        Quantity.temperature(4),
                        Quantity.temperature(-5, 15),
                        Quantity.temperature(6.449),
                        Quantity.length(25),
                        Quantity.length(6.35),
                        Quantity.volume(4.9),
                        Quantity.money(3820.4),
                        Quantity.price(1400),
                        Quantity.share(0.11321),
                        Quantity.days(1),
                        Quantity.surface(310.4),
                        Quantity.warmth(2),
                        Quantity.date(LocalDate.of(2026, 3, 9)))))
                .isEqualTo(
                        "8400 g, 2 g to 3 g, 4 °C, −5 to 15 °C, 6.4 °C, 25 mm, 6.4 mm, 4.9 mL, 38.20, 14.00/kg, 11.3 %,"
                                + " 1 day, 310 cm²/kg, 2 degrees, 2026-03-09");
        assertThatThrownBy(() -> Quantity.share(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_persons_words_hold_no_quantity_of_ours() {
        String typed = Quantity.words("half of " + Quantity.mass(500));
        assertThat(reader("LB F INCH USD en").sentence("Kept: " + typed)).isEqualTo("Kept: half of [mass 500]");
    }

    @Test
    void a_price_is_for_what_its_reader_weighs_in() {
        Units there = reader("LB F INCH USD en");
        Units here = reader("KG C MM EUR en");
        assertThat(there.price(1000)).isEqualTo(453.59237);
        assertThat(here.price(1000)).isEqualTo(1000);
        assertThat(there.priced() + there.thickness(25.4)).isEqualTo("lb1.00 in");
        assertThat(here.priced() + here.thickness(25.4)).isEqualTo("kg25.4 mm");
    }
}
