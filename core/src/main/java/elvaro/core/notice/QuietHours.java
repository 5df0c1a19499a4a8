package elvaro.core.notice;

import java.time.LocalTime;

/**
 * The part of a day in which nobody is told what can wait.
 *
 * @param from its begin
 * @param to its end, after midnight where it is earlier; the begin itself for no quiet hours
 */
public record QuietHours(LocalTime from, LocalTime to) {
    /** Whether it is quiet at a time. */
    public boolean holds(LocalTime time) {
        boolean begun = !time.isBefore(from);
        boolean over = !time.isBefore(to);
        return to.isAfter(from) ? begun && !over : !to.equals(from) && (begun || !over);
    }
}
