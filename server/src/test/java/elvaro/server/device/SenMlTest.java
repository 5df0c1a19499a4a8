package elvaro.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.server.device.SenMl.Measured;
import elvaro.server.shared.Refusal;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** Examples of RFC 8428, written down from memory. */
class SenMlTest {
    private static final Instant NOW = Instant.parse("2026-02-01T00:00:00Z");

    private static List<Measured> resolve(String pack) {
        return SenMl.resolve(new JsonMapper().createParser(pack.replace('\'', '"')), 8, NOW);
    }

    private static String shown(List<Measured> records) {
        return records.stream()
                .map(each -> "%s %s %s %s"
                        .formatted(
                                each.name(),
                                each.unit(),
                                each.value().map(String::valueOf).orElse("-"),
                                each.at()))
                .collect(Collectors.joining("\n"));
    }

    @Test
    void a_single_value_of_section_5_1_1_is_of_now() {
        assertThat(shown(resolve("[{'n':'urn:dev:ow:10e2073a01080063','u':'Cel','v':23.1}]")))
                .isEqualTo("urn:dev:ow:10e2073a01080063 Cel 23.1 2026-02-01T00:00:00Z");
    }

    @Test
    void the_base_name_of_section_5_1_2_stands_before_every_name() {
        assertThat(shown(resolve("""
                        [{'bn':'urn:dev:ow:10e2073a01080063:','n':'voltage','u':'V','v':120.1},
                         {'n':'current','u':'A','v':1.2}]"""))).isEqualTo("""
                        urn:dev:ow:10e2073a01080063:voltage V 120.1 2026-02-01T00:00:00Z
                        urn:dev:ow:10e2073a01080063:current A 1.2 2026-02-01T00:00:00Z""");
    }

    @Test
    void the_base_time_and_unit_of_section_5_1_2_hold_until_others_come() {
        assertThat(shown(resolve("""
                        [{'bn':'urn:dev:ow:10e2073a0108006:','bt':1.276020076001e+09,'bu':'A','bver':5,
                          'n':'voltage','u':'V','v':120.1},
                         {'n':'current','t':-5,'v':1.2},
                         {'n':'current','v':1.7}]"""))).isEqualTo("""
                        urn:dev:ow:10e2073a0108006:voltage V 120.1 2010-06-08T18:01:16.001Z
                        urn:dev:ow:10e2073a0108006:current A 1.2 2010-06-08T18:01:11.001Z
                        urn:dev:ow:10e2073a0108006:current A 1.7 2010-06-08T18:01:16.001Z""");
    }

    @Test
    void the_moving_sensor_of_section_5_1_3_is_resolved_moment_by_moment() {
        assertThat(shown(resolve("""
                        [{'bn':'urn:dev:ow:10e2073a01080063','bt':1.320067464e+09,'bu':'%RH','v':20},
                         {'u':'lon','v':24.30621},
                         {'t':60,'v':20.3},
                         {'u':'%EL','t':150,'v':98},
                         {'t':180,'v':21.2}]"""))).isEqualTo("""
                        urn:dev:ow:10e2073a01080063 %RH 20.0 2011-10-31T13:24:24Z
                        urn:dev:ow:10e2073a01080063 lon 24.30621 2011-10-31T13:24:24Z
                        urn:dev:ow:10e2073a01080063 %RH 20.3 2011-10-31T13:25:24Z
                        urn:dev:ow:10e2073a01080063 %EL 98.0 2011-10-31T13:26:54Z
                        urn:dev:ow:10e2073a01080063 %RH 21.2 2011-10-31T13:27:24Z""");
    }

    @Test
    void a_base_value_is_added_and_a_text_measures_nothing() {
        assertThat(resolve("[{'n':'a','bv':20,'u':'Cel','v':1.5},{'n':'b','vs':'open'}]"))
                .extracting(Measured::value)
                .containsExactly(java.util.Optional.of(21.5), java.util.Optional.empty());
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "{}|array",
                "[]|one at least",
                "[{'n':'a','u':'Cel'}]|Record 1: It needs one value",
                "[{'n':'a','v':1},{'n':'b','v':1,'vs':'x'}]|Record 2: It needs one value",
                "[{'v':1}]|no name",
                "[{'n':'ä','v':1}]|no name",
                "[{'n':'a','v':'1'}]|v is no number",
                "[{'n':'a','v':1,'mine_':1}]|mine_ must be understood",
                "[{'n':'a','v':1,'bver':11}]|bver",
                "[{'n':'a','v':1,'t':1e300}]|out of reach",
                "[7]|JSON object",
            })
    void what_the_rfc_does_not_allow_is_refused_with_its_record(String pack, String sentence) {
        assertThatThrownBy(() -> resolve(pack)).isInstanceOf(Refusal.class).hasMessageContaining(sentence);
    }
}
