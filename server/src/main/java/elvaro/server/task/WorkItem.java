package elvaro.server.task;

import elvaro.core.schedule.Due;
import elvaro.core.schedule.Work;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One thing to do, due or coming.
 *
 * @param detail what exactly, where the work alone does not say
 */
public record WorkItem(Due due, Subject subject, @Nullable String detail) {

    /** What work is about. */
    public enum SubjectKind {
        PIECE,
        LOT,
        PLAN,
        CHAMBER
    }

    /**
     * @param tag by which it is called
     * @param name what it is
     * @param chamberName where it is, or is to go
     */
    public record Subject(
            SubjectKind kind,
            UUID id,
            String tag,
            String name,
            @Nullable String chamberName) {}

    public Work work() {
        return due.work();
    }

    public LocalDate on() {
        return due.on();
    }

    /** How long it has been due, or what exactly is to be done. */
    public String words(LocalDate today) {
        return work().words(due.days(today), subject.name(), detail);
    }

    /**
     * By which it is known wherever it was told of: the same while the day it is to be done moves. Work a subject has once is
     * known by the subject, other work by the day the plan has it.
     */
    public String name() {
        LocalDate named = due.plannedOn().orElse(due.on());
        return switch (work()) {
            case PULL, PULL_OVERDUE -> join(Work.PULL);
            case CUT, HANG, BUY -> join(work());
            case STOP, RESEAL, REST, TRIM, CHANGE_ICE, WEIGH, TURN, LOOK -> join(work(), named);
            // Two events of one chamber and day, or two steps of one piece, are told apart by what they are.
            case DECIDE -> join(work(), named, hash(subject.name()));
            case TREAT -> join(work(), named, hash(detail));
        };
    }

    private String join(Object... parts) {
        return Stream.concat(Stream.of(subject.id()), Stream.of(parts))
                .map(String::valueOf)
                .collect(Collectors.joining("-"))
                .toLowerCase(Locale.ROOT);
    }

    private static UUID hash(@Nullable String words) {
        return UUID.nameUUIDFromBytes(String.valueOf(words).getBytes(StandardCharsets.UTF_8));
    }

    /** Where it is done, as an address within the application. */
    public String at() {
        UUID id = subject.id();
        return switch (work().place()) {
            case HERE, SCALE -> "/pieces/" + id;
            case LOOK -> "/look?piece=" + id;
            case BENCH -> "/bench/" + id;
            case TREATMENTS -> "/pieces/" + id + "#treatments";
            case LOT -> "/lots/" + id;
            case PLAN -> "/plan#kept";
            case CHAMBER -> "/chambers/" + id;
        };
    }
}
