package elvaro.server.rehearsal;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** A lesson a person is to pass before they work alone. */
@Entity
@Table(name = "lesson_asked")
@NullUnmarked
class LessonAsked extends WorkshopRow {
    private UUID accountId;

    @Enumerated(EnumType.STRING)
    private RehearsalLesson lesson;

    protected LessonAsked() {}

    LessonAsked(UUID id, UUID accountId, RehearsalLesson lesson) {
        super(id);
        this.accountId = accountId;
        this.lesson = lesson;
    }

    UUID accountId() {
        return accountId;
    }

    RehearsalLesson lesson() {
        return lesson;
    }
}
