package elvaro.server.scale;

import elvaro.core.weighing.StableWeight;
import elvaro.core.weighing.StableWeight.Figure;
import elvaro.core.weighing.StableWeight.Shown;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** One scale and who watches it. */
class LiveScale {
    private final List<Watcher> watchers = new CopyOnWriteArrayList<>();
    private StableWeight settling = StableWeight.begin();

    /** @return what to show */
    synchronized Shown take(Figure figure, int division) {
        settling = settling.with(figure, division);
        return settling.shown(division);
    }

    /** @throws IllegalStateException if the scale is not at rest */
    synchronized Shown tare(Instant now, int division) {
        settling = settling.tared(now, division);
        return settling.shown(division);
    }

    void tell(Shown shown) {
        watchers.forEach(watcher -> watcher.offer(shown));
    }

    void join(Watcher watcher) {
        watchers.add(watcher);
    }

    void end() {
        watchers.forEach(Watcher::end);
    }

    void leave(Watcher watcher) {
        watchers.remove(watcher);
    }
}
