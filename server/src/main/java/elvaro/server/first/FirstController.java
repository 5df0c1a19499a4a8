package elvaro.server.first;

import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FirstController {
    private final FirstPieceService service;

    FirstController(FirstPieceService service) {
        this.service = service;
    }

    /** From nothing to the first hung piece; sent again, it happens once. */
    @PutMapping("/api/first/{pieceId}")
    @PreAuthorize("hasRole('OWNER')") // It makes a chamber.
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hang(@PathVariable UUID pieceId, @RequestBody @Valid FirstForm form) {
        service.hang(pieceId, form);
    }
}
