package elvaro.server.guard;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class DiskRoomTest {
    private final AtomicLong free = new AtomicLong(DiskRoom.LEAST_BYTES - 1);
    private final BodyLimits limits = new BodyLimits(new DiskRoom(free::get));

    private void asks(String method) {
        HttpServletRequest request = mock();
        when(request.getMethod()).thenReturn(method);
        limits.preHandle(request, mock(), this);
    }

    @Test
    void on_a_full_disk_all_is_read_and_nothing_written_until_there_is_room() {
        assertThatCode(() -> asks("GET")).doesNotThrowAnyException();
        assertThatThrownBy(() -> asks("PUT")).hasMessageContaining("disk").hasMessageContaining("make room");
        free.set(DiskRoom.LEAST_BYTES);
        assertThatCode(() -> asks("PUT")).doesNotThrowAnyException();
    }
}
