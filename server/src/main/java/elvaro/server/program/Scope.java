package elvaro.server.program;

import elvaro.server.shared.Role;

/** What a token opens. A program gets no more than its work needs. */
public enum Scope {
    /** Pieces with their logs, chambers, what is due, alarms. */
    READ(Role.BENCH_HAND),
    /** The air of chambers. */
    AIR(Role.BENCH_HAND),
    /** Writing weighings. */
    WEIGH(Role.BENCH_HAND),
    /** The whole record as files. */
    EXPORT(Role.OWNER);

    private final Role least;

    Scope(Role least) {
        this.least = least;
    }

    /** Whether a person may give it away: nobody gives more than they have. */
    boolean isFor(Role role) {
        return least == Role.BENCH_HAND || role == least;
    }
}
