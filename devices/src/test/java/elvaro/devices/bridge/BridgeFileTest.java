package elvaro.devices.bridge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BridgeFileTest {
    @TempDir
    Path folder;

    private BridgeFile read(String text) throws IOException {
        return BridgeFile.read(Files.writeString(folder.resolve("bridge.yaml"), text));
    }

    /** What is documented is what is read. */
    @Test
    void every_example_of_the_page_can_be_read() throws IOException {
        String page = Files.readString(Path.of("../docs/connect.md"));
        List<String> examples = Pattern.compile("```yaml\n(.*?)```", Pattern.DOTALL)
                .matcher(page)
                .results()
                .map(MatchResult::group)
                .map(each -> each.replaceAll("```(yaml)?", ""))
                .toList();
        assertThat(examples).hasSizeGreaterThan(4);
        for (String example : examples) {
            String whole = example.contains("elvaro:")
                    ? example
                    : "elvaro: http://127.0.0.1:8306\nqueue: q\nbroker: { address: mqtt://127.0.0.1 }\n" + example;
            assertThat(read(whole)).as(example).isNotNull();
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            queue: q                                                                     | elvaro: the address of Elvaro is missing.
            elvaro: http://h                                                             | queue: a folder
            {elvaro: http://h, queue: q}                                                 | no probe, no scale
            {elvaro: http://h, queue: q, probes: [{name: N, token: t, topic: x}]}        | say where its temperature
            {elvaro: http://h, queue: q, probes: [{name: N, token: t, temperature: /t}]} | in which topic
            {elvaro: http://h, queue: q, probes: [{name: N, token: t, topic: x, temperature: t}]} | begins with a stroke
            {elvaro: http://h, queue: q, probes: [{name: N, token: t, topic: x, temperature: /t}]} | address of the broker is missing
            {elvaro: http://h, queue: q, scales: [{name: A b, token: t, port: /dev/x}, {name: A-b, token: u, port: /dev/y}]} | or nearly so
            {elvaro: http://h, queue: q, scales: [{name: S, token: t}]}                  | a topic or a port
            {elvaro: http://h, queue: q, scales: [{name: S, token: t, port: /dev/x, unit: stone}]} | kg, g, lb or oz
            {elvaro: http://h, queue: q, scales: [{name: S, token: t, port: /dev/x}], scals: []} | scals
            {elvaro: http://h, queue: q, broker: {address: 10.0.0.1}, scales: [{name: S, token: t, topic: x}]} | like mqtt://
            """)
    void what_is_wrong_in_the_file_is_said_with_its_line(String text, String sentence) {
        assertThatThrownBy(() -> read(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(sentence)
                .hasMessageContaining("bridge.yaml, line ");
    }
}
