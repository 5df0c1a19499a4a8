package elvaro.server.channel;

import java.time.Duration;
import java.util.Optional;

/**
 * What became of trying to send.
 *
 * @param answer of the other side, in a few words for a person
 * @param pause after which the other side wants to be asked again, where it says so
 */
public record Sent(Fate fate, String answer, Optional<Duration> pause) {
    private static final int LONGEST_ANSWER = 300;

    /** How it went. */
    public enum Fate {
        /** The other side has it. */
        TAKEN,
        /** Not now; to be tried again. */
        FAILED,
        /** Never, whatever is tried. */
        REFUSED,
        /** Never, and whoever it went to is not there any more. */
        GONE
    }

    public Sent {
        answer = answer.length() > LONGEST_ANSWER ? answer.substring(0, LONGEST_ANSWER) : answer;
    }

    static Sent taken(String answer) {
        return new Sent(Fate.TAKEN, answer, Optional.empty());
    }

    static Sent failed(String answer) {
        return new Sent(Fate.FAILED, answer, Optional.empty());
    }

    static Sent refused(String answer) {
        return new Sent(Fate.REFUSED, answer, Optional.empty());
    }
}
