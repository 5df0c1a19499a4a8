package elvaro.server.support;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** Somebody with every right on the database, who takes away what guards the record and puts it back after their deed. */
public final class DatabaseOwner {
    private DatabaseOwner() {}

    /** @param deed statements that no trigger of the tables sees */
    public static void does(List<String> tables, String... deed) {
        try (Connection owner = DriverManager.getConnection(
                        RunningApp.property("spring.flyway.url"),
                        RunningApp.property("spring.flyway.user"),
                        RunningApp.property("spring.flyway.password"));
                Statement statement = owner.createStatement()) {
            List<String> guards = new ArrayList<>();
            for (String table : tables) {
                for (String event : List.of("unchanged", "kept")) {
                    String guard = table + "_" + event;
                    try (ResultSet row = statement.executeQuery("show create trigger " + guard)) {
                        row.next();
                        guards.add(row.getString("SQL Original Statement"));
                    }
                    statement.execute("drop trigger " + guard);
                }
            }
            try {
                statement.execute("set foreign_key_checks = 0");
                for (String each : deed) {
                    statement.execute(each);
                }
            } finally {
                for (String guard : guards) {
                    statement.execute(guard);
                }
            }
        } catch (SQLException failure) {
            throw new IllegalStateException(failure);
        }
    }
}
