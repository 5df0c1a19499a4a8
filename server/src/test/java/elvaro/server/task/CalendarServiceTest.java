package elvaro.server.task;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class CalendarServiceTest {

    /** RFC 5545, 3.1. */
    @Test
    void no_line_is_longer_than_75_octets_and_none_breaks_within_a_character() {
        String line = "DESCRIPTION:" + "Ødegård Ü 🥩 ".repeat(20);
        String text = line + "\r\nEND:VEVENT\r\n";
        String folded = CalendarService.folded(text);
        assertThat(folded.split("\r\n"))
                .allSatisfy(each ->
                        assertThat(each.getBytes(StandardCharsets.UTF_8)).hasSizeLessThanOrEqualTo(75));
        assertThat(folded.replace("\r\n ", "")).isEqualTo(text);
    }
}
