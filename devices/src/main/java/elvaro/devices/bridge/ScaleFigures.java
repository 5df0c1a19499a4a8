package elvaro.devices.bridge;

import elvaro.core.weighing.ScaleLine.ScaleShown;
import elvaro.devices.bridge.BridgeFile.ScaleSource;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;

/** Tells Elvaro what a scale shows: the last figure five times a second at most, and once a second while nothing changes. */
final class ScaleFigures implements Runnable {
    private static final long TICK_MILLIS = 200;
    private static final int TICKS_AT_REST = 5;

    private final ScaleSource source;
    private final Elvaro elvaro;
    private final AtomicReference<@Nullable ScaleShown> last = new AtomicReference<>();

    ScaleFigures(ScaleSource source, Elvaro elvaro) {
        this.source = source;
        this.elvaro = elvaro;
    }

    void shows(ScaleShown figure) {
        last.set(figure);
    }

    /** Until it is interrupted. A scale that says nothing more is silent here too. */
    @Override
    public void run() {
        ScaleShown told = null;
        int ticks = 0;
        try {
            while (true) {
                Thread.sleep(TICK_MILLIS);
                ScaleShown now = last.getAndSet(null);
                ticks++;
                if (now != null && (!now.equals(told) || ticks >= TICKS_AT_REST)) {
                    elvaro.show(source.name(), source.token(), record(now));
                    told = now;
                    ticks = 0;
                }
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    /** One SenML record, RFC 8428. */
    static String record(ScaleShown figure) {
        return figure.overloaded()
                ? "{\"n\":\"scale:overload\",\"vb\":true}"
                : String.format(Locale.ROOT, "{\"n\":\"scale\",\"u\":\"g\",\"v\":%.1f}", figure.grams());
    }
}
