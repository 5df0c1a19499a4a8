package elvaro.e2e;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * No test but a measurement, run by {@code ./elvaro bench felt}: when the content of each view stands, its longest task and
 * how much it jumps, on a phone with a quarter of this processor and 1.6 Mbit/s after 150 ms. The first view has nothing on
 * the device yet; the others have the files of those before. The server was asked for each before: it is the phone that is
 * measured. Each is the least of
 * three: whatever else the machine does only adds to it.
 */
class FeltSpeed {
    private static final int TIMES = 3;
    private static final int SLOWER = 4;
    private static final int LATENCY_MILLIS = 150;
    private static final int DOWN_BYTES = 200_000;
    private static final int UP_BYTES = 94_000;

    private static final String OBSERVE = """
            window.felt = { content: 0, task: 0, shift: 0 };
            const see = (type, each) => new PerformanceObserver(list => list.getEntries().forEach(each)).observe({ type, buffered: true });
            see('largest-contentful-paint', entry => { felt.content = entry.startTime; });
            see('longtask', entry => { felt.task = Math.max(felt.task, entry.duration); });
            see('layout-shift', entry => { if (!entry.hadRecentInput) felt.shift += entry.value; });
            """;

    @Test
    void measure() {
        House house = House.demo();
        try (Visitor desk = Visitor.at(house).signedIn()) {
            Views.of(house).forEach(desk::opens);
        }
        try (Visitor maren = Visitor.withPhone(house).signedIn()) {
            CDPSession phone = maren.page.context().newCDPSession(maren.page);
            phone.send("Emulation.setCPUThrottlingRate", numbers(Map.of("rate", SLOWER)));
            phone.send("Network.enable");
            JsonObject network = numbers(
                    Map.of("latency", LATENCY_MILLIS, "downloadThroughput", DOWN_BYTES, "uploadThroughput", UP_BYTES));
            network.addProperty("offline", false);
            phone.send("Network.emulateNetworkConditions", network);
            maren.page.addInitScript(OBSERVE);
            System.out.printf("%-56s %8s %8s %7s%n", "view", "content", "task", "shift");
            for (String path : Views.of(house)) {
                List<Felt> times = IntStream.range(0, TIMES)
                        .mapToObj(time -> opened(maren, phone, path))
                        .toList();
                System.out.printf(
                        "%-56s %5.0f ms %5.0f ms %7.3f%n",
                        path, least(times, Felt::content), least(times, Felt::task), least(times, Felt::shift));
            }
        }
    }

    private static Felt opened(Visitor maren, CDPSession phone, String path) {
        if (path.equals("/")) {
            phone.send("Network.clearBrowserCache");
        }
        maren.opens(path);
        maren.page.waitForTimeout(1_000); // what comes after the first content counts as well
        return new Felt(felt(maren, "content"), felt(maren, "task"), felt(maren, "shift"));
    }

    private record Felt(double content, double task, double shift) {}

    private static double least(List<Felt> times, ToDoubleFunction<Felt> what) {
        return times.stream().mapToDouble(what).min().orElseThrow();
    }

    private static double felt(Visitor maren, String what) {
        return ((Number) maren.page.evaluate("felt." + what)).doubleValue();
    }

    private static JsonObject numbers(Map<String, Integer> values) {
        JsonObject sent = new JsonObject();
        values.forEach(sent::addProperty);
        return sent;
    }
}
