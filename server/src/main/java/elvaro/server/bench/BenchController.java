package elvaro.server.bench;

import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.server.bench.BenchLessons.LessonsOfBenches;
import elvaro.server.bench.Cutting.SteaksView;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class BenchController {
    private final BenchService service;
    private final BenchLessons lessons;
    private final BenchSheet sheet;

    BenchController(BenchService service, BenchLessons lessons, BenchSheet sheet) {
        this.sheet = sheet;
        this.service = service;
        this.lessons = lessons;
    }

    /**
     * @param steaksOnBone whether steaks are sawn through the bone; absent to leave that as it is
     * @param crustTenthsMm measured at a cut face, tenths of a millimetre
     */
    record CuttingForm(
            @Nullable BenchOrder order,
            @NotNull Closeness closeness,
            @Nullable Boolean steaksOnBone,

            @Nullable
            @Min(value = 1, message = "A crust is thicker than nothing.")
            @Max(value = 400, message = "A crust is thinner than ⟦length 40⟧.")
            Integer crustTenthsMm) {}

    /**
     * Either a thickness or a weight.
     *
     * @param lengthMm measured after trimming, if somebody did
     * @param saw whether it is sawn; a knife takes nothing
     * @param endMm each end piece
     */
    record SteaksAsked(
            @Nullable
            @Min(value = 3, message = "Steaks are ⟦length 3⟧ or thicker.")
            @Max(value = 300, message = "Steaks are ⟦length 300⟧ at most.")
            Integer thicknessMm,

            @Nullable
            @Min(value = 20, message = "Steaks weigh ⟦limit 20⟧ or more.")
            @Max(value = 20_000, message = "Steaks weigh ⟦limit 20000⟧ at most.")
            Integer gramsEach,

            @Nullable
            @Min(value = 20, message = "The piece is ⟦length 20⟧ or longer.")
            @Max(value = 3000, message = "The piece is ⟦length 3000⟧ long at most.")
            Integer lengthMm,

            boolean saw,

            @Min(value = 0, message = "Ends are ⟦length 0⟧ or more.")
            @Max(value = 300, message = "Ends are ⟦length 300⟧ at most.")
            int endMm) {}

    record DiscardRestForm(
            @NotBlank(message = "Say what was wrong with it.") @Size(max = 1000, message = "The reason is too long.")
            String reason) {}

    record CloseForm(@NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}

    record ReopenForm(
            @NotBlank(message = "Say why the bench is opened again.")
            @Size(max = 1000, message = "The reason is too long.")
            String reason) {}

    /** What the last benches taught of crust, knife and steak. */
    @GetMapping("/api/bench-lessons")
    LessonsOfBenches lessons() {
        return lessons.lessons();
    }

    @GetMapping("/api/bench/{pieceId}")
    BenchView bench(@PathVariable UUID pieceId) {
        return service.view(pieceId);
    }

    @PutMapping("/api/bench/{pieceId}/cutting")
    BenchView cutting(@PathVariable UUID pieceId, @RequestBody @Valid CuttingForm form) {
        service.cutting(pieceId, form);
        return service.view(pieceId);
    }

    /** How many steaks come of it, how thick, how heavy. */
    @GetMapping("/api/bench/{pieceId}/steaks")
    SteaksView steaks(@PathVariable UUID pieceId, @Valid @ParameterObject SteaksAsked asked) {
        return service.steaks(pieceId, asked);
    }

    /** The bench on paper. */
    @GetMapping(path = "/api/bench/{pieceId}/sheet", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] sheet(@PathVariable UUID pieceId) {
        return sheet.pdf(pieceId);
    }

    /** Throws away all that lies on no pile yet, and closes. */
    @PutMapping("/api/bench/{pieceId}/discard/{entryId}")
    BenchView discard(
            @PathVariable UUID pieceId, @PathVariable UUID entryId, @RequestBody @Valid DiscardRestForm form) {
        service.discardRest(pieceId, entryId, form.reason());
        return service.view(pieceId);
    }

    @PutMapping("/api/bench/{pieceId}/close/{entryId}")
    BenchView close(@PathVariable UUID pieceId, @PathVariable UUID entryId, @RequestBody @Valid CloseForm form) {
        service.close(pieceId, entryId, form.answers());
        return service.view(pieceId);
    }

    @PutMapping("/api/bench/{pieceId}/reopen/{entryId}")
    BenchView reopen(@PathVariable UUID pieceId, @PathVariable UUID entryId, @RequestBody @Valid ReopenForm form) {
        service.reopen(pieceId, entryId, form.reason());
        return service.view(pieceId);
    }
}
