package elvaro.server.prepare;

import elvaro.server.prepare.PreparationService.PreparationView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/pieces/{pieceId}/preparation")
class PreparationController {
    private final PreparationService service;

    PreparationController(PreparationService service) {
        this.service = service;
    }

    record Tick(
            @NotBlank @Size(max = 40) String step, @NotNull Boolean done) {}

    @GetMapping
    PreparationView sheet(@PathVariable UUID pieceId) {
        return service.view(pieceId);
    }

    /** Ticks a step or takes its tick off; sent again, it is kept once. */
    @PutMapping("/{tickId}")
    PreparationView tick(@PathVariable UUID pieceId, @PathVariable UUID tickId, @RequestBody @Valid Tick tick) {
        service.tick(tickId, pieceId, tick.step(), tick.done());
        return service.view(pieceId);
    }
}
