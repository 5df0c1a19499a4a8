package elvaro.server.task;

import elvaro.core.schedule.Due;
import elvaro.core.schedule.Work;
import java.time.LocalDate;
import java.util.UUID;
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
