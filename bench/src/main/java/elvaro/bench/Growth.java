package elvaro.bench;

import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;

/**
 * How many bytes a finished piece, a reading and a picture take on the disk, measured on a house of 20,000 pieces and a year of
 * one chamber's air; and what follows for 1, 100 and 10,000 workshops.
 */
public final class Growth {
    private static final int READINGS = 525_600;

    /** A shop: pieces finished in a year, chambers with a probe, pictures of a piece of so many bytes (EST). */
    private static final int PIECES_A_YEAR = 300;

    private static final int CHAMBERS = 3;
    private static final int PICTURES_A_PIECE = 4;
    private static final int PICTURE_BYTES = 250_000;

    private Growth() {}

    /** @param arguments the packaged application */
    public static void main(String[] arguments) throws Exception {
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client owner = server.owner();
            String chamber = owner.chamber("North Room", 900_000);
            String token = owner.deviceToken(UUID.randomUUID().toString(), chamber);
            long empty = bytes();
            Ingest.load(server, token, Instant.now().minus(Duration.ofMinutes(READINGS)), READINGS);
            long air = bytes() - empty;
            long before = bytes();
            LargeHouse.fill(owner);
            owner.status("/api/evidence?by=CHAMBER&measure=SHRINK");
            long pieces = bytes() - before;
            double piece = (double) pieces / LargeHouse.PIECES;
            double reading = (double) air / READINGS;
            System.out.printf(
                    Locale.ROOT,
                    "Growth   a finished piece with 20 weighings %.0f bytes, a reading with its hour %.1f bytes; empty %d MB%n",
                    piece,
                    reading,
                    empty / 1_000_000);
            for (int workshops : new int[] {1, 100, 10_000}) {
                double air1 = reading * READINGS * CHAMBERS * workshops / 1e9;
                double pieces1 = piece * PIECES_A_YEAR * workshops / 1e9;
                double pictures = (double) PICTURE_BYTES * PICTURES_A_PIECE * PIECES_A_YEAR * workshops / 1e9;
                System.out.printf(
                        Locale.ROOT,
                        "Growth   %,6d workshops a year: air %.2f GB, pieces %.2f GB, pictures %.2f GB; readings a second %.1f%n",
                        workshops,
                        air1,
                        pieces1,
                        pictures,
                        CHAMBERS * workshops / 60.0);
            }
        }
    }

    /** Of the tables and their indexes, as the database counts them. */
    private static long bytes() throws SQLException {
        try (Connection connection = PlainJdbc.connect();
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "analyze table air_reading, air_hour, piece, log_entry, chain_link, finished_figures, piece_plan, lot");
            try (ResultSet row = statement.executeQuery("select sum(data_length + index_length)"
                    + " from information_schema.tables where table_schema = database()")) {
                row.next();
                return row.getLong(1);
            }
        }
    }
}
