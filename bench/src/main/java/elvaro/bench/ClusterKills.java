package elvaro.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A steady load of weighings and readings through the balancer of {@code ./elvaro cluster} while each database node, each
 * application node and the balancer are killed by turns, and at last two databases at once: whether anything confirmed is
 * lost, anything is there twice, and how long nobody is served.
 */
public final class ClusterKills {
    private static final List<String> PARTS = List.of("db1", "db2", "db3", "app1", "app2", "balancer");
    private static final int READY_SECONDS = 240;
    private static final int CALM_BETWEEN_MILLIS = 2_000;

    private final LaunchedHouse house;
    private final SteadyLoad load;

    private ClusterKills(LaunchedHouse house) {
        this.house = house;
        load = new SteadyLoad(house.httpPort());
    }

    /** @param arguments the launcher, the packaged application, how many kills */
    public static void main(String[] arguments) throws Exception {
        try (LaunchedHouse house = new LaunchedHouse(Path.of(arguments[0]), Path.of(arguments[1]), "cluster")) {
            new ClusterKills(house).run(Integer.parseInt(arguments[2]));
        }
    }

    private void run(int count) throws Exception {
        load.begin(house.code());
        Map<String, Long> gaps = new TreeMap<>();
        settle("the load");
        for (int index = 0; index < count; index++) {
            String part = PARTS.get(index % PARTS.size());
            load.longestGap();
            house.kill(part);
            settle(part);
            gaps.merge(part, load.longestGap(), Math::max);
        }
        long withoutQuorum = quorumLost();
        load.end();
        System.out.printf("%d kills of the cluster%n", count);
        load.report(house.socket(1));
        gaps.forEach((part, gap) -> System.out.printf("  longest gap after a kill of %s: %.1f s%n", part, gap / 1e9));
        System.out.printf("  longest gap with two databases killed at once: %.1f s%n", withoutQuorum / 1e9);
    }

    /** Two of three at once: the third knows that it does not know, and says so until they are back. */
    private long quorumLost() throws Exception {
        settle("db1");
        load.longestGap();
        long before = load.turnedAway(503);
        house.kill("db2");
        house.kill("db3");
        Thread.sleep(2_000);
        settle("db1");
        System.out.printf(
                "Two databases of three killed at once: %d answers were 503%n", load.turnedAway(503) - before);
        return load.longestGap();
    }

    /** Until every part is there again, all databases are one, and the load is served. */
    private void settle(String part) throws Exception {
        Instant deadline = Instant.now().plusSeconds(READY_SECONDS);
        Thread.sleep(1_000);
        while (!whole()) {
            if (Instant.now().isAfter(deadline)) {
                throw new IllegalStateException(part + " did not come back: " + house.said());
            }
            Thread.sleep(300);
        }
        Thread.sleep(CALM_BETWEEN_MILLIS);
    }

    private boolean whole() throws IOException, InterruptedException {
        for (String part : PARTS) {
            if (!house.runs(part)) {
                return false;
            }
        }
        StringBuilder said = new StringBuilder();
        for (int node = 1; node <= 3; node++) {
            said.append(new String(new ProcessBuilder(
                            "mariadb",
                            "--no-defaults",
                            "--connect-timeout=2",
                            "--socket=" + house.socket(node),
                            "-N",
                            "-e",
                            "show status where variable_name in ('wsrep_cluster_size', 'wsrep_local_state_comment')")
                    .start()
                    .getInputStream()
                    .readAllBytes()));
        }
        return said.toString().equals("wsrep_cluster_size\t3\nwsrep_local_state_comment\tSynced\n".repeat(3))
                && Launched.isReady("127.0.0.1", house.httpPort() + 1)
                && Launched.isReady("127.0.0.2", house.httpPort() + 1);
    }
}
