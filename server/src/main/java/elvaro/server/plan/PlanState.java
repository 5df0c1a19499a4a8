package elvaro.server.plan;

/** What became of a planned purchase. */
public enum PlanState {
    OPEN,
    HUNG,
    DROPPED
}
