package elvaro.server.bench;

import elvaro.core.yield.BenchOrder;
import elvaro.server.bench.BenchService.BenchView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/bench/{pieceId}")
class BenchController {
    private final BenchService service;

    BenchController(BenchService service) {
        this.service = service;
    }

    record OrderForm(@NotNull BenchOrder order) {}

    record CloseForm(@NotNull Map<String, String> answers) {}

    record ReopenForm(
            @NotBlank(message = "Say why the bench is opened again.")
            @Size(max = 1000, message = "The reason is too long.")
            String reason) {}

    @GetMapping
    BenchView bench(@PathVariable UUID pieceId) {
        return service.view(pieceId);
    }

    @PutMapping("/order")
    BenchView order(@PathVariable UUID pieceId, @RequestBody @Valid OrderForm form) {
        service.order(pieceId, form.order());
        return service.view(pieceId);
    }

    @PutMapping("/close/{entryId}")
    BenchView close(@PathVariable UUID pieceId, @PathVariable UUID entryId, @RequestBody @Valid CloseForm form) {
        service.close(pieceId, entryId, form.answers());
        return service.view(pieceId);
    }

    @PutMapping("/reopen/{entryId}")
    BenchView reopen(@PathVariable UUID pieceId, @PathVariable UUID entryId, @RequestBody @Valid ReopenForm form) {
        service.reopen(pieceId, entryId, form.reason());
        return service.view(pieceId);
    }
}
