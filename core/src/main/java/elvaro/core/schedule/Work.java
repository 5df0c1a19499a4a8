package elvaro.core.schedule;

import static elvaro.core.ledger.LogFact.LogFactKind.CUT_AWAY;
import static elvaro.core.ledger.LogFact.LogFactKind.MOVED;
import static elvaro.core.ledger.LogFact.LogFactKind.RESEALED;
import static elvaro.core.ledger.LogFact.LogFactKind.RESTED;
import static elvaro.core.ledger.LogFact.LogFactKind.RETIED;
import static elvaro.core.ledger.LogFact.LogFactKind.TRIMMED;
import static elvaro.core.ledger.LogFact.LogFactKind.TURNED;
import static elvaro.core.ledger.LogFact.LogFactKind.WEIGHED;
import static elvaro.core.ledger.LogFact.LogFactKind.WITHDRAWN;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.working.Quantity;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a person is asked to do, the most urgent first, with the one set of words for it on screen, paper and calendar. */
public enum Work {
    /** A look that said stop: what is bad is still there. */
    STOP("See to it", "", "What is bad spreads, and it does not get better by itself.", WorkPlace.LOOK, CUT_AWAY),
    PULL_OVERDUE("Pull", "", "Past its day it costs steak and gives little more.", WorkPlace.SCALE),
    PULL("Pull", "", "It has had the days it was hung for.", WorkPlace.SCALE),
    /** Air that was too warm, or a probe that fell silent. */
    DECIDE("Decide", "", "Whether the meat of that time may go on is a person's word.", WorkPlace.CHAMBER),
    /** A membrane that leaks: reseal or rewrap. */
    RESEAL(
            "Reseal",
            "Resealed",
            "Air under a film dries and feeds mould where nobody sees it.",
            WorkPlace.HERE,
            RESEALED),
    /** What smelled faintly acid: unwrap, a day in the cold. */
    REST(
            "Unwrap",
            "Unwrapped",
            "Shut in, the smell stays and grows; in dry cold it goes or shows itself.",
            WorkPlace.HERE,
            RESTED),
    /** Folds and cuts: trim them even. */
    TRIM("Trim", "Trimmed", "Wet folds are where it spoils first.", WorkPlace.HERE, TRIMMED, CUT_AWAY, WITHDRAWN),
    /** A step of a treatment. */
    TREAT("Treat", "", "A step left out changes what it becomes.", WorkPlace.TREATMENTS),
    CUT("Cut", "", "Once pulled, its surface goes on drying.", WorkPlace.BENCH),
    /** A purchase that was planned. */
    BUY("Buy", "", "So that it is there on the day it is to hang.", WorkPlace.PLAN),
    /** A lot that came in and hangs nowhere yet. */
    HANG("Hang", "", "In its pack it keeps its water and does not age dry.", WorkPlace.LOT),
    CHANGE_ICE("Change ice", "Iced", "Meltwater that stands washes out colour and carries germs.", WorkPlace.HERE),
    WEIGH("Weigh", "", "A weight shows how fast it dries and puts the forecast right.", WorkPlace.SCALE, WEIGHED),
    TURN("Turn", "Turned", "The side it lies on gets no air and stays wet.", WorkPlace.HERE, TURNED, RETIED, MOVED),
    LOOK("Look", "", "What is seen early is cut away small.", WorkPlace.LOOK);

    private static final Duration MORNING = Duration.ofHours(8);
    private static final Duration EVENING_BEFORE = Duration.ofHours(-6);

    /** A purchase is put before people so many days before it is to hang. */
    private static final int DAYS_TO_BUY = 3;

    /**
     * A piece that was not turned for so long has its crust on every side but one, and turning it changes nothing any more
     * (EST).
     */
    private static final int TURNING_LAPSES_DAYS = 14;

    /** Where work is done. */
    public enum WorkPlace {
        /** By touching it where it is shown. */
        HERE,
        SCALE,
        LOOK,
        BENCH,
        TREATMENTS,
        LOT,
        PLAN,
        CHAMBER
    }

    private final String label;
    private final String done;
    private final String reason;
    private final WorkPlace place;
    private final List<LogFactKind> shownBy;

    Work(String label, String done, String reason, WorkPlace place, LogFactKind... shownBy) {
        this.label = label;
        this.done = done;
        this.reason = reason;
        this.place = place;
        this.shownBy = List.of(shownBy);
    }

    /** What to do, in a word. */
    public String label() {
        return label;
    }

    /** What is said by touching it, where the touch is all there is to say. */
    public Optional<String> done() {
        return done.isEmpty() ? Optional.empty() : Optional.of(done);
    }

    /** Why it is to be done, for whoever does it the first time. */
    public String reason() {
        return reason;
    }

    public WorkPlace place() {
        return place;
    }

    /** What in the log shows that it was done. */
    public List<LogFactKind> shownBy() {
        return shownBy;
    }

    /** What a touch writes into the log; empty where it writes nothing there. */
    public Optional<LogFactKind> logs() {
        return place == WorkPlace.HERE ? shownBy.stream().findFirst() : Optional.empty();
    }

    /** Whether nobody can do it but by deciding something. */
    public boolean asksAPerson() {
        return this == STOP || this == DECIDE;
    }

    /** How many days before its own it is shown among what is to be done. */
    public int noticeDays() {
        return this == BUY ? DAYS_TO_BUY : 0;
    }

    /**
     * When a calendar reminds of it, counted from the midnight its day begins with. What comes round every few days reminds
     * nobody by itself: a room full of it would ring all morning.
     */
    public List<Duration> reminders() {
        return switch (this) {
            case STOP, PULL_OVERDUE, DECIDE, RESEAL, REST, TREAT, CHANGE_ICE -> List.of(MORNING);
            case PULL -> List.of(EVENING_BEFORE, MORNING);
            case BUY -> List.of(MORNING.minusDays(DAYS_TO_BUY), MORNING);
            case TRIM, CUT, HANG, WEIGH, TURN, LOOK -> List.of();
        };
    }

    /**
     * Whether it lost its point.
     *
     * @param days how long it has been due
     */
    public boolean lapsed(long days) {
        return this == TURN && days > TURNING_LAPSES_DAYS;
    }

    /**
     * How long it has been due, or what exactly is to be done.
     *
     * @param days how long it has been due, 0 on its day, below 0 before
     * @param name of what it is about
     * @param detail what exactly, where the work alone does not say
     */
    public String words(long days, String name, @Nullable String detail) {
        String late = Quantity.days(Math.max(0, days));
        boolean inTime = days <= 0;
        return switch (this) {
            case STOP -> inTime ? "a look said stop" : "a look said stop %s ago".formatted(late);
            case RESEAL -> inTime ? "its membrane leaks" : "has leaked for %s".formatted(late);
            case REST -> "unwrap, a day in the cold";
            case TRIM -> "trim folds and cuts even";
            case TREAT -> detail == null ? "" : detail;
            case PULL_OVERDUE -> "%s past its target".formatted(late);
            case PULL -> days == 0 ? "its day is today" : "the day of its target";
            case DECIDE -> inTime ? "%s, today".formatted(name) : "%s, %s ago".formatted(name, late);
            case CUT -> inTime ? "pulled today" : "pulled %s ago".formatted(late);
            case HANG -> inTime ? "came today" : "came %s ago".formatted(late);
            case BUY ->
                days < 0
                        ? "to hang in %s".formatted(Quantity.days(-days))
                        : days == 0 ? "to hang today" : "%s late".formatted(late);
            case WEIGH -> inTime ? "weigh it today" : "to be weighed, %s late".formatted(late);
            case TURN -> inTime ? "turn it today" : "to be turned, %s late".formatted(late);
            case LOOK -> inTime ? "look and smell today" : "to be looked at, %s late".formatted(late);
            case CHANGE_ICE ->
                (detail == null ? "drain, fresh ice" : detail) + (inTime ? "" : ", %s late".formatted(late));
        };
    }
}
