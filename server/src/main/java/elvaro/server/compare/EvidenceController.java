package elvaro.server.compare;

import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.compare.AskService.AskView;
import elvaro.server.shared.CsvFile;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class EvidenceController {
    private final EvidenceService evidence;
    private final AskService asks;

    EvidenceController(EvidenceService evidence, AskService asks) {
        this.evidence = evidence;
        this.asks = asks;
    }

    /** @param query of the page it is asked on, as its address has it */
    record AskForm(
            @NotNull Integer version,

            @NotBlank(message = "Give the question a name.") @Size(max = 120, message = "The name is too long.")
            String name,

            @NotNull
            @Size(max = 1000, message = "The question is too long.")
            @Pattern(regexp = "[^<>\\s]*", message = "That is no question.")
            String query) {}

    record AskDropForm(@NotNull Integer version) {}

    /** What the finished pieces say, by groups, in one measure. */
    @GetMapping("/api/evidence")
    EvidenceView ask(
            @Valid @ParameterObject AskFilter filter, @RequestParam Factor by, @RequestParam TrialMeasure measure) {
        return evidence.ask(filter, by, measure);
    }

    @GetMapping(path = "/api/evidence/pieces.csv", produces = CsvFile.TYPE)
    ResponseEntity<String> pieces(@Valid @ParameterObject AskFilter filter) {
        return CsvFile.attached("finished-pieces.csv", EvidenceFiles.pieces(evidence.rows(filter)));
    }

    @GetMapping(path = "/api/evidence/model.csv", produces = CsvFile.TYPE)
    ResponseEntity<String> model(
            @Valid @ParameterObject AskFilter filter, @RequestParam Factor by, @RequestParam TrialMeasure measure) {
        return CsvFile.attached(
                "model.csv",
                EvidenceFiles.model(evidence.ask(filter, by, measure).model()));
    }

    /** Questions that were kept, by name. */
    @GetMapping("/api/asks")
    List<AskView> kept() {
        return asks.all();
    }

    @PutMapping("/api/asks/{id}")
    List<AskView> keep(@PathVariable UUID id, @RequestBody @Valid AskForm form) {
        asks.keep(id, form.version(), form.name(), form.query());
        return asks.all();
    }

    @PutMapping("/api/asks/{id}/drop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable UUID id, @RequestBody @Valid AskDropForm form) {
        asks.drop(id, form.version());
    }
}
