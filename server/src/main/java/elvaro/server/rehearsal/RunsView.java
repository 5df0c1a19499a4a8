package elvaro.server.rehearsal;

import java.util.List;

/**
 * How a plan may go.
 *
 * @param told in sentences
 * @param mostGrams the most steak of any run
 * @param runs each of them
 * @param befell what went wrong, and in how many
 */
record RunsView(List<String> told, int mostGrams, List<RunLine> runs, List<BefellTimes> befell) {
    /** Grams of steak, looked after and left alone. */
    record RunLine(int lookedAfter, int leftAlone) {}

    record BefellTimes(String told, int times) {}
}
