package elvaro.server.piece;

/** What a piece is there for. */
public enum PieceRole {
    PLAIN,
    CONTROL,
    TREATED,
    /** Set aside fresh and frozen, to be tasted beside the aged ones. */
    FRESH
}
