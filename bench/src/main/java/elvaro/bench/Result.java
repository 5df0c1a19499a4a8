package elvaro.bench;

import java.util.List;
import java.util.Locale;

/**
 * What a load measured.
 *
 * @param nanos each request's time from its due moment, ascending
 * @param failures how many failed
 * @param perSecond requests carried out a second
 */
record Result(List<Long> nanos, int failures, double perSecond) {

    /**
     * @param share 0–1
     * @return milliseconds below which that share of the requests lies
     */
    double quantile(double share) {
        int index = Math.min(nanos.size() - 1, (int) Math.floor(share * nanos.size()));
        return nanos.get(index) / 1e6;
    }

    /** One line of the report. */
    void print(String what) {
        System.out.printf(
                Locale.ROOT,
                "%-44s median %6.1f ms, p95 %6.1f ms, %d failed%n",
                what,
                quantile(0.5),
                quantile(0.95),
                failures);
    }
}
