package elvaro.core.question;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PastDayTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);

    @ParameterizedTest(name = "{0}: refused {1}, asked {2}")
    @CsvSource({
        "2026-11-29, false, false",
        "2025-11-29, false, false",
        "2025-11-28, false, true",
        "2016-11-29, false, true",
        "2016-11-28, true, true",
        "0001-01-01, true, true",
        "-9999-01-01, true, true"
    })
    void a_day_is_asked_about_beyond_a_year_and_refused_beyond_ten(LocalDate day, boolean refused, boolean asked) {
        PastDay past = new PastDay(day, TODAY);
        assertThat(past.isTooLongAgo()).isEqualTo(refused);
        assertThat(past.question("receivedOn").isPresent()).isEqualTo(asked);
    }

    @Test
    void the_question_says_how_long_ago_it_was() {
        assertThat(new PastDay(LocalDate.of(2024, 10, 3), TODAY).question("hungOn"))
                .get()
                .extracting(question -> PLAIN.sentence(question.sentence()))
                .asString()
                .endsWith(" is 25 months ago. Is the year right?");
    }
}
