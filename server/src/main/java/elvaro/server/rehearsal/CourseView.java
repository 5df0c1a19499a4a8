package elvaro.server.rehearsal;

import elvaro.core.rehearsal.RehearsalLesson;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The course, and how far one is.
 *
 * @param lessons in their order
 * @param running rehearsals that were begun and are not over, the newest first
 * @param hands who passed what, for the owner; empty for others
 * @param purse what there is for a piece of one's own, in words
 */
record CourseView(List<LessonLine> lessons, List<RunningLine> running, List<HandLine> hands, String purse) {
    /**
     * @param best score so far; absent where none was ended
     * @param asked whether the shop asks for it before one works alone
     */
    record LessonLine(
            RehearsalLesson lesson,
            String title,
            String task,
            boolean passed,
            @Nullable Integer best,
            boolean asked) {}

    /** @param title of the lesson, or of what is rehearsed */
    record RunningLine(UUID id, String title, Instant begunAt) {}

    /**
     * @param all how many lessons there are
     * @param passed lessons
     * @param asked lessons, before this person works alone
     */
    record HandLine(UUID id, String name, int all, List<RehearsalLesson> passed, List<RehearsalLesson> asked) {}
}
