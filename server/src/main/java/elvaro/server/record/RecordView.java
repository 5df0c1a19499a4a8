package elvaro.server.record;

import elvaro.server.reading.AirService.DayView;
import elvaro.server.reading.AirView.AirEventView;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A record.
 *
 * @param about what it is of, in one line
 * @param rows all that was entered, in the order it happened
 * @param airs of each chamber concerned
 */
public record RecordView(
        String title, String about, Instant from, Instant to, List<RecordRow> rows, List<AirOfChamber> airs) {

    /**
     * One thing that was written down.
     *
     * @param recordedAt when it was entered
     * @param of the piece or the chamber
     * @param grams what the scale showed, absent where nothing was weighed
     * @param standing whether it still counts
     */
    public record RecordRow(
            Instant at,
            Instant recordedAt,
            String by,
            String of,
            String what,
            @Nullable Integer grams,
            String words,
            Standing standing) {}

    /** Whether an entry counts. */
    public enum Standing {
        STANDS,
        /** Another entry stands in for it, or took it back. */
        REPLACED,
        /** Stands in for another, or takes one back. */
        CORRECTS
    }

    /** The air of one chamber by the day, and what was wrong with it. */
    public record AirOfChamber(String chamber, List<DayView> days, List<AirEventView> events) {}
}
