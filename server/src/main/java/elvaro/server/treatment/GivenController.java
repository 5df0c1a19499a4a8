package elvaro.server.treatment;

import elvaro.server.treatment.TreatmentQueries.GivenView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was given to a piece. */
@RestController
@RequestMapping("/api/pieces/{pieceId}/treatments")
class GivenController {
    private final TreatmentService treatments;
    private final TreatmentQueries treated;

    GivenController(TreatmentService treatments, TreatmentQueries treated) {
        this.treatments = treatments;
        this.treated = treated;
    }

    record BackForm(
            @NotNull @Size(max = 1000, message = "The note is too long.")
            String words) {}

    @GetMapping
    List<GivenView> given(@PathVariable UUID pieceId) {
        return treated.of(pieceId);
    }

    /** Gives the piece a treatment; sent again, it is given once. */
    @PutMapping("/{entryId}")
    List<GivenView> give(
            @PathVariable UUID pieceId, @PathVariable UUID entryId, @RequestBody @Valid TreatmentForm form) {
        treatments.give(pieceId, entryId, form);
        return treated.of(pieceId);
    }

    /** Does a step; sent again, it is done once. */
    @PutMapping("/{treatmentId}/steps/{entryId}")
    List<GivenView> step(
            @PathVariable UUID pieceId,
            @PathVariable UUID treatmentId,
            @PathVariable UUID entryId,
            @RequestBody @Valid StepForm form) {
        treatments.step(pieceId, treatmentId, entryId, form);
        return treated.of(pieceId);
    }

    /** Says afterwards how much was used; sent again, it is said once. */
    @PutMapping("/{treatmentId}/used/{entryId}")
    List<GivenView> used(
            @PathVariable UUID pieceId,
            @PathVariable UUID treatmentId,
            @PathVariable UUID entryId,
            @RequestBody @Valid BottleForm form) {
        treatments.used(pieceId, treatmentId, entryId, form);
        return treated.of(pieceId);
    }

    /** Takes a treatment back that was never given; sent again, it happens once. */
    @PutMapping("/{treatmentId}/back/{entryId}")
    List<GivenView> takeBack(
            @PathVariable UUID pieceId,
            @PathVariable UUID treatmentId,
            @PathVariable UUID entryId,
            @RequestBody @Valid BackForm form) {
        treatments.takeBack(pieceId, treatmentId, entryId, form.words());
        return treated.of(pieceId);
    }
}
