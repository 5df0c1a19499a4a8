package elvaro.server.scale;

import elvaro.core.weighing.StableWeight.Shown;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;

/** The screens at this node that watch one scale. */
class Watchers {
    private final List<Watcher> screens = new CopyOnWriteArrayList<>();
    private final AtomicLong told = new AtomicLong(-1);

    boolean isEmpty() {
        return screens.isEmpty();
    }

    /** @return the number of the state they were told last, below 0 if none */
    long told() {
        return told.get();
    }

    void tell(long number, Shown shown) {
        told.set(number);
        tell(shown);
    }

    void tell(Shown shown) {
        screens.forEach(screen -> screen.offer(shown));
    }

    void join(Watcher screen) {
        screens.add(screen);
    }

    void leave(Watcher screen) {
        screens.remove(screen);
    }

    void end() {
        screens.forEach(Watcher::end);
    }
}
