package elvaro.server.reading;

import java.util.ArrayList;
import java.util.List;

/** What comes to what is known, both by the second in the order of time; what is known is not overwritten. */
final class Addition {
    private final List<AirReading> fresh = new ArrayList<>();
    private final List<AirReading> completed = new ArrayList<>();
    private final List<AirReading> whole = new ArrayList<>();

    /**
     * @param known all there is of the hours the readings touch
     * @param readings at least one; after those that were added before
     */
    void add(List<AirReading> known, List<AirReading> readings) {
        int next = 0;
        for (AirReading reading : readings) {
            while (next < known.size() && known.get(next).second() < reading.second()) {
                whole.add(known.get(next++));
            }
            if (next < known.size() && known.get(next).second() == reading.second()) {
                complete(known.get(next++), reading);
            } else {
                fresh.add(reading);
                whole.add(reading);
            }
        }
        whole.addAll(known.subList(next, known.size()));
    }

    private void complete(AirReading known, AirReading reading) {
        AirReading both = known.and(reading);
        whole.add(both);
        if (!both.equals(known)) {
            completed.add(both);
        }
    }

    /** Of seconds nothing was known of. */
    List<AirReading> fresh() {
        return fresh;
    }

    /** Known seconds of which more is known now. */
    List<AirReading> completed() {
        return completed;
    }

    /** All there is now of the hours the readings touch, in the order of time. */
    List<AirReading> whole() {
        return whole;
    }
}
