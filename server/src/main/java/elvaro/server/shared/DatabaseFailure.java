package elvaro.server.shared;

import java.sql.SQLException;
import java.sql.SQLTimeoutException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.CannotCreateTransactionException;

/** Why the database did not do what it was asked, where that is nobody's fault who asked. */
enum DatabaseFailure {
    /** It is not there, does not answer in time, or is ending. */
    AWAY(
            "database-away",
            "The database does not answer. What you typed is kept. Try again in a moment: it is saved once."),
    BUSY("busy", "Others are writing to the same piece. Nothing was saved; try again in a moment."),
    FULL(
            "disk-full",
            "The disk of the machine that runs Elvaro is full. Nothing was saved. Tell the owner to make room, then try"
                    + " again: it is saved once.");

    /** MariaDB: disk full (1021), table is full (1114), no space left for a file (1030 tells it in words). */
    private static final Set<Integer> NO_ROOM = Set.of(1021, 1114);

    private static final String NO_ROOM_IN_WORDS = "No space left on device";

    /** MariaDB: lock wait timeout (1205), deadlock (1213). */
    private static final Set<Integer> LOCKED = Set.of(1205, 1213);

    /** MariaDB: deadlock, or a conflict between nodes of a cluster; the transaction is taken back whole. */
    private static final int TAKEN_BACK = 1213;

    /** MariaDB: read only (1290), query interrupted (1317), connection killed (1927), statement took too long (1969). */
    private static final Set<Integer> NOT_NOW = Set.of(1290, 1317, 1927, 1969);

    private static final String CONNECTION_STATE = "08";

    /** The pool's own word for a connection that was lost, which has no state; a rollback over it hides why it was lost. */
    private static final String LOST = "Connection is closed";

    private final String type;
    private final String sentence;

    DatabaseFailure(String type, String sentence) {
        this.type = type;
        this.sentence = sentence;
    }

    String type() {
        return type;
    }

    String sentence() {
        return sentence;
    }

    /** Told from what lies beneath, in whatever it was wrapped on its way up. */
    static Optional<DatabaseFailure> of(Throwable failure) {
        return Stream.iterate(failure, each -> each != null, Throwable::getCause)
                .flatMap(each -> one(each).stream())
                .findFirst();
    }

    /** Whether the database says that the transaction is as if it had never been, for somebody else's. */
    static boolean isTakenBack(Throwable failure) {
        return Stream.iterate(failure, each -> each != null, Throwable::getCause)
                .anyMatch(each -> each instanceof SQLException cause && cause.getErrorCode() == TAKEN_BACK);
    }

    private static Optional<DatabaseFailure> one(Throwable failure) {
        if (failure instanceof SQLTransientConnectionException
                || failure instanceof SQLTimeoutException
                || failure instanceof CannotCreateTransactionException
                || failure instanceof DataAccessResourceFailureException) {
            return Optional.of(AWAY);
        }
        if (!(failure instanceof SQLException cause)) {
            return Optional.empty();
        }
        int code = cause.getErrorCode();
        String state = String.valueOf(cause.getSQLState());
        if (NO_ROOM.contains(code) || String.valueOf(cause.getMessage()).contains(NO_ROOM_IN_WORDS)) {
            return Optional.of(FULL);
        }
        if (LOCKED.contains(code)) {
            return Optional.of(BUSY);
        }
        boolean lost = state.startsWith(CONNECTION_STATE) || LOST.equals(cause.getMessage());
        return lost || NOT_NOW.contains(code) ? Optional.of(AWAY) : Optional.empty();
    }
}
