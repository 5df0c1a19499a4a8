package elvaro.server.rehearsal;

import elvaro.core.rehearsal.Deed;
import elvaro.core.rehearsal.RehearsalWorld;
import elvaro.core.rehearsal.TrueAir;
import elvaro.server.reading.AirHistory;
import elvaro.server.reading.AirHistory.Past;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What the probe of a rehearsal's chamber showed while days went by. */
@Component
class RehearsalAir {
    private static final double STEP_DAYS = 1 / 48.0;

    private final AirHistory history;
    private final RehearsalRepository rehearsals;

    RehearsalAir(AirHistory history, RehearsalRepository rehearsals) {
        this.history = history;
        this.rehearsals = rehearsals;
    }

    /** What was done about the room so far. */
    List<Deed> deeds(Rehearsal rehearsal) {
        return rehearsals.deeds().stream()
                .map(deed -> new Deed(rehearsal.day(deed.doneAt()), deed.kind()))
                .toList();
    }

    /** Half-hourly, between two days. */
    void record(Rehearsal rehearsal, double fromDay, double toDay) {
        RehearsalWorld world = new RehearsalWorld(rehearsal.plan(), deeds(rehearsal));
        List<Past> readings = new ArrayList<>();
        for (double day = fromDay + STEP_DAYS; day <= toDay; day += STEP_DAYS) {
            TrueAir air = world.shown(day);
            readings.add(new Past(rehearsal.at(day), air.celsius(), 100 * air.humidity(), air.speed()));
        }
        if (!readings.isEmpty()) {
            history.keep(rehearsal.chamberId(), readings);
        }
    }
}
