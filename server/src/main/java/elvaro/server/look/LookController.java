package elvaro.server.look;

import elvaro.core.inspection.LookKey;
import elvaro.core.inspection.LookKey.KeyEntry;
import elvaro.core.inspection.Rule;
import elvaro.server.look.LookView.Because;
import elvaro.server.shared.Answers;
import elvaro.server.shared.TakesUpTo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class LookController {
    private final LookService service;

    LookController(LookService service) {
        this.service = service;
    }

    record DiscardForm(
            @NotNull
            @Min(value = 1, message = "Enter what the scale shows.")
            @Max(value = 1_000_000, message = "That is more than ⟦limit 1000000⟧.")
            Integer grams,

            @NotBlank(message = "Say why it is thrown away.") @Size(max = 2000, message = "The note is too long.")
            String words,

            @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}

    /** Each choice of a look as it is drawn and told, for "which of these is it?". */
    @GetMapping("/api/look-key")
    List<KeyEntry> key() {
        return LookKey.entries();
    }

    /** The rules a look is answered by. */
    @GetMapping("/api/inspection-rules")
    List<Because> rules() {
        return Arrays.stream(Rule.values()).map(Because::of).toList();
    }

    @GetMapping("/api/pieces/{id}/looks")
    List<LookView> looks(@PathVariable UUID id) {
        return service.of(id);
    }

    @PutMapping("/api/pieces/{id}/looks/{entryId}")
    List<LookView> keep(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid LookForm form) {
        service.keep(id, entryId, form);
        return service.of(id);
    }

    @PutMapping("/api/pieces/{id}/discard/{entryId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void discard(@PathVariable UUID id, @PathVariable UUID entryId, @RequestBody @Valid DiscardForm form) {
        service.discard(id, entryId, form.grams(), form.words(), form.answers());
    }

    /** The bytes of a JPEG or PNG. */
    @TakesUpTo(Photos.MOST_BYTES)
    @PutMapping(path = "/api/pieces/{id}/looks/{entryId}/photos/{photoId}", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepPhoto(@PathVariable UUID id, @PathVariable UUID entryId, @PathVariable UUID photoId, InputStream body)
            throws IOException {
        service.keepPhoto(id, entryId, photoId, body.readAllBytes());
    }

    @GetMapping(path = "/api/pieces/{id}/looks/{entryId}/photos/{photoId}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> photo(@PathVariable UUID id, @PathVariable UUID entryId, @PathVariable UUID photoId) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(service.photo(id, entryId, photoId));
    }
}
