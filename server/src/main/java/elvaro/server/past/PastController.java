package elvaro.server.past;

import elvaro.server.shared.Refusal;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import java.io.IOException;
import java.io.InputStream;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
@PreAuthorize("hasRole('OWNER')")
class PastController {
    private final PastService service;

    PastController(PastService service) {
        this.service = service;
    }

    /** The table of a file, with a guess at its columns. Nothing is kept. */
    @PostMapping(path = "/api/past/table", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    TableFile table(@Parameter(hidden = true) InputStream body) throws IOException {
        byte[] file = body.readNBytes(TableFile.MOST_BYTES + 1);
        if (file.length > TableFile.MOST_BYTES) {
            throw Refusal.tooLarge("A table has at most 5 MB. Nothing was kept.");
        }
        return TableFile.read(file);
    }

    /** What the table would bring. Nothing is kept. */
    @PostMapping("/api/past/preview")
    PastView preview(@RequestBody @Valid PastForm form) {
        return service.preview(form);
    }

    /** Takes it in, whole or not at all; sent again, it happens once. */
    @PutMapping("/api/past/{id}")
    PastView take(@PathVariable UUID id, @RequestBody @Valid PastForm form) {
        return service.take(id, form);
    }
}
