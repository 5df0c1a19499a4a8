package elvaro.devices.bridge;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.devices.bridge.DiskQueue.Part;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DiskQueueTest {
    @TempDir
    Path folder;

    @Test
    void what_was_not_taken_is_there_after_a_restart_in_its_order() throws IOException {
        DiskQueue before = new DiskQueue(folder);
        before.add("1");
        before.add("2");
        DiskQueue after = new DiskQueue(folder);
        after.add("3");
        Part first = after.oldest().orElseThrow();
        assertThat(first.records()).containsExactly("1", "2");
        after.done(first, List.of());
        assertThat(after.oldest().orElseThrow().records()).containsExactly("3");
    }

    @Test
    void what_comes_while_a_part_is_on_its_way_goes_into_the_next() throws IOException {
        DiskQueue queue = new DiskQueue(folder);
        queue.add("1");
        Part sending = queue.oldest().orElseThrow();
        queue.add("2");
        assertThat(queue.oldest().orElseThrow().records()).containsExactly("1");
        queue.done(sending, List.of());
        assertThat(queue.oldest().orElseThrow().records()).containsExactly("2");
    }

    @Test
    void a_line_cut_short_by_a_power_cut_is_left_out_and_spoils_nothing() throws IOException {
        new DiskQueue(folder).add("{\"whole\":1}");
        Files.writeString(folder.resolve("00000001.jsonl"), "{\"hal", StandardOpenOption.APPEND);
        DiskQueue after = new DiskQueue(folder);
        Part part = after.oldest().orElseThrow();
        assertThat(part.records()).containsExactly("{\"whole\":1}");
        after.done(part, List.of());
        assertThat(after.oldest()).isEmpty();
    }

    @Test
    void what_can_never_be_taken_is_put_aside() throws IOException {
        DiskQueue queue = new DiskQueue(folder);
        queue.add("good");
        queue.add("bad");
        queue.done(queue.oldest().orElseThrow(), List.of("bad"));
        assertThat(queue.oldest()).isEmpty();
        assertThat(folder.resolve("refused/00000001.jsonl")).hasContent("bad\n");
    }
}
