package elvaro.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;

/** The floor a server is held against: the same rows read by plain JDBC. */
final class PlainJdbc {
    private PlainJdbc() {}

    /** As the owner of the tables, who may make one beside them; the application may not. */
    static Connection connect() throws SQLException {
        return DriverManager.getConnection(
                System.getenv("ELVARO_DB_URL"),
                System.getenv("ELVARO_DB_OWNER"),
                System.getenv("ELVARO_DB_OWNER_PASSWORD"));
    }

    /** Reads every cell of every row; returns how many rows there were. */
    static int read(PreparedStatement query) throws SQLException {
        int rows = 0;
        try (ResultSet all = query.executeQuery()) {
            int columns = all.getMetaData().getColumnCount();
            while (all.next()) {
                for (int column = 1; column <= columns; column++) {
                    all.getString(column);
                }
                rows++;
            }
        }
        return rows;
    }
}
