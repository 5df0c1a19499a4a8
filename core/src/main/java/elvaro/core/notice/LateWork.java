package elvaro.core.notice;

/**
 * When late work is told of again: after one, three and seven days, then every week. What is told of every morning is
 * read on none.
 */
public final class LateWork {
    private static final int[] DAYS = {1, 3, 7};
    private static final int WEEK = 7;

    private LateWork() {}

    /**
     * Whether it is told of today.
     *
     * @param days late, 1 or more
     * @param since the last morning anything was told, days, 1 or more; what fell into them is told today
     */
    public static boolean isTold(long days, long since) {
        for (int day : DAYS) {
            if (days - since < day && day <= days) {
                return true;
            }
        }
        return days > WEEK && days / WEEK > Math.max(days - since, WEEK) / WEEK;
    }

    /** How loudly; the later the louder. */
    public static Loudness loudness(long days) {
        return days < DAYS[1] ? Loudness.NORMAL : Loudness.LOUD;
    }

    /** Whether the owner is told of it too, whoever's work it is. */
    public static boolean isForOwners(long days) {
        return days >= WEEK;
    }
}
