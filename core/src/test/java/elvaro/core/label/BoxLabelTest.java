package elvaro.core.label;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BoxLabelTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
    private static final String GS = "\u001d";

    private static BoxLabel read(String scanned) {
        return BoxLabel.read(scanned, TODAY);
    }

    /** GS1 General Specifications, the worked example of section 7.9 (6291041500213) and ISBN 978-0-306-40615-7, from memory. */
    @ParameterizedTest
    @CsvSource({
        "6291041500213, true",
        "9780306406157, true",
        "6291041500212, false",
        "106141411234567897, true",
        "7, false"
    })
    void the_last_digit_checks_the_others(String number, boolean fits) {
        assertThat(CheckDigit.fits(number)).isEqualTo(fits);
    }

    @Test
    void a_box_says_article_weight_days_lot_and_serial_in_one_code() {
        BoxLabel box = read("]C1019061414112345531020124561326111517270115" + "10AB-123" + GS + "21000417");
        assertThat(box.article()).contains("90614141123455");
        assertThat(box.grams()).contains(124_560);
        assertThat(box.packed()).contains(LocalDate.of(2026, 11, 15));
        assertThat(box.useBy()).contains(LocalDate.of(2027, 1, 15));
        assertThat(box.lot()).contains("AB-123");
        assertThat(box.serial()).contains("000417");
    }

    /** The figure under the bars, the same with separators, and as other symbols are announced. */
    @ParameterizedTest
    @CsvSource({
        "(01)90614141123455(3102)001250(10)L7",
        "01906141411234553102001250" + "10L7",
        "]d2\u001d01906141411234553102001250" + "10L7",
        "]Q310L7\u001d01906141411234553102001250",
        "\u001d310200125010L7\u001d0190614141123455\u001d"
    })
    void one_label_reads_the_same_however_it_is_scanned(String scanned) {
        assertThat(read(scanned)).isEqualTo(read("(01)90614141123455(3102)001250(10)L7"));
        assertThat(read(scanned).grams()).contains(12_500);
    }

    @ParameterizedTest
    @CsvSource({"3100000012, 12000", "3103004215, 4215", "3105421500, 4215", "3202001850, 8391", "3201000185, 8391"})
    void the_weight_has_as_many_decimals_as_its_identifier_says(String scanned, int grams) {
        assertThat(read(scanned).grams()).contains(grams); // 18.50 lb × 453.59237 g = 8391.46 g
    }

    /** GS1 General Specifications, section 7.12, from memory: a year lies within fifty; day 00 is the month's last. */
    @ParameterizedTest
    @CsvSource({"13261100, 2026-11-30", "13280200, 2028-02-29", "13760101, 2076-01-01", "13770101, 1977-01-01"})
    void years_of_two_digits_and_days_of_none_are_told(String scanned, LocalDate day) {
        assertThat(read(scanned).packed()).contains(day);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            0190614141123454                | check digit of (01)
            01906141411                     | cut short
            3102001                         | cut short
            13261332                        | no day 261332
            (10)                            | has 0 signs
            (10)ABCDEFGHIJKLMNOPQRSTUVWXYZ  | has 26 signs; it has 1 to 20
            (3102)00125A                    | signs that cannot be there
            (10)A(10)B                      | two things of its lot: A and B
            7001234567                      | nothing that is of use
            https://shop.example            | no label of a box
            4006381333931                   | nothing that is of use
            """)
    void a_wrong_code_is_refused_with_the_reason(String scanned, String reason) {
        assertThatThrownBy(() -> read(scanned))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }

    @Test
    void two_codes_of_a_box_are_one_box_and_several_boxes_one_delivery() {
        Boxes boxes = new Boxes();
        boxes.add("(01)90614141123455(3102)001250", TODAY);
        boxes.add("(13)261115(10)L7(21)1", TODAY);
        boxes.add("(01)90614141123455(3102)001180", TODAY);
        boxes.add("(13)261110(10)L8(21)2", TODAY);
        assertThat(boxes.labels()).hasSize(2);
        assertThat(boxes.grams()).contains(24_300);
        assertThat(boxes.lots()).containsExactly("L7", "L8");
        assertThat(boxes.packed()).contains(LocalDate.of(2026, 11, 10));
        assertThat(boxes.isMixed()).isFalse();
        assertThatThrownBy(() -> boxes.add("(13)261110(10)L8(21)2", TODAY)).hasMessageContaining("scanned already");
    }

    @Test
    void boxes_that_may_be_alike_count_twice_and_a_box_without_a_weight_leaves_the_sum_open() {
        Boxes boxes = new Boxes();
        boxes.add("(01)90614141123455(3102)001250(10)L7", TODAY);
        boxes.add("(01)90614141123455(3102)001250(10)L7", TODAY);
        assertThat(boxes.grams()).contains(25_000);
        boxes.add("(01)00614141123452(10)L9", TODAY);
        assertThat(boxes.grams()).isEmpty();
        assertThat(boxes.isMixed()).isTrue();
    }

    @Test
    void two_sellers_may_give_the_same_serial() {
        Boxes boxes = new Boxes();
        boxes.add("(01)90614141123455(3102)001250(21)1", TODAY);
        boxes.add("(01)90012345678908(3102)000500(21)1", TODAY);
        assertThat(boxes.labels()).hasSize(2);
        assertThatThrownBy(() -> boxes.add("(01)90012345678908(3102)000500(21)1", TODAY))
                .hasMessageContaining("scanned already");
    }

    @Test
    void what_a_pack_says_is_read_again() {
        String code = PackCode.of(4215, LocalDate.of(2026, 11, 30), LocalDate.of(2026, 12, 14), "12-22A", "417");
        BoxLabel pack = read(code);
        assertThat(pack.grams()).contains(4215);
        assertThat(pack.packed()).contains(LocalDate.of(2026, 11, 30));
        assertThat(pack.useBy()).contains(LocalDate.of(2026, 12, 14));
        assertThat(pack.lot()).contains("12-22A");
        assertThat(pack.serial()).contains("417");
    }
}
