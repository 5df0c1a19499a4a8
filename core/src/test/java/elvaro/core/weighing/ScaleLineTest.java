package elvaro.core.weighing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.weighing.ScaleLine.ScaleShown;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Lines as scales write them; common practice, no source. */
class ScaleLineTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            plain   | + 4.215 kg       | 4215     | rests
            plain   | -  0.012 kg      | -12      | rests
            plain   | 4215 g ?         | 4215     | moves
            plain   | 9.29 lb          | 4213.873 | rests
            plain   | 4,215 kg         | 4215     | rests
            plain   | 4.215            | 4215     | rests
            plain   | ------           | -        | over
            plain   | OL               | -        | over
            commas  | ST,GS,+  4.215kg | 4215     | rests
            commas  | US,NT,-  0.350kg | -350     | moves
            commas  | OL,GS,+          | -        | over
            letters | S S      4.215 kg| 4215     | rests
            letters | S D    148.7 oz  | 4215.574| moves
            letters | S +              | -        | over
            """)
    void what_a_scale_writes_is_read_with_its_unit_and_whether_it_rests(
            String pattern, String line, Double grams, String state) {
        ScaleShown shown = ScaleLine.of(pattern).read(line, MassUnit.KG).orElseThrow();
        if (!line.equals("4.215")) {
            assertThat(ScaleLine.ofAnyForm(line))
                    .as("of a scale nobody described")
                    .contains(shown);
        }
        assertThat(shown.overloaded()).isEqualTo(state.equals("over"));
        assertThat(shown.moving()).isEqualTo(state.equals("moves"));
        if (grams != null) {
            assertThat(shown.grams()).isCloseTo(grams, org.assertj.core.data.Offset.offset(0.001));
        }
    }

    @Test
    void what_is_no_weight_is_left_out() {
        for (String line :
                new String[] {"", "TARE", "12 pcs", "ES", "Tel. 0123 456", "4.2.1 kg", "HOLD", "TOLERANCE"}) {
            assertThat(ScaleLine.of("plain").read(line, MassUnit.KG)).as(line).isEqualTo(Optional.empty());
        }
        assertThat(ScaleLine.of("letters").read("S I", MassUnit.KG)).isEmpty(); // it cannot say just now
    }

    /** 9.29 may be kilograms or pounds. */
    @Test
    void a_figure_without_its_unit_says_nothing_of_a_scale_nobody_described() {
        assertThat(ScaleLine.ofAnyForm("9.29")).isEmpty();
        assertThat(ScaleLine.of("plain").read("9.29", MassUnit.LB).orElseThrow().grams())
                .isCloseTo(4213.873, org.assertj.core.data.Offset.offset(0.001));
    }

    @Test
    void a_scale_with_a_form_of_its_own_is_told_by_an_expression() {
        ScaleLine own = ScaleLine.of("W:(?<weight>[0-9.]+);(?<unit>kg|lb);(?<moving>M)?.*");
        assertThat(own.read("W:2.5;kg;M;07", MassUnit.KG)).contains(new ScaleShown(2500, true, false));
        assertThatThrownBy(() -> ScaleLine.of("fancy")).hasMessageContaining("plain, commas, letters");
        assertThatThrownBy(() -> ScaleLine.of("((?<weight>x)")).hasMessageContaining("cannot be read");
    }
}
