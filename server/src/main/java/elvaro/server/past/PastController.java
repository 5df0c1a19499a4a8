package elvaro.server.past;

import elvaro.server.shared.TakesUpTo;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import java.io.IOException;
import java.io.InputStream;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@PreAuthorize("hasRole('OWNER')")
class PastController {
    private final PastService service;

    PastController(PastService service) {
        this.service = service;
    }

    /** The table of a file, with a guess at its heads and columns, or with the sheet and the heads that were chosen. Nothing is kept. */
    @TakesUpTo(TableFile.MOST_BYTES)
    @PostMapping(path = "/api/past/table", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    TableFile table(
            @RequestParam(required = false) @Nullable @Min(0) Integer sheet,
            @RequestParam(required = false) @Nullable @Min(1) Integer headRow,
            @Parameter(hidden = true) InputStream body)
            throws IOException {
        return TableFile.read(body.readAllBytes(), sheet, headRow);
    }

    /** What the table would bring. Nothing is kept. */
    @TakesUpTo(PastForm.MOST_BYTES)
    @PostMapping("/api/past/preview")
    PastView preview(@RequestBody @Valid PastForm form) {
        return service.preview(form);
    }

    /** Takes it in, whole or not at all; sent again, it happens once. */
    @TakesUpTo(PastForm.MOST_BYTES)
    @PutMapping("/api/past/{id}")
    PastView take(@PathVariable UUID id, @RequestBody @Valid PastForm form) {
        return service.take(id, form);
    }
}
