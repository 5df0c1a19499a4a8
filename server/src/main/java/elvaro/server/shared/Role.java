package elvaro.server.shared;

/** What a person may do in the workshop. */
public enum Role {
    /** Everything, people and prices included. */
    OWNER,
    /** The daily work: receive, hang, weigh, pull, cut. */
    BENCH_HAND
}
