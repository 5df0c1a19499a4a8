package elvaro.server.exchange;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.LongWork;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads all rows of the workshop as they were at one moment, a few at a time, whatever is written meanwhile. */
@Component
class CarriedRows {
    private static final int ROWS_AT_ONCE = 1000;

    private final JdbcTemplate database;
    private final CurrentWorkshop current;
    private final TransactionTemplate snapshot;
    private final LongWork longWork;

    CarriedRows(
            JdbcTemplate database,
            CurrentWorkshop current,
            PlatformTransactionManager transactions,
            LongWork longWork) {
        this.longWork = longWork;
        this.database = new JdbcTemplate(database.getDataSource());
        this.database.setFetchSize(ROWS_AT_ONCE); // MariaDB then sends rows as they are read
        this.current = current;
        this.snapshot = new TransactionTemplate(transactions);
        this.snapshot.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
        this.snapshot.setReadOnly(true);
    }

    /** What is done with the rows; it may write to where they go. */
    interface RowWork {
        void run() throws IOException;
    }

    /** What is done with one row; it may write to where it goes. */
    interface EachRow {
        void take(@Nullable Object[] values) throws IOException;
    }

    /** All that is read within sees the same moment. */
    void atOneMoment(RowWork work) throws IOException {
        try {
            snapshot.executeWithoutResult(status -> {
                try {
                    longWork.allow();
                    work.run();
                } catch (IOException failure) {
                    throw new UncheckedIOException(failure);
                }
            });
        } catch (UncheckedIOException failure) {
            throw failure.getCause();
        }
    }

    int count(ArchiveTable table) {
        Integer rows = database.queryForObject(table.count(), Integer.class, workshop());
        return rows == null ? 0 : rows;
    }

    /** @param each is given the values in the order of the table's columns, in an array that is used again */
    void read(ArchiveTable table, EachRow each) {
        List<ArchiveColumn> columns = table.columns();
        Object[] values = new Object[columns.size()];
        database.query(
                table.select(),
                row -> {
                    for (int index = 0; index < values.length; index++) {
                        values[index] = columns.get(index).value(row, index + 1);
                    }
                    take(each, values);
                },
                workshop());
    }

    private static void take(EachRow each, @Nullable Object[] values) {
        try {
            each.take(values);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** Every photo by its id. Each is fetched by itself, since one may have megabytes. */
    void photos(BiConsumer<String, byte[]> each) {
        List<String> ids =
                database.queryForList("select id from look_photo where workshop_id = ?", String.class, workshop());
        for (String id : ids) {
            database.query(
                    "select jpeg from look_photo where workshop_id = ? and id = ?",
                    (ResultSet row) -> each.accept(id, jpeg(row)),
                    workshop(),
                    id);
        }
    }

    private static byte[] jpeg(ResultSet row) throws SQLException {
        return row.getBytes(1);
    }

    private String workshop() {
        return current.person().workshopId().toString();
    }
}
