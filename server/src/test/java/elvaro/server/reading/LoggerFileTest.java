package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.logger.DayOrder;
import elvaro.core.working.Units;
import elvaro.server.shared.Refusal;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files as loggers of all kinds write them: forms from common practice, no source. Each tells of the same two readings. */
class LoggerFileTest {
    private static final Instant NOW = Instant.parse("2026-11-30T12:00:00Z");
    private static final List<AirReading> TOLD = List.of(
            new AirReading(Instant.parse("2026-01-05T13:30:00Z").getEpochSecond(), 2.1, 84.0, null),
            new AirReading(Instant.parse("2026-01-05T13:35:00Z").getEpochSecond(), 2.2, 83.0, null));

    private static Stream<org.junit.jupiter.params.provider.Arguments> variants() throws IOException {
        String all = new String(
                LoggerFileTest.class
                        .getResourceAsStream("/logger-files/variants.txt")
                        .readAllBytes(),
                StandardCharsets.UTF_8);
        return Arrays.stream(all.split("(?m)^=== ")).skip(1).map(part -> {
            int end = part.indexOf('\n');
            return org.junit.jupiter.params.provider.Arguments.of(part.substring(0, end), part.substring(end + 1));
        });
    }

    private static LoggerForm form(DayOrder order) {
        return new LoggerForm("logger.csv", null, null, null, null, null, null, order, "Europe/Berlin", null);
    }

    private static LoggerForm chosen(String said) {
        Map<String, String> chosen = new HashMap<>();
        for (String each : said.split(" ")) {
            chosen.put(each.split("=")[0], each.split("=")[1]);
        }
        Map<String, Integer> columns = new HashMap<>();
        chosen.forEach((name, value) -> {
            if (!name.equals("order")) {
                columns.put(name, Integer.valueOf(value));
            }
        });
        return new LoggerForm(
                "logger.csv",
                null,
                columns.get("time"),
                null,
                columns.get("temperature"),
                columns.get("humidity"),
                null,
                chosen.containsKey("order") ? DayOrder.valueOf(chosen.get("order")) : null,
                "Europe/Berlin",
                null);
    }

    private static List<AirReading> read(byte[] file, LoggerForm form) {
        return new LoggerFile(file, null).read(form, NOW);
    }

    private static void assertTold(List<AirReading> readings) {
        assertThat(readings).hasSizeGreaterThanOrEqualTo(2);
        for (AirReading told : TOLD) {
            assertThat(readings).anySatisfy(reading -> {
                assertThat(reading.second()).isEqualTo(told.second());
                assertThat(reading.celsius()).isCloseTo(told.celsius(), org.assertj.core.data.Offset.offset(1e-9));
                assertThat(reading.humidity()).isEqualTo(told.humidity());
            });
        }
        assertThat(readings).allSatisfy(reading -> assertThat(reading.celsius()).isLessThan(2.3));
    }

    /** What has to be said by a person stands behind a question mark. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("variants")
    void what_loggers_write_is_read(String name, String text) {
        int asked = text.indexOf("\n?");
        String file = asked < 0 ? text : text.substring(0, asked + 1);
        LoggerForm form =
                asked < 0 ? form(null) : chosen(text.substring(asked + 2).strip());
        assertTold(read(file.getBytes(StandardCharsets.UTF_8), form));
        assertTold(read(file.replace("\n", "\r\n").getBytes(StandardCharsets.UTF_8), form));
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-16LE", "UTF-16BE", "UTF-16", "UTF-8", "windows-1252"})
    void in_whatever_letters_it_is_written(String charset) {
        String text = "Zeit;Temperatur °C;Feuchte %\n2026-01-05 14:30;2,1;84\n2026-01-05 14:35;2,2;83\n";
        assertTold(read(text.getBytes(Charset.forName(charset)), form(null)));
        String marked = charset.startsWith("UTF") && !charset.equals("UTF-16") ? "\uFEFF" + text : text;
        assertTold(read(marked.getBytes(Charset.forName(charset)), form(null)));
    }

    @Test
    void a_minus_is_a_minus_however_it_is_written() {
        String file = "Time,Temp,RH\n2026-01-05 14:30,\u22121.5,84\n2026-01-05 14:35,-1.5,84\n";
        assertThat(read(file.getBytes(StandardCharsets.UTF_8), form(null)))
                .extracting(AirReading::celsius)
                .containsExactly(-1.5, -1.5);
    }

    @Test
    void days_that_could_be_meant_in_two_ways_are_asked_for() {
        byte[] file =
                "Time,Temp,RH\n05/01/2026 14:30,2.1,84\n05/01/2026 14:35,2.2,83\n".getBytes(StandardCharsets.UTF_8);
        assertThat(new LoggerFile(file, null).look(form(null), NOW).orderSure()).isFalse();
        assertThatThrownBy(() -> read(file, form(null)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Choose how they are written");
        assertTold(read(file, form(DayOrder.DAY_FIRST)));
    }

    @Test
    void a_midnight_tells_the_order_of_days_that_could_be_either() {
        byte[] file =
                "Time,Temp,RH\n04/01/2026 23:55,2.1,84\n05/01/2026 00:00,2.2,83\n".getBytes(StandardCharsets.UTF_8);
        LoggerPreview seen = new LoggerFile(file, null).look(form(null), NOW);
        assertThat(seen.orderSure()).isTrue();
        assertThat(seen.order()).isEqualTo(DayOrder.DAY_FIRST);
    }

    @Test
    void what_would_be_taken_in_is_shown_with_its_gaps() {
        StringBuilder file = new StringBuilder("Logger 7\nTime,Temp,RH\n");
        for (int minute : new int[] {0, 5, 10, 15, 45, 50}) {
            file.append("2026-01-05 14:%02d,2.1,84\n".formatted(minute));
        }
        file.append("2026-01-05 14:55,--,--\nMean,2.1,84\n");
        LoggerPreview seen =
                new LoggerFile(file.toString().getBytes(StandardCharsets.UTF_8), null).look(form(null), NOW);
        assertThat(seen.headLine()).isEqualTo(2);
        assertThat(seen.columns()).containsExactly("Time", "Temp", "RH");
        assertThat(seen.says().stream().map(LoggerFileTest::plain))
                .containsExactly(
                        "6 readings from 2026-01-05 14:00 to 2026-01-05 14:50, one every 5 minutes.",
                        "1 gap; it lasts 30 minutes from 2026-01-05 14:15.",
                        "1 line with a moment and no value.",
                        "1 line left out as no reading, the first is line 10.");
        assertThat(seen.first()).hasSize(3);
        assertThat(plain(seen.first().get(0))).isEqualTo("2026-01-05 14:00: 2.1 °C, 84.0 % RH");
        assertThat(seen.fault()).isNull();
    }

    /** A sentence with its quantities bare. */
    private static String plain(String sentence) {
        return Units.PLAIN.sentence(sentence);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\n\n", "no table at all", "%PDF-1.7\n%âãÏÓ", "a,b\n1,2\n", "\"never closed,2,3\n1,2"})
    void what_is_no_file_of_a_logger_is_refused(String text) {
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        assertThat(new LoggerFile(file, null).look(form(null), NOW).kept()).isZero();
        assertThatThrownBy(() -> read(file, form(DayOrder.DAY_FIRST)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Nothing was kept");
    }
}
