package elvaro.bench;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Compare over 20,000 finished pieces with 400,000 weighings by filters drawn at random: first asked after a start, then while
 * nobody writes, then with an entry written each second, which makes every kept answer worthless. Beside it the same
 * pieces with the sums of their piles by plain JDBC, in the same run.
 */
public final class LargeCompare {
    private static final int SECONDS = 20;

    private static final List<String> ASKED = List.of(
            "by=CHAMBER&measure=SHRINK",
            "by=SUPPLIER&measure=COST&daysFrom=20",
            "by=GRADE&measure=STEAK_YIELD&chamber=Room%201",
            "by=METHOD&measure=DISCARD&daysTo=30",
            "by=BONE&measure=COST&supplier=Farm%203",
            "by=SUPPLIER&measure=SHRINK&grade=heifer&daysFrom=25&daysTo=45",
            "by=TREATMENT&measure=STEAK_YIELD&from=2020-01-01");

    private LargeCompare() {}

    /** @param arguments the packaged application */
    public static void main(String[] arguments) throws Exception {
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client owner = server.owner();
            String hanging = LargeHouse.fill(owner);
            first(owner, "first question ever, all logs read");
            load(owner);
            load(owner).print("Compare  20,000 pieces, nobody writes");
            ScheduledExecutorService scale = Executors.newSingleThreadScheduledExecutor();
            scale.scheduleAtFixedRate(
                    () -> owner.must(owner.write(hanging, Bodies.entry("TURNED", 0))), 0, 1, TimeUnit.SECONDS);
            load(owner).print("Compare  20,000 pieces, a write each second");
            scale.shutdown();
            floor().print("Compare  the pieces and piles by plain JDBC");
        }
        try (ServerUnderTest server = ServerUnderTest.again(Path.of(arguments[0]), log)) {
            first(server.owner(), "first question after a start");
        }
    }

    private static void first(Client owner, String what) {
        owner.status("/api/session"); // the application has answered somebody before
        long began = System.nanoTime();
        owner.status("/api/evidence?" + ASKED.get(0));
        System.out.printf(Locale.ROOT, "Compare  %-40s %.1f s%n", what, (System.nanoTime() - began) / 1e9);
    }

    private static Result load(Client owner) throws InterruptedException {
        return Load.run(
                2,
                4,
                SECONDS,
                worker -> owner.status("/api/evidence?" + ASKED.get((int) (Math.random() * ASKED.size()))) == 200);
    }

    private static Result floor() throws Exception {
        try (Connection connection = PlainJdbc.connect()) {
            return Load.run(1, 1, SECONDS, worker -> {
                try (PreparedStatement query = connection.prepareStatement(
                        "select p.*, (select sum(e.grams) from log_entry e where e.workshop_id = p.workshop_id"
                                + " and e.piece_id = p.id and e.kind = 'PILE') piles from piece p where p.state = 'CUT'")) {
                    return PlainJdbc.read(query) > LargeHouse.PIECES - 1;
                }
            });
        }
    }
}
