package elvaro.server.scale;

import elvaro.core.weighing.StableWeight.Shown;
import elvaro.server.device.PackReader;
import elvaro.server.device.PackReader.Pack;
import elvaro.server.shared.TakesUpTo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.InputStream;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
class ScaleController {
    private final ScaleService service;

    ScaleController(ScaleService service) {
        this.service = service;
    }

    /** What a scale shows: RFC 8428 in JSON or CBOR, with the device's token. */
    @TakesUpTo(PackReader.MOST_BYTES)
    @PostMapping("/devices/weights")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @RequestHeader(name = "Content-Type", defaultValue = "") String type,
            @RequestHeader(name = "Content-Encoding", defaultValue = "") String encoding,
            InputStream body) {
        service.take(PackReader.token(authorization), new Pack(body, type, encoding));
    }

    /** Server-sent events, each a figure as {@code Shown}. */
    @GetMapping(path = "/api/scales/{id}/figures", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter watch(@PathVariable UUID id) {
        return service.watch(id);
    }

    /** @param lines as they came, the last one last */
    record LinesForm(@NotEmpty @Size(max = 50) List<@NotNull @Size(max = 200) String> lines) {}

    /** What a scale writes that hangs at a screen's own cable, line by line; it is read here. */
    @PostMapping("/api/scales/{id}/lines")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hear(@PathVariable UUID id, @RequestBody @Valid LinesForm form) {
        service.hear(id, form.lines());
    }

    @PutMapping("/api/scales/{id}/tare")
    Shown tare(@PathVariable UUID id) {
        return service.tare(id);
    }
}
