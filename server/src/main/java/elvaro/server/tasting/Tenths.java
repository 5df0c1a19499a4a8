package elvaro.server.tasting;

/** Temperatures as they are kept: whole tenths of a degree Celsius. */
final class Tenths {
    private Tenths() {}

    static int of(double celsius) {
        return (int) Math.round(celsius * 10);
    }
}
