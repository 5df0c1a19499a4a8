package elvaro.server.hanging;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Method;
import elvaro.server.forecast.ReachView;
import elvaro.server.hanging.StayService.AgeView;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PieceController {
    private final PieceCommands commands;
    private final PieceQueries pieces;
    private final LogService log;
    private final MoveService moves;
    private final StayService stays;
    private final WaitingService waiting;
    private final HideService hides;
    private final ApartService apart;

    PieceController(
            PieceCommands commands,
            PieceQueries pieces,
            LogService log,
            MoveService moves,
            StayService stays,
            WaitingService waiting,
            HideService hides,
            ApartService apart) {
        this.commands = commands;
        this.pieces = pieces;
        this.log = log;
        this.moves = moves;
        this.stays = stays;
        this.waiting = waiting;
        this.hides = hides;
        this.apart = apart;
    }

    /**
     * A way of ageing, with what to offer for it.
     *
     * @param usualIn the chambers most people age so in the first time
     */
    record MethodView(
            Method method,
            String label,
            String surface,
            int usualDays,
            int usualConsumablesMinor,
            List<ChamberKind> usualIn) {}

    record Target(
            @NotNull Integer version,

            @NotNull @Min(value = 1, message = "At least one day.") @Max(value = 400, message = "At most 400 days.")
            Integer targetDays,

            @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}

    record OnIce(
            @NotNull Integer version,

            @NotNull(message = "Say how warm the meat was.")
            @DecimalMin(value = "-5", message = RANGE)
            @DecimalMax(value = "45", message = RANGE)
            Double meatCelsius,

            @NotNull(message = "Say how warm it is round the chest.")
            @DecimalMin(value = "-30", message = RANGE)
            @DecimalMax(value = "45", message = RANGE)
            Double outsideCelsius,

            @Nullable @Min(value = 500, message = BAG) @Max(value = 50_000, message = BAG)
            Integer bagGrams) {
        private static final String BAG = "A bag of ice holds ⟦limit 500⟧ to ⟦limit 50000⟧.";
        private static final String RANGE = "The temperature is out of range.";
    }

    record Hide(
            @NotNull(message = "Weigh the hide.")
            @Min(value = 1, message = "A hide weighs more than ⟦limit 0⟧.")
            @Max(value = 100_000, message = "A hide weighs at most ⟦limit 100000⟧.")
            Integer grams) {}

    record MoveForm(
            @NotNull(message = "Choose the chamber it goes to.")
            UUID chamberId,

            @NotNull @Size(max = 1000, message = "The note is too long.")
            String words,

            @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}

    @GetMapping("/api/methods")
    List<MethodView> methods() {
        return Arrays.stream(Method.values())
                .map(method -> new MethodView(
                        method,
                        method.label(),
                        method.surface(),
                        method.usualDays(),
                        method.usualConsumablesMinor(),
                        Arrays.stream(ChamberKind.values())
                                .filter(kind -> Method.usualIn(kind) == method)
                                .toList()))
                .toList();
    }

    /** Pieces by the start of their tag. */
    @GetMapping("/api/pieces")
    List<PieceCard> tagged(@RequestParam String tag) {
        return pieces.tagged(tag);
    }

    @GetMapping("/api/pieces/cut")
    List<PieceCard> cut() {
        return pieces.cut();
    }

    @GetMapping("/api/chambers/{id}/ages")
    List<AgeView> ages(@PathVariable UUID id) {
        return stays.ages(id);
    }

    @GetMapping("/api/pieces/{id}")
    PieceView piece(@PathVariable UUID id) {
        return pieces.view(id);
    }

    /** When the piece will have lost a share of its green weight. */
    @GetMapping("/api/pieces/{id}/reach")
    ReachView reaches(
            @PathVariable UUID id,
            @RequestParam
                    @DecimalMin(value = "0.1", message = "A shrink is above 0 %.")
                    @DecimalMax(value = "95", message = "A shrink is below 95 %.")
                    double shrinkPercent) {
        return pieces.reaches(id, shrinkPercent / 100);
    }

    @PutMapping("/api/pieces/{id}/target")
    PieceView retarget(@PathVariable UUID id, @RequestBody @Valid Target target) {
        commands.retarget(id, target.version(), target.targetDays(), Answers.of(target.answers()));
        return pieces.view(id);
    }

    /** Says how warm the meat on ice was, and how warm it is round the chest now: its ice follows from both. */
    @PutMapping("/api/pieces/{id}/ice")
    PieceView iced(@PathVariable UUID id, @RequestBody @Valid OnIce form) {
        commands.iced(id, form.version(), form.meatCelsius(), form.outsideCelsius(), form.bagGrams());
        return pieces.view(id);
    }

    /** Takes a batch apart into pieces of their own; sent again, it happens once. */
    @PutMapping("/api/pieces/{id}/apart/{entryId}")
    PieceView takeApart(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid ApartForm form) {
        apart.takeApart(id, entryId, form);
        return pieces.view(id);
    }

    /** Takes the hide off game that hangs; sent again, it happens once. */
    @PutMapping("/api/pieces/{id}/hide/{entryId}")
    PieceView takeHideOff(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid Hide form) {
        hides.takeOff(id, entryId, form.grams());
        return pieces.view(id);
    }

    /** Writes one entry into the log; sent again, it is stored once. */
    @PutMapping("/api/pieces/{id}/log/{entryId}")
    PieceView write(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid EntryForm entry) {
        log.write(id, entryId, entry);
        return pieces.view(id);
    }

    /** Hangs a piece that was treated for days first; sent again, it is hung once. */
    @PutMapping("/api/pieces/{id}/hang/{entryId}")
    PieceView hang(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid HungForm form) {
        waiting.hang(id, entryId, form);
        return pieces.view(id);
    }

    /** Hangs the piece in another chamber; sent again, it is moved once. */
    @PutMapping("/api/pieces/{id}/move/{entryId}")
    PieceView move(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid MoveForm form) {
        moves.move(id, entryId, form.chamberId(), form.words(), form.answers());
        return pieces.view(id);
    }
}
