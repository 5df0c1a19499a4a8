package elvaro.server.compare;

import elvaro.core.drying.Method;
import elvaro.server.forecast.TrackRecords;
import elvaro.server.forecast.TrackRecords.TrackRecordView;
import elvaro.server.hanging.PieceCommands;
import elvaro.server.hanging.PieceQueries;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TrackRecordController {
    private final TrackRecords records;
    private final PieceQueries pieces;
    private final PieceCommands commands;

    TrackRecordController(TrackRecords records, PieceQueries pieces, PieceCommands commands) {
        this.records = records;
        this.pieces = pieces;
        this.commands = commands;
    }

    /** @param counts whether it teaches even where it contradicts the rest */
    record TeachingForm(@NotNull Integer version, @NotNull Boolean counts) {}

    /** @param sentence absent while nothing is known */
    record LikeThisView(@Nullable String sentence) {}

    /** How good the forecasts of the shop were, and which pieces it does not learn from. */
    @GetMapping("/api/forecasts/record")
    TrackRecordView all() {
        return records.all();
    }

    /** How good forecasts of a method were on the day of the hanging. */
    @GetMapping("/api/forecasts/like")
    LikeThisView like(@RequestParam Method method) {
        return new LikeThisView(records.like(method, 0).orElse(null));
    }

    /** How good forecasts like that of this piece were. */
    @GetMapping("/api/pieces/{id}/forecast/record")
    LikeThisView likeThis(@PathVariable UUID id) {
        return new LikeThisView(records.like(pieces.find(id)).orElse(null));
    }

    /** Puts a finished piece back among those the shop learns from, or leaves that to its weights again. */
    @PutMapping("/api/pieces/{id}/teaches")
    TrackRecordView teaches(@PathVariable UUID id, @RequestBody @Valid TeachingForm form) {
        commands.teach(id, form.version(), form.counts());
        return records.all();
    }
}
