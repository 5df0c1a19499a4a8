package elvaro.server.piece;

/** Which comes first at the bench. */
public enum BenchOrder {
    SLICE_FIRST,
    TRIM_FIRST
}
