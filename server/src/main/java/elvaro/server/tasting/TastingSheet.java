package elvaro.server.tasting;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What a taster handed in for one round, by codes as it was answered. Written once. */
@Entity
@Immutable
@Chained("sheet of a taster")
@Table(name = "tasting_sheet")
@NullUnmarked
class TastingSheet extends WorkshopRow {
    private UUID tastingId;
    private UUID placeId;
    private int round;

    @Convert(converter = SheetAnswers.AnswerColumn.class)
    private SheetAnswers answers;

    private boolean knew;
    private Instant handedInAt;
    private UUID typedBy;

    protected TastingSheet() {}

    /** @param typedBy who typed a paper sheet in; absent where the taster's phone sent it */
    TastingSheet(
            UUID id,
            UUID tastingId,
            UUID placeId,
            int round,
            SheetAnswers answers,
            boolean knew,
            Instant at,
            @Nullable UUID typedBy) {
        super(id);
        this.tastingId = tastingId;
        this.placeId = placeId;
        this.round = round;
        this.answers = answers;
        this.knew = knew;
        handedInAt = at;
        this.typedBy = typedBy;
    }

    UUID tastingId() {
        return tastingId;
    }

    UUID placeId() {
        return placeId;
    }

    int round() {
        return round;
    }

    SheetAnswers answers() {
        return answers;
    }

    boolean knew() {
        return knew;
    }

    Optional<UUID> typedBy() {
        return Optional.ofNullable(typedBy);
    }
}
