package elvaro.bench;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;

/**
 * A steady load of weighings and readings in a house on one machine while its application, its database, or both at once are
 * killed at any moment: whether anything confirmed is lost or there twice, and how long nobody is served.
 */
public final class HouseKills {
    private static final long SEED = 20_261_130;
    private static final int LONGEST_BEFORE_MILLIS = 1_500;
    private static final double OF_THE_DATABASE = 0.8;
    private static final double OF_BOTH = 0.05;

    private HouseKills() {}

    /** @param arguments the launcher, the packaged application, how many kills, for how many minutes at most */
    public static void main(String[] arguments) throws Exception {
        int count = Integer.parseInt(arguments[2]);
        long minutes = Long.parseLong(arguments[3]);
        long began = System.nanoTime();
        try (LaunchedHouse house = new LaunchedHouse(Path.of(arguments[0]), Path.of(arguments[1]), "start")) {
            SteadyLoad load = new SteadyLoad(house.httpPort());
            load.begin(house.code());
            Map<String, Integer> times = new TreeMap<>();
            Map<String, Long> gaps = new TreeMap<>();
            Random random = new Random(SEED);
            int killed = 0;
            int told = 0;
            while (killed < count && minutesSince(began) < minutes) {
                Thread.sleep(random.nextInt(LONGEST_BEFORE_MILLIS));
                List<String> parts = parts(random.nextDouble());
                load.longestGap();
                for (String part : parts) {
                    killed += house.kill(part) ? 1 : 0;
                }
                Thread.sleep(100); // what was under way when it was killed is not taken for service
                load.awaitServed(house::awaitReady);
                times.merge(String.join(" and ", parts), 1, Integer::sum);
                gaps.merge(String.join(" and ", parts), load.longestGap(), Math::max);
                if (killed >= told + 100) {
                    told = killed;
                    System.out.printf("  %d killed, %d min%n", killed, minutesSince(began));
                }
            }
            load.end();
            house.awaitReady();
            System.out.printf("%d kills of one house in %d min%n", killed, minutesSince(began));
            load.report(house.socket());
            times.forEach((parts, number) -> System.out.printf(
                    "  %s, %d times: nobody served for %.1f s at the longest%n", parts, number, gaps.get(parts) / 1e9));
        }
    }

    private static List<String> parts(double drawn) {
        if (drawn < OF_BOTH) {
            return List.of("app", "db");
        }
        return drawn < OF_BOTH + OF_THE_DATABASE ? List.of("db") : List.of("app");
    }

    private static long minutesSince(long began) {
        return TimeUnit.NANOSECONDS.toMinutes(System.nanoTime() - began);
    }
}
